package io.causticon.web.shared;

import io.causticon.core.formula.Joins;

/** When something joins, in the same words on the sheet, at the pots and at the batter. */
public final class WhenWords {

    private WhenWords() {}

    /** Of a liquid; empty for the one that the lye is dissolved in. */
    public static String ofLiquid(Joins joins) {
        return joins == Joins.LYE ? "" : of(joins);
    }

    /** Of an additive. */
    public static String ofAdditive(Joins joins) {
        return joins == Joins.FATS ? "into the fats, before the lye" : of(joins);
    }

    private static String of(Joins joins) {
        return switch (joins) {
            case LYE -> "into the liquid, before the lye";
            case COOLED_LYE -> "into the cooled lye";
            case FATS -> "into the fats";
            case EMULSION -> "at emulsion";
            case TRACE -> "at light trace";
            case LAST -> "in the last second, by hand";
            case TOP -> "on top";
        };
    }
}
