package io.causticon.core.loaf;

import java.util.Arrays;

/**
 * The heat of a setting loaf, in its cross-section.
 *
 * <p>Heat conduction with a source, {@code rc dT/dt = div(k grad T) + Q dX/dt - gz (T - T_room)}, conversion by {@link RateLaw}, latent heat
 * around the gel point, walls as one lump each, the loaf's length as a sink {@code gz}. Solved by finite volumes on one half of the section, explicit in conduction,
 * with an exponential Rosenbrock step for the conversion.
 *
 * <p>The parameters are fitted to outcomes that makers know and are not identified uniquely: one run is a middle, never a
 * promise (see {@link LoafEnsemble}). Evaporation, boiling, moving air and ovens that overshoot are not in it. The conversion is
 * optimistic in its tail: it says nothing of whether a soap is safe.
 */
public final class LoafHeat {

    /** What the ensemble varies. */
    record Parameters(double activationEnergy, double conductivity) {

        static final Parameters USUAL = new Parameters(RateLaw.ACTIVATION_ENERGY, 0.28);
    }

    private static final double GEL_LATENT_HEAT = 8000;
    private static final double GEL_HALF_WIDTH = 4;
    private static final double GELLED_CONVERSION = 0.30;
    private static final double CELL = 0.007;
    private static final int LEAST_COLUMNS = 7;
    private static final double STEP_SAFETY = 0.85;
    private static final double LONGEST_STEP = 60;
    private static final double FRAME_SECONDS = 300;
    private static final double RESTS_ABOVE_ROOM = 0.3;
    private static final double ALL_CONVERTED = 0.9995;

    private final LoafSetup setup;
    private final Parameters parameters;
    private final double capacity;
    private final double latent;
    private final double sink;
    private final Grid grid;
    private final Rates rates;

    /** Rate against temperature, looked up instead of worked out in each cell at each step; between its entries it is off by 5 in a million. */
    private static final class Rates {

        private static final double FROM = -50;
        private static final double TO = 250;
        private static final int A_KELVIN = 10;

        private final double[] table = new double[(int) (TO - FROM) * A_KELVIN + 2];

        Rates(double factor, double activationEnergy) {
            for (int i = 0; i < table.length; i++) {
                table[i] = RateLaw.rate(FROM + (double) i / A_KELVIN, factor, activationEnergy);
            }
        }

        double at(double celsius) {
            double place = (Math.max(FROM, Math.min(TO, celsius)) - FROM) * A_KELVIN;
            int i = (int) place;
            return table[i] + (table[i + 1] - table[i]) * (place - i);
        }
    }

    private LoafHeat(LoafSetup setup, Parameters parameters) {
        this.setup = setup;
        this.parameters = parameters;
        Batter batter = setup.batter();
        this.capacity = batter.volumetricCapacity();
        this.latent = GEL_LATENT_HEAT * batter.density() / capacity;
        double half = setup.length() / 2;
        double end = 1 / setup.side().transfer();
        this.sink = setup.shape() == LoafSetup.Shape.CYLINDER ? 0 : 1 / (half * (end + 4 * half / (Math.PI * Math.PI * parameters.conductivity())));
        this.rates = new Rates(batter.rate(), parameters.activationEnergy());
        this.grid = new Grid(setup, parameters.conductivity(), Math.min(CELL, setup.width() / 2 / LEAST_COLUMNS));
    }

    /** Runs until the reaction is done and the loaf is cold, at most this many hours. */
    public static LoafHistory run(LoafSetup setup, double hours) {
        return run(setup, hours, Parameters.USUAL);
    }

    static LoafHistory run(LoafSetup setup, double hours, Parameters parameters) {
        return new LoafHeat(setup, parameters).simulate(hours);
    }

    private LoafHistory simulate(double hours) {
        int n = grid.cells();
        double[] theta = new double[n];
        double[] conversion = new double[n];
        double[] temperature = new double[n];
        boolean[] gelled = new boolean[n];
        Arrays.fill(theta, setup.poured().celsius());
        Arrays.fill(conversion, setup.converted());
        double step = Math.min(LONGEST_STEP, STEP_SAFETY * grid.stableStep(capacity, sink));
        LoafHistory.Recorder recorder = new LoafHistory.Recorder(
                grid.columns(), grid.rows(), FRAME_SECONDS, setup.shape() == LoafSetup.Shape.CYLINDER);
        double end = hours * 3600;
        for (double t = 0; ; t += step) {
            readTemperatures(theta, conversion, temperature, gelled);
            recorder.record(t, temperature, conversion, gelled);
            if (t >= end || isAtRest(temperature, conversion)) {
                return recorder.history(setup.batter().gelPoint());
            }
            advance(theta, conversion, temperature, step);
        }
    }

    private void advance(double[] theta, double[] conversion, double[] temperature, double step) {
        double room = setup.room().celsius();
        double[] flux = grid.heatInto(temperature, room, step);
        double perConversion = setup.batter().volumetricHeat() / capacity;
        for (int i = 0; i < theta.length; i++) {
            double grown = conversion[i] < 1 ? growth(temperature[i], conversion[i], step) : 0;
            double lost = sink * (temperature[i] - room);
            theta[i] += step * (flux[i] - lost) / capacity + perConversion * grown;
            conversion[i] = Math.min(1, conversion[i] + grown);
        }
    }

    private double growth(double celsius, double x, double step) {
        double ke = rates.at(celsius);
        double y = ke * (x + RateLaw.SELF_START) * (1 - x) * step;
        double s = ke * (1 - 2 * x - RateLaw.SELF_START) * step;
        return y / (1 - s / 2 + s * s / 12);
    }

    private void readTemperatures(double[] theta, double[] conversion, double[] temperature, boolean[] gelled) {
        double gel = setup.batter().gelPoint();
        double low = gel - GEL_HALF_WIDTH;
        for (int i = 0; i < theta.length; i++) {
            double hidden = latent * conversion[i];
            if (theta[i] <= low) {
                temperature[i] = theta[i];
            } else if (theta[i] >= gel + GEL_HALF_WIDTH + hidden) {
                temperature[i] = theta[i] - hidden;
            } else {
                double slope = hidden / (2 * GEL_HALF_WIDTH);
                temperature[i] = (theta[i] + slope * low) / (1 + slope);
            }
            gelled[i] |= temperature[i] >= gel && conversion[i] >= GELLED_CONVERSION;
        }
    }

    private boolean isAtRest(double[] temperature, double[] conversion) {
        double room = setup.room().celsius();
        for (int i = 0; i < temperature.length; i++) {
            if (conversion[i] < ALL_CONVERTED || Math.abs(temperature[i] - room) > RESTS_ABOVE_ROOM) {
                return false;
            }
        }
        return true;
    }
}
