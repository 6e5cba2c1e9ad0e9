package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import org.jspecify.annotations.Nullable;

/**
 * How much of something, in the way that makers say it.
 *
 * @param way the measure
 * @param value grams, a fraction of the fats, teaspoons, teaspoons a kilogram of fats, or drops
 */
public record Dose(Way way, double value) {

    /** The measures. */
    public enum Way {
        MASS,
        OF_FATS,
        TEASPOONS,
        TEASPOONS_PER_KILOGRAM,
        DROPS
    }

    /** A drop of a thin oil from a dropper bottle: 20 to 30 to the millilitre (estimate, +-30 %). */
    public static final double GRAMS_PER_DROP = 0.04;

    private static final double GRAMS_PER_KILOGRAM = 1000;

    public static Dose mass(Mass mass) {
        return new Dose(Way.MASS, mass.grams());
    }

    public static Dose ofFats(Share share) {
        return new Dose(Way.OF_FATS, share.fraction());
    }

    /**
     * The mass of this dose.
     *
     * @param gramsPerTeaspoon what a level spoon of it weighs; null when it is not spooned
     * @param fats the fats it is dosed by
     * @throws IllegalArgumentException for spoons of something that is not spooned; readers check that first
     */
    public Mass of(@Nullable Double gramsPerTeaspoon, Mass fats) {
        return switch (way) {
            case MASS -> Mass.grams(value);
            case OF_FATS -> fats.times(value);
            case TEASPOONS -> Mass.grams(value * spoon(gramsPerTeaspoon));
            case TEASPOONS_PER_KILOGRAM ->
                Mass.grams(value * spoon(gramsPerTeaspoon) * fats.grams() / GRAMS_PER_KILOGRAM);
            case DROPS -> Mass.grams(value * GRAMS_PER_DROP);
        };
    }

    /** The same dose for a recipe this many times as large; what goes by the fats stays as it is. */
    public Dose scaledBy(double factor) {
        return isByFats() ? this : new Dose(way, value * factor);
    }

    public boolean isSpooned() {
        return way == Way.TEASPOONS || way == Way.TEASPOONS_PER_KILOGRAM;
    }

    private boolean isByFats() {
        return way == Way.OF_FATS || way == Way.TEASPOONS_PER_KILOGRAM;
    }

    private static double spoon(@Nullable Double grams) {
        if (grams == null) {
            throw new IllegalArgumentException("Impossible state: spoons of something that is not spooned");
        }
        return grams;
    }
}
