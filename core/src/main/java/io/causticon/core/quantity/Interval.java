package io.causticon.core.quantity;

/**
 * A closed range of values in one unit.
 *
 * @param low the lower end, at most {@code high}
 * @param high the upper end
 */
public record Interval(double low, double high) {

    public Interval {
        if (low > high) {
            throw new IllegalArgumentException("Impossible state: an interval from " + low + " to " + high);
        }
    }

    public static Interval between(double low, double high) {
        return new Interval(low, high);
    }

    public boolean contains(double value) {
        return low <= value && value <= high;
    }

    public double middle() {
        return (low + high) / 2;
    }

    /** How far a value has come from the low to the high end, 0 to 1; an interval without width steps. */
    public double shareOf(double value) {
        return high == low ? value < low ? 0 : 1 : (clamp(value) - low) / (high - low);
    }

    public double clamp(double value) {
        return Math.max(low, Math.min(high, value));
    }
}
