package io.causticon.core.science.pots;

/**
 * Sodium hydroxide in water: heat of solution, heat capacity.
 *
 * <p>Tabulated literature values (NBS-type tables of thermodynamic properties, 25 C); below three moles of water a mole
 * they are extrapolated in 1/n, to about 1.5 kJ/mol. To be checked against a printed table before the last digit is
 * relied on.
 */
public final class LyeSolution {

    public static final double WATER_MOLAR_MASS = 18.015;
    public static final double NAOH_MOLAR_MASS = 39.997;

    /** Below this many moles of water a mole the table says nothing and is held. */
    private static final double LEAST_WATER = 1.6;

    private static final double[] MOLES_OF_WATER = {
        2, 2.5, 3, 4, 5, 6, 8, 10, 15, 20, 30, 50, 100, 200, 500, 1000, 10000
    };
    private static final double[] KILOJOULES_PER_MOLE = {
        -17.8, -24.4, -28.87, -34.43, -37.74, -39.85, -41.75, -42.51, -42.82, -42.84, -42.72, -42.51, -42.34, -42.26,
        -42.38, -42.47, -42.72
    };
    private static final MonotoneCubic HEAT_OF_SOLUTION = MonotoneCubic.overLogs(MOLES_OF_WATER, KILOJOULES_PER_MOLE);

    /** J/(g K) against the mass fraction of NaOH; +-2 %. */
    private static final Table HEAT_CAPACITY = Table.of(
            0, 4.18, .011, 4.12, .0217, 4.06, .05, 3.90, .10, 3.69, .182, 3.49, .307, 3.345, .47, 3.28, .571, 3.27);

    /** Temperature below which something crystallises or freezes, C, against per cent NaOH; +-2 K. */
    private static final Table CRYSTALLISATION = Table.of(
            0, 0, 5, -4.6, 10, -10.3, 15, -18.5, 19.1, -28, 22, -24, 25, -17.7, 28, -5, 30, 1.2, 32.5, 5.4, 35, 10.5,
            38.8, 15.6, 42, 13, 45.5, 5, 48, 9, 50, 12, 51.7, 13, 52.2, 20, 54.3, 30, 56.3, 40, 59.2, 50, 63.5, 60, 69,
            64);

    /**
     * Share of the vapour pressure of clear water that is left, against the mass fraction of NaOH; from osmotic
     * coefficients, +-0.04.
     */
    private static final Table WATER_ACTIVITY =
            Table.of(0, 1, .10, .90, .167, .78, .286, .51, .333, .40, .40, .24, .50, .09, .60, .05);

    private LyeSolution() {}

    /** Heat of solution in kJ per mol NaOH, negative as heat is given off, for n moles of water a mole. */
    public static double kilojoulesPerMoleDissolved(double molesOfWater) {
        return HEAT_OF_SOLUTION.at(Math.log(Math.max(molesOfWater, LEAST_WATER)));
    }

    /** Heat capacity in J/(g K) of a solution with this mass fraction of NaOH. */
    public static double heatCapacity(double massFraction) {
        return HEAT_CAPACITY.at(massFraction);
    }

    /** The temperature in C below which this solution is no longer clear. */
    public static double crystallisationCelsius(double massFraction) {
        return CRYSTALLISATION.at(100 * massFraction);
    }

    /** Activity of the water, 0 to 1, over a solution with this mass fraction of NaOH. */
    static double waterActivity(double massFraction) {
        return WATER_ACTIVITY.at(massFraction);
    }

    /** g/ml of a solution with this mass fraction of NaOH near 40 C: {@code 1 + 1.11 w}, within 2 % up to half. */
    public static double density(double massFraction) {
        return 1 + 1.11 * massFraction;
    }

    /** Moles of water a mole of NaOH. */
    static double molesOfWater(double waterGrams, double naohGrams) {
        return waterGrams / WATER_MOLAR_MASS / (naohGrams / NAOH_MOLAR_MASS);
    }
}
