package io.causticon.core.science.loaf;

import java.util.Arrays;

/**
 * The heat of a setting loaf, in its cross-section.
 *
 * <p>Heat conduction with a source, {@code rc dT/dt = div(k grad T) + Q dX/dt}, conversion by {@link RateLaw}, latent
 * heat around the gel point, walls as one lump each, the loaf's length by {@link Length}, and what would pass 100 C
 * boiled away. Solved by finite volumes on one half of the section, explicit in conduction, with an exponential
 * Rosenbrock step for the conversion.
 *
 * <p>The parameters are fitted to outcomes that makers know and are not identified uniquely: one run is a middle, never
 * a promise (see {@link LoafEnsemble}). Moving air, neighbours of a cavity and ovens that overshoot are not in it. The
 * conversion is optimistic in its tail: it says nothing of whether a soap is safe.
 */
public final class LoafHeat {

    /** What the ensemble varies. */
    record Parameters(double activationEnergy, double conductivity) {

        static final Parameters USUAL = new Parameters(RateLaw.ACTIVATION_ENERGY, 0.28);
    }

    /**
     * How finely the section and the time are divided.
     *
     * @param cell what a cell measures, m, if that makes neither too few of them nor too many
     * @param step longest step, s
     */
    record Resolution(double cell, int leastColumns, int mostColumns, int leastRows, int mostRows, double step) {

        /** Within 0.1 K of what it converges to. */
        static final Resolution FINE = new Resolution(0.007, 6, 10, 7, 12, 60);

        /** For the many runs of an ensemble, whose middle is put right by a fine one. */
        static final Resolution COARSE = new Resolution(0.011, 4, 5, 5, 6, 120);

        int columns(LoafSetup setup) {
            return within(setup.width() / 2, leastColumns, mostColumns);
        }

        int rows(LoafSetup setup) {
            return within(setup.height(), leastRows, mostRows);
        }

        private int within(double metres, int least, int most) {
            return Math.max(least, Math.min(most, (int) Math.round(metres / cell)));
        }
    }

    private static final double RESTS_ABOVE_ROOM = 0.3;
    private static final double ALL_CONVERTED = 0.9995;

    /**
     * What is left, where the walls keep it cold, goes slowly and warms nothing past a peak that is over by so many K.
     */
    private static final double MOSTLY_CONVERTED = 0.7;

    private static final double PAST_PEAK = 5;

    /** What is left gives less than a kelvin. */
    private static final double NEARLY_CONVERTED = 0.98;

    private static final double DONE = 0.9999;
    private static final int STEPS_BETWEEN_LOOKS = 10;

    /** Nearer to what is outside than this a section has no shape that could be told. */
    private static final double LEAST_DIFFERENCE = 2;

    /** J/kg at 100 C. */
    private static final double LATENT_HEAT_OF_STEAM = 2.257e6;

    /** How long it is followed. */
    record Span(double hours, Until until) {

        enum Until {
            /** Its peak is past and too little is left for another: nothing more melts or gels. */
            PEAKED,
            COLD
        }

        static Span untilCold(double hours) {
            return new Span(hours, Until.COLD);
        }

        static Span untilPeaked(double hours) {
            return new Span(hours, Until.PEAKED);
        }
    }

    private final Programme around;
    private final double capacity;
    private final double perConversion;
    private final Grid grid;
    private final Soap soap;
    private final Length length;
    private final double step;
    private final double[] theta;
    private final double[] x;
    private final double[] t;
    private final double[] aboveGel;
    private double peak;
    private double peakSecond;
    private double boiled;
    private double alongLength;
    private double leastConverted;
    private double warmest;
    private boolean onlyCools;

    private LoafHeat(LoafSetup setup, Parameters parameters, Resolution resolution) {
        Batter batter = setup.batter();
        this.around = setup.around();
        this.capacity = batter.volumetricCapacity();
        this.perConversion = batter.volumetricHeat() / capacity;
        this.soap = new Soap(batter, parameters.activationEnergy());
        this.grid = new Grid(setup, parameters.conductivity(), resolution);
        this.step = grid.step();
        this.length = setup.shape() == LoafSetup.Shape.CYLINDER
                ? null
                : new Length(setup, parameters.conductivity(), soap, step);
        int n = grid.columns() * grid.rows();
        this.theta = new double[n];
        this.x = new double[n];
        this.t = new double[n];
        this.aboveGel = new double[n];
        double poured = setup.poured().celsius();
        Arrays.fill(t, poured);
        Arrays.fill(x, setup.converted());
        Arrays.fill(theta, soap.theta(poured, setup.converted()));
        Arrays.fill(aboveGel, soap.aboveGel(poured, setup.converted()));
        this.peak = poured;
        this.warmest = poured;
        this.leastConverted = setup.converted();
    }

    /** Runs until the reaction is done and the loaf is cold, at most this many hours. */
    public static LoafHistory run(LoafSetup setup, double hours) {
        return run(setup, Span.untilCold(hours), Parameters.USUAL, Resolution.FINE);
    }

    static LoafHistory run(LoafSetup setup, Span span, Parameters parameters, Resolution resolution) {
        LoafHeat heat = new LoafHeat(setup, parameters, resolution);
        LoafHistory.Recorder recorder = new LoafHistory.Recorder(heat.grid);
        heat.simulate(span, seconds -> recorder.record(seconds, heat.t, heat.x));
        return recorder.history(
                setup.batter(), heat.peak, heat.peakSecond / 3600, heat.aboveGel, heat.boiledOff(setup.batter()));
    }

