package io.causticon.core.model.mould;

import io.causticon.core.quantity.Mass;
import org.jspecify.annotations.Nullable;

/**
 * A mould by its inner measures.
 *
 * @param name what the workshop calls it
 * @param kind its shape and walls
 * @param length inner length, mm; the long side of a loaf; the diameter of a tube
 * @param width inner width, mm; the diameter of a tube
 * @param height inner height, mm; the length of a standing tube
 * @param cavities how many of these there are, 1 for a loaf
 * @param water ml of water that one of them holds to the brim, when it was measured; it is believed before the ruler
 */
public record Mould(
        String name,
        MouldKind kind,
        double length,
        double width,
        double height,
        int cavities,
        @Nullable Double water) {

    /** Batter density, g/ml, where no recipe is known: fats 0.91-0.92, lye solution 1.1-1.5, mixed 1.00 +- 0.03. */
    public static final double BATTER_DENSITY = 1.00;

    private static final double ROUNDING = 1e-9;
    private static final double CUBIC_MILLIMETRES_PER_MILLILITRE = 1000;

    /** A mould that was measured by ruler alone. */
    public Mould(String name, MouldKind kind, double length, double width, double height, int cavities) {
        this(name, kind, length, width, height, cavities, null);
    }

    /**
     * A mould of which only the water is known that one of them holds. Its sides are guessed: those of a common mould
     * of its kind, grown or shrunk to that volume. Its mass of batter is as sure as the water; heights, cuts and heat
     * in it are estimates.
     *
     * @param water ml in one of them, more than 0
     */
    public static Mould ofWater(String name, MouldKind kind, int cavities, double water) {
        Mould common = switch (kind) {
            case TUBE -> new Mould(name, kind, 75, 75, 300, 1);
            case CAVITIES -> new Mould(name, kind, 80, 55, 25, 1);
            case SLAB -> new Mould(name, kind, 330, 230, 40, 1);
            default -> new Mould(name, kind, 240, 85, 70, 1);
        };
        double factor = Math.cbrt(water / common.volumeOfOne());
        return new Mould(
                name, kind, common.length * factor, common.width * factor, common.height * factor, cavities, water);
    }

    /** Whether its sides were guessed from its water: they make just that. */
    public boolean sidesAreGuessed() {
        return water != null
                && Math.abs(baseByRuler() * height / CUBIC_MILLIMETRES_PER_MILLILITRE - water) < ROUNDING * water;
    }

    /** Inner volume of one of them, ml. */
    public double volumeOfOne() {
        return water != null ? water : baseByRuler() * height / CUBIC_MILLIMETRES_PER_MILLILITRE;
    }

    /** Inner volume of all of them, ml. */
    public double volume() {
        return volumeOfOne() * cavities;
    }

    /** Mean horizontal area of one of them, mm2. */
    public double baseArea() {
        return volumeOfOne() * CUBIC_MILLIMETRES_PER_MILLILITRE / height;
    }

    /** How high this much batter stands, mm; more than the height runs over. */
    public double fillHeight(Mass batter, double density) {
        return batter.grams() / density * CUBIC_MILLIMETRES_PER_MILLILITRE / (baseArea() * cavities);
    }

    public double fillHeight(Mass batter) {
        return fillHeight(batter, BATTER_DENSITY);
    }

    /** Mass of batter that stands this high, mm. */
    public Mass filledTo(double fill, double density) {
        return Mass.grams(baseArea() * cavities * fill / CUBIC_MILLIMETRES_PER_MILLILITRE * density);
    }

    /** Mass of batter that fills it to the brim. */
    public Mass capacity(double density) {
        return Mass.grams(volume() * density);
    }

    public Mass capacity() {
        return capacity(BATTER_DENSITY);
    }

    private double baseByRuler() {
        return kind == MouldKind.TUBE ? Math.PI / 4 * width * width : length * width;
    }
}
