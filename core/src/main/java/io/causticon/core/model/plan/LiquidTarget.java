package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;

/**
 * How much liquid, said in one of the three ways that makers use. They are one thing: {@code r = (1 - c) / c} and
 * {@code p = water / fats}. "Water" is the water inside the liquids; "lye" is the alkali as weighed.
 *
 * @param way which figure the maker typed
 * @param value concentration as a fraction, ratio as water per lye, or fraction of fats
 */
public record LiquidTarget(Way way, double value) {

    /** The three figures. */
    public enum Way {
        /** lye / (lye + water). */
        LYE_CONCENTRATION,
        /** water : lye. */
        WATER_TO_LYE,
        /** water / fats. */
        WATER_OF_FATS
    }

    public static LiquidTarget concentration(double fraction) {
        return new LiquidTarget(Way.LYE_CONCENTRATION, fraction);
    }

    public static LiquidTarget ratio(double waterPerLye) {
        return new LiquidTarget(Way.WATER_TO_LYE, waterPerLye);
    }

    public static LiquidTarget ofFats(double fraction) {
        return new LiquidTarget(Way.WATER_OF_FATS, fraction);
    }

    /**
     * What these masses are, said in one way.
     *
     * @param waterGrams in the liquids, g
     * @param lyeGrams as weighed, g
     */
    static LiquidTarget saying(Way way, double waterGrams, double lyeGrams, Mass fats) {
        return switch (way) {
            case LYE_CONCENTRATION -> concentration(lyeGrams / (lyeGrams + waterGrams));
            case WATER_TO_LYE -> ratio(waterGrams / lyeGrams);
            case WATER_OF_FATS -> ofFats(waterGrams / fats.grams());
        };
    }

    /** Water per lye; only for the first two ways. */
    double waterPerLye() {
        return way == Way.LYE_CONCENTRATION ? (1 - value) / value : value;
    }
}
