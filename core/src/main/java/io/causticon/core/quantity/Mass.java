package io.causticon.core.quantity;

/**
 * A mass.
 *
 * @param grams the mass in grams; finite, may be negative where a difference is meant
 */
public record Mass(double grams) implements Comparable<Mass> {

    /** The international avoirdupois ounce, exact by definition (1959). */
    public static final double GRAMS_PER_OUNCE = 28.349523125;

    public static final int OUNCES_PER_POUND = 16;

    public static final Mass ZERO = new Mass(0);

    public Mass {
        if (!Double.isFinite(grams)) {
            throw new IllegalArgumentException("Impossible state: a mass of " + grams + " g");
        }
    }

    public static Mass grams(double grams) {
        return new Mass(grams);
    }

    public static Mass ounces(double ounces) {
        return new Mass(ounces * GRAMS_PER_OUNCE);
    }

    public double inOunces() {
        return grams / GRAMS_PER_OUNCE;
    }

    public Mass plus(Mass other) {
        return new Mass(grams + other.grams);
    }

    public Mass minus(Mass other) {
        return new Mass(grams - other.grams);
    }

    public Mass times(double factor) {
        return new Mass(grams * factor);
    }

    /** How many times the other mass fits in this one; not a number when the other is zero. */
    public double dividedBy(Mass other) {
        return grams / other.grams;
    }

    public boolean isMoreThan(Mass other) {
        return grams > other.grams;
    }

    public boolean isPositive() {
        return grams > 0;
    }

    @Override
    public int compareTo(Mass other) {
        return Double.compare(grams, other.grams);
    }
}
