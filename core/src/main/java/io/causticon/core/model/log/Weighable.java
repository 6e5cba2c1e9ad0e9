package io.causticon.core.model.log;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Catalogue;

/**
 * What can be put on the scale.
 *
 * @param kind which table it is from
 * @param id its id in that table; for alkali {@code naoh} or {@code koh}, for a scrap its id on the shelf
 */
public record Weighable(Kind kind, String id) {

    public static final Weighable NAOH = new Weighable(Kind.ALKALI, "naoh");
    public static final Weighable KOH = new Weighable(Kind.ALKALI, "koh");

    /** The tables. */
    public enum Kind {
        FAT,
        ALKALI,
        LIQUID,
        ADDITIVE,
        /** Soap that is there already. */
        SCRAP
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

    public static Weighable scrap(String id) {
        return new Weighable(Kind.SCRAP, id);
    }

    /** Whether these substances have it. */
    public boolean isIn(Catalogue substances) {
        return switch (kind) {
            case FAT -> substances.findFat(id).isPresent();
            case LIQUID -> substances.findLiquid(id).isPresent();
            case ADDITIVE -> substances.findAdditive(id).isPresent();
            case ALKALI -> equals(NAOH) || equals(KOH);
            case SCRAP -> false;
        };
    }

    /**
     * Whether a batch can have it on its scale.
     *
     * @param plan what it is made from
     * @param substances what else the workshop has
     */
    public boolean isKnownTo(BatchPlan plan, Catalogue substances) {
        return isIn(substances)
                || switch (kind) {
                    case FAT ->
                        plan.formula().fats().stream()
                                .anyMatch(f -> f.fat().id().equals(id));
                    case LIQUID ->
                        plan.formula().liquidParts().stream()
                                .anyMatch(l -> l.liquid().id().equals(id));
                    case ADDITIVE ->
                        plan.formula().additives().stream()
                                .anyMatch(a -> a.additive().id().equals(id));
                    case ALKALI -> false;
                    case SCRAP ->
                        plan.rework() != null && plan.rework().scraps().stream().anyMatch(s -> s.id().equals(id));
                };
    }
}
