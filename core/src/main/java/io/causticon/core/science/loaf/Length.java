package io.causticon.core.science.loaf;

import java.util.Arrays;

/**
 * The third dimension: a loaf along its length, from the middle to one end, as a rod whose sides lose what the section
 * loses. Where nothing reacts the section times the rod is the exact solution in three dimensions (Carslaw and Jaeger,
 * 1.15); with a reaction it is one as far as the ends react like the middle. The middle feels the ends when their cold
 * has come to it and not before.
 */
final class Length {

    private static final double CELL = 0.012;
    private static final int LEAST_CELLS = 5;
    private static final int MOST_CELLS = 10;

    /** It changes slowly and is moved on seldom. */
    private static final double LONGEST_STEP = 240;

    private static final double DONE = 0.9999;
    private static final double STEP_SAFETY = 0.8;

    /** Nearer to the outside than this nothing is lost that could be told from rounding. */
    private static final double LEAST_DIFFERENCE = 0.5;

    private final double along;
    private final double capacity;
    private final double perConversion;
    private final double dz;
    private final double[] theta;
    private final double[] x;
    private final double[] t;
    private final Soap soap;
    private final Face end;
    /** A step of its own is either many of the section's or a part of one. */
    private final double step;

    private final int substeps;
    private double sideLoss;
    private double pending;
    private double through;
    private double differences;
    private double into;

    /** @param step of the section, s */
    Length(LoafSetup setup, double conductivity, Soap soap, double step) {
        double half = setup.length() / 2;
        int cells = Math.max(LEAST_CELLS, Math.min(MOST_CELLS, (int) Math.round(half / CELL)));
        this.dz = half / cells;
        this.along = conductivity / (dz * dz);
        Batter batter = setup.batter();
        this.capacity = batter.volumetricCapacity();
        this.perConversion = batter.volumetricHeat() / capacity;
        this.soap = soap;
        this.theta = new double[cells];
        this.x = new double[cells];
        this.t = new double[cells];
        Arrays.fill(t, setup.poured().celsius());
        Arrays.fill(x, setup.converted());
        Arrays.fill(theta, soap.theta(setup.poured().celsius(), setup.converted()));
        double halfCell = dz / 2 / conductivity;
        double limit =
                STEP_SAFETY * capacity / Math.max(2 * along, along + Face.conductance(setup.side(), halfCell) / dz);
        int strides = Math.max(1, (int) (Math.min(LONGEST_STEP, limit) / step));
        this.substeps = (int) Math.ceil(strides * step / limit);
        this.step = strides * step / substeps;
        this.end = new Face(setup.side(), 1, halfCell, setup.wallsAt().celsius(), this.step);
    }

    /**
     * Moves on by a step of the section.
     *
     * @param inThroughWalls heat that comes in through the section's walls, W/m3
     * @param mean temperature of the section, C
     * @param seconds of the step
     * @return heat that comes along the length into the middle, W/m3; below 0 where the ends cool it
     */
    double advance(double inThroughWalls, double mean, double outside, double seconds) {
        pending += seconds;
        through += inThroughWalls * seconds;
        differences += (outside - mean) * seconds;
        if (pending > step * substeps * 0.999) {
            if (Math.abs(differences) > LEAST_DIFFERENCE * pending) {
                sideLoss = Math.max(0, through / differences);
            }
            into = 0;
            for (int i = 0; i < substeps; i++) {
                into += substep(outside) / substeps;
            }
            pending = 0;
            through = 0;
            differences = 0;
        }
        return into;
    }

    private double substep(double outside) {
        int last = t.length - 1;
        double into = along * (t[1] - t[0]);
        double before = 0;
        for (int i = 0; i <= last; i++) {
            double after = i < last ? along * (t[i + 1] - t[i]) : end.flux(0, t[i], outside) / dz;
            double grown = x[i] < DONE ? soap.growth(t[i], x[i], step) : 0;
            theta[i] += step * (after - before - sideLoss * (t[i] - outside)) / capacity + perConversion * grown;
            x[i] = Math.min(1, x[i] + grown);
            before = after;
        }
        for (int i = 0; i <= last; i++) {
            t[i] = soap.celsius(theta[i], x[i]);
            if (t[i] > Soap.BOILS) {
                theta[i] = soap.theta(Soap.BOILS, x[i]);
                t[i] = Soap.BOILS;
            }
        }
        return into;
    }
}
