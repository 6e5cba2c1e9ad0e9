package io.causticon.core.observation;

/**
 * What can be put on the scale.
 *
 * @param kind which table it is from
 * @param id its id in that table; for alkali {@code naoh} or {@code koh}
 */
public record Weighable(Kind kind, String id) {

    public static final Weighable NAOH = new Weighable(Kind.ALKALI, "naoh");
    public static final Weighable KOH = new Weighable(Kind.ALKALI, "koh");

    /** The tables. */
    public enum Kind {
        FAT,
        ALKALI,
        LIQUID,
        ADDITIVE
    }

    public static Weighable fat(String id) {
        return new Weighable(Kind.FAT, id);
    }

    public static Weighable liquid(String id) {
        return new Weighable(Kind.LIQUID, id);
    }

    public static Weighable additive(String id) {
        return new Weighable(Kind.ADDITIVE, id);
    }
}
