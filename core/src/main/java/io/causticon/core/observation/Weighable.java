package io.causticon.core.observation;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.substance.Catalogue;

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

    /** Whether the tables that ship with the application have it; what a workshop has of its own is known to its plans alone. */
    public boolean isInTheTables() {
        Catalogue tables = Catalogue.standard();
        return switch (kind) {
            case FAT -> tables.findFat(id).isPresent();
            case LIQUID -> tables.findLiquid(id).isPresent();
            case ADDITIVE -> tables.findAdditive(id).isPresent();
            case ALKALI -> equals(NAOH) || equals(KOH);
        };
    }

    /** Whether a batch made from this plan can have it on its scale: what the plan holds, and what the tables do. */
    public boolean isKnownTo(BatchPlan plan) {
        return isInTheTables()
                || switch (kind) {
                    case FAT -> plan.formula().fats().stream().anyMatch(f -> f.fat().id().equals(id));
                    case LIQUID -> plan.formula().liquidParts().stream().anyMatch(l -> l.liquid().id().equals(id));
                    case ADDITIVE -> plan.formula().additives().stream().anyMatch(a -> a.additive().id().equals(id));
                    case ALKALI -> false;
                };
    }
}
