package io.causticon.core.science.loaf;

import java.util.Arrays;

/**
 * The wall along one face of a section, a lump of heat to each cell. The wall moves first and its new value drives the
 * flux, which keeps energy exact and is stable however thin the wall is.
 */
final class Face {

    private final Wall wall;
    private final double inward;
    private final double outward;
    private final double[] temperature;
    private final double kept;
    private final double fromSoap;
    private final double fromOutside;

    /**
     * @param cells along the face
     * @param halfCell resistance from the middle of a cell to its face, m2 K/W
     * @param celsius where the wall begins
     * @param step of time, s
     */
    Face(Wall wall, int cells, double halfCell, double celsius, double step) {
        this.wall = wall;
        this.inward = 1 / (halfCell + wall.inner());
        this.outward = 1 / wall.outer();
        this.temperature = new double[cells];
        Arrays.fill(temperature, celsius);
        double stored = wall.capacity() / step;
        double all = stored + inward + outward;
        this.kept = stored / all;
        this.fromSoap = inward / all;
        this.fromOutside = outward / all;
    }

    /** W/m2 K from the middle of a cell to the wall. */
    static double conductance(Wall wall, double halfCell) {
        return 1 / (halfCell + wall.inner());
    }

    /** Moves the wall of one cell on by the step. W/m2 into the soap. */
    double flux(int cell, double soap, double outside) {
        double now = kept * temperature[cell] + fromSoap * soap + fromOutside * outside;
        temperature[cell] = now;
        return inward * (now - soap);
    }

    /** W/m2 that the wall of one cell gives to what is outside, after {@link #flux}. */
    double lost(int cell, double outside) {
        return outward * (temperature[cell] - outside);
    }

    /** J/m2 that the wall of one cell holds above 0 C. */
    double stored(int cell) {
        return wall.capacity() * temperature[cell];
    }
}
