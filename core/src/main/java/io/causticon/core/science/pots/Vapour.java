package io.causticon.core.science.pots;

/** Water that leaves an open surface of lye. */
final class Vapour {

    /** m/s. */
    private static final double MASS_TRANSFER = 0.0075;
    /** J/(kg K). */
    private static final double GAS_CONSTANT_OF_STEAM = 461.5;
    /** J/kg, of water near 60 C (steam tables). */
    private static final double HEAT_OF_EVAPORATION = 2.35e6;

    private static final double HUMIDITY = 0.5;
    private static final double KELVIN = 273.15;

    private final double overTheRoom;

    /** @param room of the room, C */
    Vapour(double room) {
        this.overTheRoom = HUMIDITY * saturation(room);
    }

    /**
     * Heat that evaporation takes from a square metre, W, never below zero:
     * {@code beta (a_w p(T) - 0.5 p(room)) / (R T) L}, with the mass transfer of still air over a jug, 0.0075 m/s
     * (estimate, +-40 %), and a room of 50 % humidity.
     *
     * @param waterActivity over the lye, 0 to 1
     * @param celsius of its surface
     */
    double heatFlux(double waterActivity, double celsius) {
        double pressure = waterActivity * saturation(celsius) - overTheRoom;
        return MASS_TRANSFER
                * Math.max(0, pressure)
                / (GAS_CONSTANT_OF_STEAM * (celsius + KELVIN))
                * HEAT_OF_EVAPORATION;
    }

    /**
     * Pressure of saturated steam, Pa (Magnus formula, WMO 2008; within 1 % up to 100 C), held at the boiling point of
     * lye.
     */
    private static double saturation(double celsius) {
        double held = Math.max(-20, Math.min(LyePotRun.BOILS, celsius));
        return 611.2 * Math.exp(17.62 * held / (243.12 + held));
    }
}
