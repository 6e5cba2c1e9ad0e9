package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;

/**
 * So much of an additive.
 *
 * @param additive which
 * @param mass how much
 * @param dose the same as the maker said it
 * @param joins when it goes in
 */
public record AdditivePortion(Additive additive, Mass mass, Dose dose, AdditionStage joins) {

    /** A mass that goes in when its table advises. */
    public AdditivePortion(Additive additive, Mass mass) {
        this(additive, mass, Dose.mass(mass), AdditionStage.advised(additive.addedAt()));
    }

    public static AdditivePortion dosed(Additive additive, Dose dose, AdditionStage joins, Mass fats) {
        return new AdditivePortion(additive, dose.of(additive.gramsPerTeaspoon(), fats), dose, joins);
    }

    /** When the tables advise to add it. */
    public static AdditionStage advised(Additive additive) {
        return AdditionStage.advised(additive.addedAt());
    }

    AdditivePortion scaledBy(double factor) {
        return new AdditivePortion(additive, mass.times(factor), dose.scaledBy(factor), joins);
    }

    public AdditivePortion weighing(Mass other) {
        return new AdditivePortion(additive, other, Dose.mass(other), joins);
    }

    public AdditivePortion joining(AdditionStage other) {
        return new AdditivePortion(additive, mass, dose, other);
    }

    /**
     * Whether this is more than its table takes for safe.
     *
     * @param fats that it is for; none are never too few
     * @param tolerance share past the cap that is still none: what a scale's step or rounding may add
     */
    public boolean isBeyondCap(Mass fats, Share tolerance) {
        Double cap = additive.cap();
        return cap != null && fats.isPositive() && dosePerKilogram(fats) > cap * (1 + tolerance.fraction());
    }

    /** Dose in grams per kilogram of fats. */
    public double dosePerKilogram(Mass fats) {
        return 1000 * mass.dividedBy(fats);
    }
}
