package io.causticon.core.science.cure;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.LeastSquares;
import io.causticon.core.quantity.Memo;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DiagonalMatrix;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * How bars dry, by what is expected of them and by whatever weighings there are.
 *
 * <p>{@code m(t) = m_0 (1 - L + L (s exp(-t / T1) + (1 - s) exp(-t / T2)))}: L is what a bar can lose, T2 the slow
 * part, T1 the skin. L, T2, T1 and s have priors from the bar and its air ({@link DryingBar}), each bar a mass of its
 * own; all are fitted to the logarithms of the masses by least squares (Levenberg-Marquardt), and the inverse of the
 * normal matrix gives the spread. What is forecast is read from 256 draws of that (Sobol's sequence), so that a date
 * has the skew that it has.
 */
public final class Drying {

    /**
     * One weighing.
     *
     * @param days since the cut
     * @param grams what the scale showed
     * @param bar what it is known by: its number, its portion, both; empty where that was not said
     */
    public record Weighing(double days, double grams, String bar) {}

    /**
     * A bar that loses less than this of its mass in a week is dry (a judgement: half a gram of a bar of a hundred).
     */
    public static final double DRY_BELOW_A_WEEK = 0.005;

    /** Of the slow days, as a logarithm: draughts, and how close bars stand (a judgement). */
    private static final double SLOW_SPREAD = 0.20;

    /** Of the share that the skin has, and of its days as a logarithm (judgements). */
    private static final double SKIN_SPREAD = 0.07;

    private static final double QUICK_SPREAD = 0.30;

    /** Of a slab the first mode has 8 / pi^2 of the water, the next nine times as quick. */
    private static final double SKIN_SHARE = 0.19;

    private static final double SKIN_QUICKER = 9;

    /** g: a kitchen scale, and a bar that is put down a little differently. */
    private static final double NOISE_GRAMS = 0.5;

    /** Standard deviations: beyond that a weighing counts for little, and is asked about. */
    private static final double ROBUST_FROM = 2.5;

    private static final double ODD_FROM = 5;
    private static final double SHOWN_BY_EQUALS = 7;
    private static final int SHAPE = 4;
    private static final int MOST_BARS = 12;
    private static final int DRAWS = 256;
    private static final int EVALUATIONS = 60;
    private static final double CLOSE = 1e-6;
    private static final double STEP = 1e-4;
    private static final double LONGEST_DAYS = 400;
    private static final double OF_TEN_AT_EACH_SIDE = 0.1;
    private static final double LEAST_SHARE = 0.02;
    private static final double MOST_SHARE = 0.6;

    /** One is asked for several times on a page, and by every page of its batch until it is weighed again. */
    private static final Memo<Asked, Drying> LAST = new Memo<>(200);

    private record Asked(DryingBar bar, List<Weighing> weighings) {}

    private final DryingBar bar;
    private final List<Weighing> weighings;
    private final List<String> bars;
    private final double[] prior;
    private final double[] spread;
    private double[] best;
    private double[][] draws;

    /** Of each draw, the shortest first. */
    private double[] daysUntilDry = {};

    private List<Phrase> told = List.of();

    private Drying(DryingBar bar, List<Weighing> weighings) {
        this.bar = bar;
        List<Weighing> since = weighings.stream()
                .filter(w -> w.days() >= 0 && w.grams() > 0)
                .sorted(Comparator.comparingDouble(Weighing::days))
                .toList();
        this.bars = mostWeighed(since);
        this.weighings = since.stream().filter(w -> bars.contains(w.bar())).toList();
        double slow = bar.slowDays();
        this.prior = new double[] {Math.log(bar.canLose()), Math.log(slow), SKIN_SHARE, Math.log(slow / SKIN_QUICKER)};
        this.spread = new double[] {bar.canLoseSpread(), SLOW_SPREAD, SKIN_SPREAD, QUICK_SPREAD};
    }

    /** A dozen bars tell how a batch dries; with a parameter for each of hundreds nothing would be fitted in time. */
    private static List<String> mostWeighed(List<Weighing> weighings) {
        Map<String, Long> counts =
                weighings.stream().collect(Collectors.groupingBy(Weighing::bar, TreeMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed())
                .limit(MOST_BARS)
                .map(Map.Entry::getKey)
                .sorted()
                .toList();
    }

    /** @param weighings since the cut, in any order; of bars whose number was not said, of one and the same */
    public static Drying of(DryingBar bar, List<Weighing> weighings) {
        return LAST.get(new Asked(bar, List.copyOf(weighings)), a -> fitted(a.bar(), a.weighings()));
    }

    private static Drying fitted(DryingBar bar, List<Weighing> weighings) {
        Drying drying = new Drying(bar, weighings);
        drying.fit();
        drying.told = drying.oddities();
        drying.daysUntilDry = Arrays.stream(drying.draws)
                .mapToDouble(drying::readyDay)
                .sorted()
                .toArray();
        return drying;
    }

    /** Of its mass: what loses less in a week is dry, as it stands. */
    public double dryBelowAWeekShare() {
        return bar.dryBelow();
    }

    /** Whether it stands so that it loses less than it could. */
    public boolean isCovered() {
        return bar.isCovered();
    }

    /** Whether its air is damper than usual, so that it stays wetter. */
    public boolean isInDampAir() {
        return bar.isInDampAir();
    }

    /** Days after the cut until it is dry, in the middle. */
    public double readyDay() {
        return quantile(0.5);
    }

    /** Central 80 % of that. */
    public Interval readyDays() {
        return Interval.between(quantile(OF_TEN_AT_EACH_SIDE), quantile(1 - OF_TEN_AT_EACH_SIDE));
    }

    /** What is left of its mass when it was cut, in the middle, 0 to 1. */
    public double massShareAt(double days) {
        return share(best, days);
    }

    /** Central 80 % of that. */
    public Interval massShareBandAt(double days) {
        double[] all =
                Arrays.stream(draws).mapToDouble(d -> share(d, days)).sorted().toArray();
        return Interval.between(
                all[(int) (OF_TEN_AT_EACH_SIDE * all.length)], all[(int) ((1 - OF_TEN_AT_EACH_SIDE) * all.length)]);
    }

    /** Water that is left in it then, of its mass then. */
    public double waterShareAt(double days) {
        double left = massShareAt(days);
        return Math.max(0, 1 - bar.freshWater().complement().fraction() / left);
    }

    /** g of a bar when it was cut, by what it is known by; empty where it was never weighed. */
    public Optional<Double> freshGrams(String label) {
        int at = bars.indexOf(label);
        return at < 0 ? Optional.empty() : Optional.of(Math.exp(best[SHAPE + at]));
    }

    /** What the bars that were weighed are known by. */
    public List<String> bars() {
        return bars;
    }

    /** The weighings that it stands on, in the order of their days. */
    public List<Weighing> shown() {
        return weighings;
    }

    /** On how many weighings it stands. */
    public int weighings() {
        return weighings.size();
    }

    /** What is odd about the weighings, in words; empty where nothing is. */
    public List<Phrase> told() {
        return told;
    }

    private double quantile(double part) {
        return daysUntilDry[Math.min(daysUntilDry.length - 1, (int) (part * daysUntilDry.length))];
    }

    private static double share(double[] p, double days) {
        double skin = skin(p);
        return 1
                - loss(p)
                        * (1 - skin * Math.exp(-days / Math.exp(p[3])) - (1 - skin) * Math.exp(-days / Math.exp(p[1])));
    }

    private static double loss(double[] p) {
        return Math.min(0.6, Math.exp(p[0]));
    }

    private static double skin(double[] p) {
        return Math.max(LEAST_SHARE, Math.min(MOST_SHARE, p[2]));
    }

    /** Halved until it is known to an hour: what is lost a week falls all the time. */
    private double readyDay(double[] p) {
        double low = 0;
        double high = LONGEST_DAYS;
        if (weekly(p, 0) < bar.dryBelow()) {
            return 0;
        }
        while (high - low > 0.04) {
            double middle = (low + high) / 2;
            if (weekly(p, middle) < bar.dryBelow()) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }

    private static double weekly(double[] p, double days) {
        return (share(p, days) - share(p, days + SHOWN_BY_EQUALS)) / share(p, days);
    }

    private void fit() {
        double[] start = Arrays.copyOf(prior, SHAPE + bars.size());
        for (int b = 0; b < bars.size(); b++) {
            String label = bars.get(b);
            Weighing first = weighings.stream()
                    .filter(w -> w.bar().equals(label))
                    .findFirst()
                    .orElseThrow();
            start[SHAPE + b] = Math.log(first.grams() / share(prior, first.days()));
        }
        try {
            LeastSquares found =
                    LeastSquares.of(this::residuals, start, new LeastSquares.Search(STEP, CLOSE, EVALUATIONS));
            best = found.best();
            draws = drawn(found.covariance().getSubMatrix(0, SHAPE - 1, 0, SHAPE - 1));
        } catch (MathRuntimeException e) {
            // No bar has these masses: what was expected of it stands, and the weighings are asked about.
            best = start;
            draws = drawn(
                    new DiagonalMatrix(Arrays.stream(spread).map(s -> s * s).toArray()));
        }
    }

    private double[][] drawn(RealMatrix covariance) {
        RealMatrix even = covariance.add(covariance.transpose()).scalarMultiply(0.5);
        RealMatrix root = new CholeskyDecomposition(even, 1e-6, 1e-14).getL();
        SobolSequenceGenerator sobol = new SobolSequenceGenerator(SHAPE);
        sobol.skipTo(1);
        NormalDistribution normal = new NormalDistribution();
        double[][] all = new double[DRAWS][];
        for (int d = 0; d < DRAWS; d++) {
            double[] z = Arrays.stream(sobol.nextVector())
                    .map(u -> normal.inverseCumulativeProbability(Math.max(1e-6, Math.min(1 - 1e-6, u))))
                    .toArray();
            double[] moved = root.operate(z);
            double[] p = best.clone();
            for (int i = 0; i < SHAPE; i++) {
                p[i] += moved[i];
            }
            all[d] = p;
        }
        return all;
    }

    private double[] residuals(double[] p) {
        double[] r = new double[weighings.size() + SHAPE];
        for (int i = 0; i < weighings.size(); i++) {
            double off = off(p, weighings.get(i));
            // As a Cauchy distribution would have it.
            r[i] = Math.signum(off) * ROBUST_FROM * Math.sqrt(Math.log1p(off * off / (ROBUST_FROM * ROBUST_FROM)));
        }
        for (int i = 0; i < SHAPE; i++) {
            r[weighings.size() + i] = (p[i] - prior[i]) / spread[i];
        }
        return r;
    }

    /** How far a weighing is from the model, in standard deviations. */
    private double off(double[] p, Weighing w) {
        double expected = p[SHAPE + bars.indexOf(w.bar())] + Math.log(share(p, w.days()));
        return (Math.log(w.grams()) - expected) * w.grams() / NOISE_GRAMS;
    }

    private List<Phrase> oddities() {
        List<Phrase> odd = new ArrayList<>();
        Map<String, List<Weighing>> each =
                weighings.stream().collect(Collectors.groupingBy(Weighing::bar, TreeMap::new, Collectors.toList()));
        each.forEach((label, of) -> {
            String name = label.isEmpty() ? "The bar" : "Bar " + label;
            Weighing first = of.get(0);
            Weighing last = of.get(of.size() - 1);
            double between = last.days() - first.days();
            double expected = first.grams() * (1 - share(prior, last.days()) / share(prior, first.days()));
            if (of.size() > 1 && last.grams() > first.grams() + 2 * NOISE_GRAMS) {
                odd.add(Phrase.of("{} gains weight: damp air, another bar, or another scale", name));
            } else if (of.size() > 1
                    && between >= SHOWN_BY_EQUALS
                    && expected > 4 * NOISE_GRAMS
                    && first.grams() - last.grams() < NOISE_GRAMS) {
                odd.add(Phrase.of(
                        "{} lost nothing in {} days where {} g were expected: is it wrapped, or the scale coarse?",
                        name,
                        between,
                        expected));
            }
        });
        weighings.stream()
                .filter(w -> Math.abs(off(best, w)) > ODD_FROM)
                .forEach(w -> odd.add(Phrase.of(
                        "{} g on day {} does not go with the others: another bar or another scale?",
                        new Exactly(w.grams(), 1),
                        w.days())));
        return odd;
    }
}
