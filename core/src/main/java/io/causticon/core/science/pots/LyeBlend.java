package io.causticon.core.science.pots;

import io.causticon.core.quantity.Share;

/**
 * What the dry lye of a pot is made of: sodium hydroxide, potassium hydroxide, or both, and the water that the
 * potassium hydroxide holds.
 *
 * <p>A mole of dry potassium hydroxide gives some 57 kJ where one of sodium hydroxide gives 44 (NBS tables of
 * thermodynamic properties, infinite dilution). Flakes of 90 % hold most of the rest as water, bound as the hydrate,
 * whose heat is gone already: from them a mole gives about 45 kJ, hardly more than sodium hydroxide. Purer ones are
 * hotter by up to 30 K.
 *
 * @param potassium mass of potassium hydroxide, its water included, of all dry lye
 * @param bound mass of water of the potassium hydroxide as weighed, at most what makes the hydrate
 */
record LyeBlend(Share potassium, Share bound) {

    public static final LyeBlend SODIUM = new LyeBlend(Share.NONE, Share.NONE);

    static final double KOH_MOLAR_MASS = 56.106;

    /** kJ a mole that binding one mole of water gives off; tables say 38 to 43, and less is the safe side. */
    private static final double HYDRATION = 38;

    /** Of what is not potassium hydroxide in it so much is carbonate and chloride; the rest is water. */
    private static final double CARBONATE = 0.02;

    private static final double[] MOLES_OF_WATER = {2, 3, 5, 7, 9, 20, 50, 200, 10000};

    /**
     * kJ a mole: heats of dilution from three moles of water up (Thomsen's series), hung up on 57.6 at infinite
     * dilution; two extrapolated in 1/n. Within 2 kJ/mol, rather too hot.
     */
    private static final double[] KILOJOULES_PER_MOLE = {-37.7, -45.4, -51.6, -54.2, -55.3, -56.6, -56.9, -56.9, -57.4};

    private static final MonotoneCubic HEAT_OF_SOLUTION = MonotoneCubic.overLogs(MOLES_OF_WATER, KILOJOULES_PER_MOLE);
    private static final double LEAST_WATER = 2;

    /** J/(g K) of potassium hydroxide solutions against the mass fraction, 25 C; +-3 %. */
    private static final Table HEAT_CAPACITY =
            Table.of(0, 4.18, .05, 3.88, .10, 3.62, .20, 3.24, .30, 2.99, .40, 2.80, .50, 2.66);

    /**
     * From what is weighed.
     *
     * @param naohGrams as weighed, 0 or more
     * @param kohGrams as weighed, 0 or more
     * @param kohPurity of the potassium hydroxide
     */
    public static LyeBlend of(double naohGrams, double kohGrams, Share kohPurity) {
        if (kohGrams <= 0) {
            return SODIUM;
        }
        double hydrate = LyeSolution.WATER_MOLAR_MASS / (LyeSolution.WATER_MOLAR_MASS + KOH_MOLAR_MASS);
        double water = Math.min(hydrate, Math.max(0, 1 - kohPurity.fraction() - CARBONATE));
        return new LyeBlend(Share.fraction(kohGrams / (naohGrams + kohGrams)), Share.fraction(water));
    }

    /** Moles of hydroxide in so many grams of dry lye. */
    double moles(double grams) {
        return sodiumMoles(grams) + potassiumMoles(grams);
    }

    /** Heat of solution of so many grams of dry lye in so much water, J, negative as heat is given off. */
    double kilojoulesPerMoleDissolved(double grams, double waterGrams) {
        double sodium = sodiumMoles(grams);
        double kalium = potassiumMoles(grams);
        double boundMoles = grams * potassium.fraction() * bound.fraction() / LyeSolution.WATER_MOLAR_MASS;
        double n = (waterGrams / LyeSolution.WATER_MOLAR_MASS + boundMoles) / (sodium + kalium);
        double ofPotassium = kalium == 0
                ? 0
                : kalium * HEAT_OF_SOLUTION.at(Math.log(Math.max(n, LEAST_WATER))) + boundMoles * HYDRATION;
        return LyePot.JOULES_PER_KILOJOULE * (sodium * LyeSolution.kilojoulesPerMoleDissolved(n) + ofPotassium);
    }

    /** Heat capacity in J/(g K) of a solution with this mass fraction of lye. */
    double heatCapacity(double massFraction) {
        double sodium = potassium.complement().fraction() * LyeSolution.heatCapacity(massFraction);
        return potassium.fraction() == 0 ? sodium : sodium + potassium.fraction() * HEAT_CAPACITY.at(massFraction);
    }

    private double sodiumMoles(double grams) {
        return grams * potassium.complement().fraction() / LyeSolution.NAOH_MOLAR_MASS;
    }

    private double potassiumMoles(double grams) {
        return grams * potassium.fraction() * bound.complement().fraction() / KOH_MOLAR_MASS;
    }
}
