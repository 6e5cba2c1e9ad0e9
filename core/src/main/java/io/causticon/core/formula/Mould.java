package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;

/**
 * A mould by its inner measures.
 *
 * @param name what the workshop calls it
 * @param kind its shape and walls
 * @param length inner length, mm; the long side of a loaf
 * @param width inner width, mm
 * @param height inner height, mm
 * @param cavities how many of these there are, 1 for a loaf
 */
public record Mould(String name, MouldKind kind, double length, double width, double height, int cavities) {

    /** Batter density, g/ml: fats 0.91-0.92, lye solution 1.1-1.5, mixed 1.00 +- 0.03. */
    public static final double BATTER_DENSITY = 1.00;

    private static final double CUBIC_MILLIMETRES_PER_MILLILITRE = 1000;

    /** Inner volume of all cavities, ml. */
    public double volume() {
        return length * width * height * cavities / CUBIC_MILLIMETRES_PER_MILLILITRE;
    }

    /** How high this much batter stands, mm; more than the height runs over. */
    public double fillHeight(Mass batter) {
        double millilitres = batter.grams() / BATTER_DENSITY;
        return millilitres * CUBIC_MILLIMETRES_PER_MILLILITRE / (length * width * cavities);
    }

    /** Mass of batter that fills it to the brim. */
    public Mass capacity() {
        return Mass.grams(volume() * BATTER_DENSITY);
    }
}
