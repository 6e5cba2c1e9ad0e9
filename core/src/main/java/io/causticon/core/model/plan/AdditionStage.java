package io.causticon.core.model.plan;

/** When a liquid or an additive goes in, in the order of the work. */
public enum AdditionStage {
    /** Into the water before the lye, or as the water. */
    LYE,
    /** Into the liquor once it has cooled. */
    COOLED_LYE,
    /** Into the fats before the lye. */
    FATS,
    /** Into the batter at emulsion. */
    EMULSION,
    /** Into the batter at light trace. */
    TRACE,
    /** Into the cooked paste, once no lye is left that would change it. */
    AFTER_COOK,
    /** In the last second, by hand, then straight into the mould: a fast ending on purpose. */
    LAST,
    /** On the poured soap. */
    TOP;

    /** What the tables of additives advise. */
    static AdditionStage advised(String addedAt) {
        return switch (addedAt) {
            case "lye_water" -> LYE;
            case "oils" -> FATS;
            case "top" -> TOP;
            default -> TRACE;
        };
    }

    /** Whether it is in the batter before that is divided among portions. */
    public boolean isBeforePortions() {
        return this != TOP;
    }
}
