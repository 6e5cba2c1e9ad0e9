package io.causticon.web.shared;

import io.causticon.core.model.plan.AdditionStage;

/** When something joins, in the same words on the sheet, at the pots and at the batter. */
public final class WhenWords {

    private WhenWords() {}

    /** Of a liquid; empty for the one that the lye is dissolved in. */
    public static String ofLiquid(AdditionStage joins) {
        return joins == AdditionStage.LYE ? "" : of(joins);
    }

    /** Of an additive. */
    public static String ofAdditive(AdditionStage joins) {
        return joins == AdditionStage.FATS ? "into the fats, before the lye" : of(joins);
    }

    private static String of(AdditionStage joins) {
        return switch (joins) {
            case LYE -> "into the liquid, before the lye";
            case COOLED_LYE -> "into the cooled lye";
            case FATS -> "into the fats";
            case EMULSION -> "at emulsion";
            case TRACE -> "at light trace";
            case AFTER_COOK -> "into the paste, after the cook";
            case LAST -> "in the last second, by hand";
            case TOP -> "on top";
        };
    }
}