    /** The same, of which only the middle is kept. */
    static LoafDraw draw(LoafSetup setup, Span span, Parameters parameters, Resolution resolution) {
        LoafHeat heat = new LoafHeat(setup, parameters, resolution);
        LoafHistory.Cells cells = heat.grid.cells();
        double[] core = new double[(int) Math.ceil(span.hours() * 3600 / LoafHistory.FRAME_SECONDS) + 1];
        int[] frames = {0};
        double[] convertedHour = {span.hours()};
        heat.simulate(span, seconds -> {
            if (heat.leastConverted < NEARLY_CONVERTED) {
                convertedHour[0] = Math.min(span.hours(), (seconds + heat.step) / 3600);
            }
            if (LoafHistory.isDue(seconds, frames[0]) && frames[0] < core.length) {
                core[frames[0]++] = LoafHistory.middle(heat.t, cells);
            }
        });
        return new LoafDraw(
                heat.peak,
                GelField.share(cells, heat.aboveGel),
                convertedHour[0],
                LoafHistory.FRAME_SECONDS,
                Arrays.copyOf(core, frames[0]));
    }

    /**
     * Heat that is not accounted for after so many hours, against all that was set free. Not read by anything but
     * tests.
     */
    static double imbalance(LoafSetup setup, double hours) {
        LoafHeat heat = new LoafHeat(setup, Parameters.USUAL, Resolution.FINE);
        double[] lost = {0};
        double[] along = {0};
        double before = heat.held();
        double soapBefore = heat.grid.mean(heat.x);
        heat.simulate(Span.untilCold(hours), seconds -> {
            if (seconds > 0) {
                lost[0] += heat.step * heat.grid.lost(setup.around().celsiusAt(seconds - heat.step));
                along[0] += heat.step * heat.alongLength;
            }
        });
        double free = (heat.grid.mean(heat.x) - soapBefore) * setup.batter().volumetricHeat();
        return (heat.held() - before - free + lost[0] - along[0] + heat.boiled) / Math.max(free, 1);
    }

    private double held() {
        return grid.mean(theta) * capacity + grid.inWalls();
    }

    private interface Look {
        void at(double seconds);
    }

    private void simulate(Span span, Look look) {
        double end = span.hours() * 3600;
        int done = 0;
        for (double seconds = 0; ; seconds += step) {
            look.at(seconds);
            if (seconds >= end || done++ % STEPS_BETWEEN_LOOKS == 0 && isDone(seconds, span.until())) {
                return;
            }
            advance(seconds);
        }
    }

    private void advance(double seconds) {
        double outside = around.celsiusAt(seconds);
        double[] flow = grid.heatInto(t, outside);
        double mean = length == null ? 0 : grid.mean(t);
        alongLength = length == null ? 0 : length.advance(grid.throughWalls(), mean, outside, step);
        // What the length takes is taken where the warmth is: the section keeps its shape.
        boolean shaped = Math.abs(mean - outside) > LEAST_DIFFERENCE;
        double factor = shaped ? alongLength / (mean - outside) : 0;
        double flat = shaped ? 0 : alongLength;
        double perHeat = step / capacity;
        if (onlyCools && outside < soap.meltsAt()) {
            for (int i = 0; i < t.length; i++) {
                t[i] += perHeat * (flow[i] + factor * (t[i] - outside) + flat);
            }
            System.arraycopy(t, 0, theta, 0, t.length);
            return;
        }
        react(seconds, flow, perHeat, factor, outside, flat);
    }

    /** Heat, soap, latent heat and boiling of each cell. */
    private void react(double seconds, double[] flow, double perHeat, double factor, double outside, double flat) {
        double least = 1;
        warmest = Double.NEGATIVE_INFINITY;
        int columns = grid.columns();
        for (int i = 0; i < theta.length; i++) {
            double celsius = t[i];
            double soapy = x[i];
            double warmed = theta[i] + perHeat * (flow[i] + factor * (celsius - outside) + flat);
            if (soapy < DONE) {
                double grown = soap.growth(celsius, soapy, step);
                warmed += perConversion * grown;
                soapy = soapy + grown < 1 ? soapy + grown : 1;
                x[i] = soapy;
                if (soapy < least) {
                    least = soapy;
                }
            }
            celsius = soap.celsius(warmed, soapy);
            if (celsius > Soap.BOILS) {
                double kept = soap.theta(Soap.BOILS, soapy);
                boiled += (warmed - kept) * capacity * grid.part(i % columns);
                warmed = kept;
                celsius = Soap.BOILS;
            }
            theta[i] = warmed;
            t[i] = celsius;
            if (celsius > warmest) {
                warmest = celsius;
            }
            double above = soap.aboveGel(celsius, soapy);
            if (above > aboveGel[i]) {
                aboveGel[i] = above;
            }
        }
        leastConverted = least;
        if (warmest > peak) {
            peak = warmest;
            peakSecond = seconds + step;
        }
        // From here on there is nothing left that makes heat, nor anything that melts or sets.
        onlyCools = least >= DONE && warmest < soap.meltsAt();
    }

    /** Water that left as steam, as a share of the batter's mass. */
    private double boiledOff(Batter batter) {
        return boiled / LATENT_HEAT_OF_STEAM / batter.density();
    }

    private boolean isDone(double seconds, Span.Until until) {
        if (until == Span.Until.PEAKED
                && leastConverted > MOSTLY_CONVERTED
                && warmest < peak - PAST_PEAK
                && around.isSteadyAt(seconds)) {
            return true;
        }
        if (leastConverted < ALL_CONVERTED || !around.isSteadyAt(seconds)) {
            return false;
        }
        double outside = around.last().celsius();
        for (double celsius : t) {
            if (Math.abs(celsius - outside) > RESTS_ABOVE_ROOM) {
                return false;
            }
        }
        return true;
    }
}
