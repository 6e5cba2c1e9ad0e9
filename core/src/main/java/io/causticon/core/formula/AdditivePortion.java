package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.Additive;

/**
 * So much of an additive.
 *
 * @param additive which
 * @param mass how much
 */
public record AdditivePortion(Additive additive, Mass mass) {

    /** Dose in grams per kilogram of fats. */
    public double dosePerKilogram(Mass fats) {
        return 1000 * mass.dividedBy(fats);
    }
}
