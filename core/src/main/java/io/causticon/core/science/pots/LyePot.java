package io.causticon.core.science.pots;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;

/**
 * The highest temperature that dissolving all lye at once can reach: no heat is lost.
 *
 * <p>An enthalpy balance with its zero at solid lye and liquid water at 25 C:
 * {@code T = 25 + (sum of H - 1000 n dHs) / ((m_water + m_lye) cp(w) + C_inert)}. Ice enters with its latent heat, acid
 * with its heat of neutralisation (56 kJ per mol). A real pot loses heat and stays 5-15 K below; the number is the safe
 * side.
 *
 * @param lye dry lye, g
 * @param blend what that is made of
 * @param lyeStart its temperature
 * @param water liquid water, g, that of milk and juice included
 * @param waterStart its temperature
 * @param ice frozen water, g
 * @param iceStart its temperature, 0 C or below
 * @param solids solids of milk and juice, g, at the temperature of the liquid water
 * @param acidMoles moles of acid equivalents
 */
record LyePot(
        Mass lye,
        LyeBlend blend,
        Temperature lyeStart,
        Mass water,
        Temperature waterStart,
        Mass ice,
        Temperature iceStart,
        Mass solids,
        double acidMoles) {

    /** Below this the balance says that not all ice melts. */
    public static final Temperature NOT_ALL_MELTS = Temperature.celsius(-5);

    static final double REFERENCE = 25;
    static final double WATER_HEAT_CAPACITY = 4.18;
    static final double ICE_HEAT_CAPACITY = 2.06;
    static final double LATENT_HEAT_OF_ICE = 333.6;
    /**
     * Of either hydroxide, J/(g K): 1.49 sodium's, 1.2 potassium's, which matters little from the room's temperature.
     */
    static final double DRY_HEAT_CAPACITY = 1.49;

    static final double SOLIDS_HEAT_CAPACITY = 1.5;
    static final double HEAT_OF_NEUTRALISATION = 56_000;
    static final double JOULES_PER_KILOJOULE = 1000;
    private static final double LOWER_WITH_POTASSIUM = 6;

    /** With sodium hydroxide. */
    public LyePot(
            Mass naoh,
            Temperature naohStart,
            Mass water,
            Temperature waterStart,
            Mass ice,
            Temperature iceStart,
            Mass solids,
            double acidMoles) {
        this(naoh, LyeBlend.SODIUM, naohStart, water, waterStart, ice, iceStart, solids, acidMoles);
    }

    /** Plain water and sodium hydroxide. */
    public static LyePot plain(Mass naoh, Mass water, Temperature room) {
        return new LyePot(naoh, room, water, room, Mass.ZERO, Temperature.celsius(0), Mass.ZERO, 0);
    }

    /** The temperature without any loss. */
    public Temperature adiabaticPeak() {
        double allWater = water.grams() + ice.grams();
        double solution = allWater + lye.grams();
        double dissolving = blend.kilojoulesPerMoleDissolved(lye.grams(), allWater);
        double inert = solids.grams() * SOLIDS_HEAT_CAPACITY;
        double heat = startingHeat(inert)
                + Math.min(acidMoles, blend.moles(lye.grams())) * HEAT_OF_NEUTRALISATION
                - dissolving;
        return Temperature.celsius(REFERENCE + heat / (solution * blend.heatCapacity(lye.grams() / solution) + inert));
    }

    /**
     * Where it boils, C: near {@link LyePotRun#BOILS}, with potassium hydroxide of as much by mass some six kelvin
     * lower.
     */
    public double boilingCelsius() {
        return LyePotRun.BOILS - LOWER_WITH_POTASSIUM * blend.potassium().fraction();
    }

    private double startingHeat(double inert) {
        return water.grams() * WATER_HEAT_CAPACITY * aboveReference(waterStart)
                + inert * aboveReference(waterStart)
                + lye.grams() * DRY_HEAT_CAPACITY * aboveReference(lyeStart)
                + ice.grams() * icePerGram(iceStart);
    }

    /** Enthalpy of ice, J/g, with its zero at liquid water of 25 C. */
    static double icePerGram(Temperature iceStart) {
        return -LATENT_HEAT_OF_ICE - WATER_HEAT_CAPACITY * REFERENCE + ICE_HEAT_CAPACITY * iceStart.celsius();
    }

    private static double aboveReference(Temperature start) {
        return start.celsius() - REFERENCE;
    }
}
