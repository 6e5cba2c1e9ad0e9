package io.causticon.core.heat;

import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/**
 * The same loaf under every set of parameters that the model allows: what can be said of it with honesty.
 *
 * @param middle the run with the usual parameters
 * @param draws runs with drawn parameters
 */
public record LoafEnsemble(LoafHistory middle, List<LoafHistory> draws) {

    private static final long SEED = 8424;
    private static final double LOG_RATE = 0.35;
    private static final double LOG_LOSS = 0.25;
    private static final double HEAT = 0.07;
    private static final double CONDUCTIVITY = 0.15;
    private static final double GEL_POINT = 3;
    private static final double ACTIVATION = 0.08;

    /** Draws the same parameters each time, so that two forecasts differ only by what differs in the loaf. */
    public static LoafEnsemble of(LoafSetup setup, double hours, int draws) {
        RandomGenerator random = new Well19937c(SEED);
        List<LoafHistory> drawn = new ArrayList<>();
        for (int i = 0; i < draws; i++) {
            drawn.add(draw(setup, hours, random));
        }
        return new LoafEnsemble(LoafHeat.run(setup, hours), List.copyOf(drawn));
    }

    /** Share of the draws in which gel went this far, 0 to 1. */
    public double probabilityOf(LoafHistory.Extent extent) {
        return (double) draws.stream().filter(d -> d.extent() == extent).count() / draws.size();
    }

    public double probabilityPeakAbove(double celsius) {
        return (double) draws.stream().filter(d -> d.peak() > celsius).count() / draws.size();
    }

    /** Central 80 % of the peak, C. */
    public Interval peakBand() {
        return band(LoafHistory::peak);
    }

    /** Central 80 % of the core's temperature this many hours after pouring, C. */
    public Interval coreBand(double hours) {
        return band(d -> d.coreCelsiusAt(hours));
    }

    private Interval band(ToDoubleFunction<LoafHistory> of) {
        double[] sorted = draws.stream().mapToDouble(of).sorted().toArray();
        return Interval.between(
                sorted[(int) Math.round(0.1 * (sorted.length - 1))], sorted[(int) Math.round(0.9 * (sorted.length - 1))]);
    }

    private static LoafHistory draw(LoafSetup setup, double hours, RandomGenerator random) {
        double rate = Math.exp(LOG_RATE * random.nextGaussian());
        double loss = Math.exp(LOG_LOSS * random.nextGaussian());
        Batter batter = setup.batter()
                .with(1 + HEAT * random.nextGaussian(), GEL_POINT * random.nextGaussian(), rate);
        LoafHeat.Parameters usual = LoafHeat.Parameters.USUAL;
        LoafHeat.Parameters parameters = new LoafHeat.Parameters(
                usual.activationEnergy() * (1 + ACTIVATION * random.nextGaussian()),
                usual.conductivity() * Math.max(0.5, 1 + CONDUCTIVITY * random.nextGaussian()));
        LoafSetup drawn = new LoafSetup(
                batter,
                setup.width(),
                setup.height(),
                setup.length(),
                setup.side().looserBy(loss),
                setup.top().looserBy(loss),
                setup.bottom().looserBy(loss),
                setup.poured(),
                setup.converted(),
                setup.room());
        return LoafHeat.run(drawn, hours, parameters);
    }
}
