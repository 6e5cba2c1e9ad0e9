package io.causticon.core.science.loaf;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Memo;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.SobolSequenceGenerator;
import org.jspecify.annotations.Nullable;

/**
 * The same loaf under every set of parameters that the model allows: what can be said of it with honesty.
 *
 * <p>Two hundred draws of six parameters, spread evenly over their distributions (Sobol's sequence), on a coarse
 * section; by how much that is off is known from one fine run of the middle, and put right in all of them.
 */
public final class LoafEnsemble {

    /** Above this, C, a loaf is said to overheat: it foams, heaves and cracks from some kelvin more. */
    public static final double TOO_HOT = 90;

    /** However often it is asked, wherever it is shown: the same draws. */
    static final int DRAWS = 200;

    private static final double HEAT = 0.07;
    private static final double CONDUCTIVITY = 0.15;
    private static final double GEL_POINT = 3;
    private static final double ACTIVATION = 0.08;
    private static final double LEAST_CONDUCTIVITY = 0.5;
    private static final int PARAMETERS = 6;
    private static final double LOOKS_EVERY = 0.25;

    private static final double[][] NORMAL = normal();

    /** Whoever types at a plan asks for the same loaf at nearly every letter. */
    private static final Memo<Asked, LoafEnsemble> LAST = new Memo<>(6);

    private record Asked(LoafSetup setup, LoafHeat.Span span) {}

    private final Asked asked;
    private final LoafHistory middle;
    private final LoafDraw coarse;

    /** Worked out when they are asked for: who wants the middle alone has it at once. */
    private volatile @Nullable List<LoafDraw> draws;

    private LoafEnsemble(Asked asked) {
        this.asked = asked;
        LoafSetup likely = asked.setup.mostLikely();
        this.middle = LoafHeat.run(likely, asked.span, LoafHeat.Parameters.USUAL, LoafHeat.Resolution.FINE);
        this.coarse = LoafHeat.draw(likely, asked.span, LoafHeat.Parameters.USUAL, LoafHeat.Resolution.COARSE);
    }

    /** For each draw, how many standard deviations each parameter is off its middle. */
    private static double[][] normal() {
        SobolSequenceGenerator sobol = new SobolSequenceGenerator(PARAMETERS);
        NormalDistribution standard = new NormalDistribution();
        // The first point is the corner of them all, which has no place in a normal distribution.
        sobol.skipTo(1);
        double[][] draws = new double[DRAWS][];
        for (int i = 0; i < DRAWS; i++) {
            draws[i] = DoubleStream.of(sobol.nextVector())
                    .map(standard::inverseCumulativeProbability)
                    .toArray();
        }
        return draws;
    }

    /** How far its walls and its batter are taken to be from what is reckoned. */
    public LoafExpectation expected() {
        return asked.setup.expected();
    }

    /** The run with the most likely parameters. */
    public LoafHistory middle() {
        return middle;
    }

    /** Over so many hours or until it is cold. Two forecasts differ only by what differs in the loaf. */
    public static LoafEnsemble of(LoafSetup setup, double hours) {
        return LAST.get(new Asked(setup, LoafHeat.Span.untilCold(hours)), LoafEnsemble::new);
    }

    /** As far as anything warms it: its peak and its gel. What comes after that is not in it. */
    public static LoafEnsemble toThePeak(LoafSetup setup, double hours) {
        return LAST.get(new Asked(setup, LoafHeat.Span.untilPeaked(hours)), LoafEnsemble::new);
    }

    /** The same, whatever is kept. */
    static LoafEnsemble workedOut(LoafSetup setup, double hours) {
        return new LoafEnsemble(new Asked(setup, LoafHeat.Span.untilCold(hours)));
    }

    private List<LoafDraw> draws() {
        List<LoafDraw> known = draws;
        if (known == null) {
            known = Stream.of(NORMAL)
                    .parallel()
                    .map(n -> draw(asked.setup, asked.span, n))
                    .toList();
            draws = known;
        }
        return known;
    }

    /** Share of the draws in which gel went this far, 0 to 1; off by {@link #error} for their number. */
    public double probabilityOf(LoafHistory.Extent extent) {
        double off = middle.gelShare() - coarse.gelShare();
        return share(draws().stream()
                .filter(d -> LoafHistory.extent(d.gelShare() + off * slope(d.gelShare())) == extent)
                .count());
    }

    /** What is off in the middle is not off where nothing or all of it gelled. */
    private static double slope(double gelShare) {
        return 4 * gelShare * (1 - gelShare);
    }

    public double probabilityPeakAbove(double celsius) {
        double off = middle.peak() - coarse.peak();
        return share(draws().stream().filter(d -> d.peak() + off > celsius).count());
    }

    private double share(long count) {
        return (double) count / DRAWS;
    }

    /** Standard error of a probability from so many draws, at most: they are spread evenly, which makes it smaller. */
    public static double standardErrorShare(double probability) {
        return Math.sqrt(probability * (1 - probability) / DRAWS);
    }

    /** Central 80 % of the peak, C. */
    public Interval peakBand() {
        Interval band = band(LoafDraw::peak, middle.peak() - coarse.peak());
        return Interval.between(Math.min(Soap.BOILS, band.low()), Math.min(Soap.BOILS, band.high()));
    }

    /** Central 80 % of the core's temperature this many hours after pouring, C. */
    public Interval coreBand(double hours) {
        return band(d -> d.coreCelsiusAt(hours), middle.coreCelsiusAt(hours) - coarse.coreCelsiusAt(hours));
    }

    /** Hours after pouring at which a look at the middle tells most: where the draws are farthest apart. */
    public double mostTellingHour() {
        double best = LOOKS_EVERY;
        double widest = 0;
        for (double hour = LOOKS_EVERY; hour <= middle.hours(); hour += LOOKS_EVERY) {
            Interval band = coreBand(hour);
            if (band.high() - band.low() > widest) {
                widest = band.high() - band.low();
                best = hour;
            }
        }
        return best;
    }

    /** Hours after pouring from which on nothing warms it any more, in nine of ten draws. */
    public double settledHour() {
        double[] hours =
                draws().stream().mapToDouble(LoafDraw::convertedHour).sorted().toArray();
        return hours[(int) Math.round(0.9 * (hours.length - 1))];
    }

    private Interval band(ToDoubleFunction<LoafDraw> of, double off) {
        double[] sorted = draws().stream().mapToDouble(of).sorted().toArray();
        return Interval.between(
                sorted[(int) Math.round(0.1 * (sorted.length - 1))] + off,
                sorted[(int) Math.round(0.9 * (sorted.length - 1))] + off);
    }

    /** One loaf, its parameters so many standard deviations off their middle. */
    static LoafDraw draw(LoafSetup setup, LoafHeat.Span span, double[] n) {
        LoafExpectation expected = setup.expected();
        double rate = Math.exp(expected.logRate() + expected.rateSpread() * n[0]);
        double loss = Math.exp(expected.logLoss() + expected.lossSpread() * n[1]);
        Batter batter = setup.batter().with(1 + HEAT * n[2], GEL_POINT * n[3], rate);
        LoafHeat.Parameters usual = LoafHeat.Parameters.USUAL;
        LoafHeat.Parameters parameters = new LoafHeat.Parameters(
                usual.activationEnergy() * (1 + ACTIVATION * n[4]),
                usual.conductivity() * Math.max(LEAST_CONDUCTIVITY, 1 + CONDUCTIVITY * n[5]));
        return LoafHeat.draw(setup.with(batter, loss), span, parameters, LoafHeat.Resolution.COARSE);
    }
}
