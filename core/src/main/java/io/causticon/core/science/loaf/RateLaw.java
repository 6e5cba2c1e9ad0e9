package io.causticon.core.science.loaf;

/**
 * How fast fats become soap once they have begun to: {@code dX/dt = ke (X + x0)(1 - X)} with
 * {@code ke = k / (1 + k / 8e-4)} per second and an Arrhenius {@code k} that is {@link #RATE_AT_40} at 40 C. The loaf
 * and the time that a cooking takes follow the same law.
 *
 * <p>Autocatalytic as soap brings fat and lye together (the form is textbook kinetics); the constants are fitted to
 * outcomes that makers know and are not identified uniquely. The conversion is optimistic in its tail: it says nothing
 * of whether a soap is safe.
 */
public final class RateLaw {

    /** J/mol, in the middle. */
    static final double ACTIVATION_ENERGY = 49_000;

    /** Per second. */
    static final double RATE_AT_40 = 2.8e-4;

    /** x0: what goes on where nothing is soap yet. */
    static final double SELF_START = 0.08;

    /** Per second: soap and lye do not come together faster. */
    private static final double RATE_CEILING = 8e-4;

    /** J/(mol K). */
    private static final double GAS_CONSTANT = 8.314;

    private static final double KELVIN = 273.15;
    private static final double REFERENCE = 313.15;

    private RateLaw() {}

    /**
     * ke, per second.
     *
     * @param factor of this batter, 1 for the usual
     * @param activationEnergy J/mol
     */
    static double rate(double celsius, double factor, double activationEnergy) {
        double k = factor
                * RATE_AT_40
                * Math.exp(-activationEnergy / GAS_CONSTANT * (1 / (celsius + KELVIN) - 1 / REFERENCE));
        return k / (1 + k / RATE_CEILING);
    }

    /**
     * Hours that the usual batter takes at one temperature, the integral of the law.
     *
     * @param from share that is soap at the beginning, more than 0
     * @param to share at the end, less than 1
     */
    public static double hoursBetween(double from, double to, double celsius) {
        return hoursBetween(from, to, celsius, 1);
    }

    /**
     * The same of another batter.
     *
     * @param factor of its speed, 1 for the usual
     */
    public static double hoursBetween(double from, double to, double celsius, double factor) {
        double seconds = Math.log((to + SELF_START) / (1 - to) * (1 - from) / (from + SELF_START))
                / (1 + SELF_START)
                / rate(celsius, factor, ACTIVATION_ENERGY);
        return seconds / 3600;
    }

    /**
     * Share that is soap after some hours at one temperature, the same integral the other way round.
     *
     * @param from share at the beginning, 0 to less than 1
     * @param factor of this batter, 1 for the usual
     */
    public static double shareAfter(double from, double hours, double celsius, double factor) {
        double grown = (from + SELF_START)
                / (1 - from)
                * Math.exp((1 + SELF_START) * rate(celsius, factor, ACTIVATION_ENERGY) * 3600 * hours);
        return Double.isInfinite(grown) ? 1 : (grown - SELF_START) / (1 + grown);
    }
}
