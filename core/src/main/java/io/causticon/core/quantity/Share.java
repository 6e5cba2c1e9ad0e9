package io.causticon.core.quantity;

/**
 * A part of a whole, or a relative difference.
 *
 * @param fraction 1 is the whole; negative where something is missing
 */
public record Share(double fraction) implements Comparable<Share> {

    public static final Share NONE = new Share(0);
    public static final Share WHOLE = new Share(1);

    private static final double PER_CENT = 100;

    public static Share fraction(double fraction) {
        return new Share(fraction);
    }

    public static Share percent(double percent) {
        return new Share(percent / PER_CENT);
    }

    public double inPercent() {
        return fraction * PER_CENT;
    }

    public Mass of(Mass whole) {
        return whole.times(fraction);
    }

    public Share complement() {
        return new Share(1 - fraction);
    }

    public boolean isPositive() {
        return fraction > 0;
    }

    @Override
    public int compareTo(Share other) {
        return Double.compare(fraction, other.fraction);
    }
}
