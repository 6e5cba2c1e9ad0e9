package io.causticon.core.loaf;

import io.causticon.core.pots.Memo;
import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import org.hipparchus.random.RandomGenerator;
import org.hipparchus.random.Well19937c;

/** The same loaf under every set of parameters that the model allows: what can be said of it with honesty. */
public final class LoafEnsemble {

    private static final long SEED = 8424;
    private static final double LOG_RATE = 0.35;
    private static final double LOG_LOSS = 0.25;
    private static final double HEAT = 0.07;
    private static final double CONDUCTIVITY = 0.15;
    private static final double GEL_POINT = 3;
    private static final double ACTIVATION = 0.08;

    /** Whoever types at a plan asks for the same loaf at nearly every letter. */
    private static final Memo<Asked, LoafEnsemble> LAST = new Memo<>(6);

    private record Asked(LoafSetup setup, double hours, int draws) {}

    private final LoafHistory middle;
    private final List<LoafDraw> draws;

    private LoafEnsemble(LoafHistory middle, List<LoafDraw> draws) {
        this.middle = middle;
        this.draws = draws;
    }

    /** The run with the usual parameters. */
    public LoafHistory middle() {
        return middle;
    }

    /** Draws the same parameters each time, so that two forecasts differ only by what differs in the loaf. */
    public static LoafEnsemble of(LoafSetup setup, double hours, int draws) {
        return LAST.get(new Asked(setup, hours, draws), LoafEnsemble::workedOut);
    }

    /** The same, whatever is kept. */
    static LoafEnsemble workedOut(LoafSetup setup, double hours, int draws) {
        return workedOut(new Asked(setup, hours, draws));
    }

    private static LoafEnsemble workedOut(Asked asked) {
        RandomGenerator random = new Well19937c(SEED);
        List<LoafDraw> drawn = new ArrayList<>();
        for (int i = 0; i < asked.draws; i++) {
            drawn.add(LoafDraw.of(draw(asked.setup, asked.hours, random)));
        }
        return new LoafEnsemble(LoafHeat.run(asked.setup, asked.hours), List.copyOf(drawn));
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
        return band(LoafDraw::peak);
    }

    /** Central 80 % of the core's temperature this many hours after pouring, C. */
    public Interval coreBand(double hours) {
        return band(d -> d.coreCelsiusAt(hours));
    }

    private Interval band(ToDoubleFunction<LoafDraw> of) {
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
