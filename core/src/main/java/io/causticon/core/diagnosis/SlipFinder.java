package io.causticon.core.diagnosis;

import io.causticon.core.formula.Superfat;
import io.causticon.core.formula.Weights;
import io.causticon.core.observation.KnownVessels;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.Entry;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Which single slip explains an excess of alkali, or a softness? Every slip is a hypothesis with the superfat it would lead to.
 * Before any test the hypotheses give the distribution of the superfat; after the tests they share out what was found.
 */
final class SlipFinder {

    /** Spread of the mass that bars account for: what sticks to vessels and dries off. */
    private static final double MASS_SPREAD = 0.04;

    /** Of a superfat whose weights nobody wrote down, one standard deviation (a judgement: two per cent of the lye or of a fat). */
    private static final double UNLOGGED_SPREAD = 0.02;

    /** Of a superfat after a slip that nobody thought of, one standard deviation (a judgement). */
    private static final double UNKNOWN_SPREAD = 0.06;

    /** Of each level: nothing is so sure that no test could speak against it. */
    private static final double LEAST = 1e-7;

    private static final double USUAL_LOSS = 0.03;
    private static final Duration FRESH = Duration.ofDays(3);
    private static final double LEAST_LIKELIHOOD = 1e-6;

    private final BatchFacts facts;
    private final List<Hypothesis> hypotheses;

    /** Of each of them, how its superfat spreads over the levels. */
    private final List<double[]> spread;

    private SlipFinder(BatchFacts facts, List<Hypothesis> hypotheses) {
        this.facts = facts;
        this.hypotheses = hypotheses;
        this.spread = hypotheses.stream().map(h -> SuperfatLevels.of(superfat(h))).toList();
    }

    /**
     * A slip before it is weighed against tests.
     *
     * @param kind what sort
     * @param words what happened
     * @param how what it changed, with numbers
     * @param weight how often such a slip happens, against the others
     * @param weights what would then be in the pot
     */
    record Hypothesis(Slip.Kind kind, Phrase words, Phrase how, double weight, Weights weights) {}

    static SlipFinder of(BatchFacts facts, KnownVessels vessels) {
        return new SlipFinder(facts, new SlipHypotheses(facts, vessels).all());
    }

    /** How likely each level of the superfat is before any test; sums to one. */
    double[] superfat() {
        double[] levels = new double[SuperfatLevels.COUNT];
        double all = 0;
        for (int i = 0; i < hypotheses.size(); i++) {
            double weight = weight(hypotheses.get(i));
            all += weight;
            for (int level = 0; level < levels.length; level++) {
                levels[level] += weight * spread.get(i)[level];
            }
        }
        for (int level = 0; level < levels.length; level++) {
            levels[level] = (levels[level] / all + LEAST) / (1 + LEAST * levels.length);
        }
        return levels;
    }

    private double weight(Hypothesis h) {
        return h.weight() * agreement(h);
    }

    /**
     * Shares out the probability among the slips.
     *
     * @param lift how many times as likely as before each level of the superfat is after the tests
     */
    List<Slip> explain(double[] lift) {
        double[] posterior = new double[hypotheses.size()];
        double sum = 0;
        for (int i = 0; i < posterior.length; i++) {
            double agrees = 0;
            for (int level = 0; level < lift.length; level++) {
                agrees += spread.get(i)[level] * lift[level];
            }
            posterior[i] = weight(hypotheses.get(i)) * agrees;
            sum += posterior[i];
        }
        double all = sum;
        return IntStream.range(0, posterior.length)
                .mapToObj(i -> slip(hypotheses.get(i), posterior[i] / all))
                .sorted(Comparator.comparingDouble(Slip::probability).reversed())
                .toList();
    }

    private Slip slip(Hypothesis h, double probability) {
        Estimate superfat = superfat(h);
        Phrase arithmetic = h.how().then(
                "; ",
                Phrase.of("superfat planned {}, then {}", facts.plan().formula().superfat(), Share.fraction(superfat.value())));
        return new Slip(h.kind(), h.words(), arithmetic, superfat, superfat.probabilityBelow(0), probability);
    }

    private Estimate superfat(Hypothesis h) {
        Estimate weighed = Superfat.distribution(h.weights(), facts.plan().formula().alkali(), facts.plan().scales());
        if (h.kind() == Slip.Kind.UNKNOWN) {
            return new Estimate(weighed.value(), Math.hypot(weighed.standardDeviation(), UNKNOWN_SPREAD));
        }
        // What was not logged is not known to have been weighed as planned.
        return facts.asWeighed().isComplete()
                ? weighed
                : new Estimate(weighed.value(), Math.hypot(weighed.standardDeviation(), UNLOGGED_SPREAD));
    }

    /** How well the mass of the fresh bars agrees with the slip; 1 where nothing is known. */
    private double agreement(Hypothesis h) {
        return massOfBars()
                .map(found -> {
                    double expected = h.weights().total().grams() * (1 - USUAL_LOSS);
                    return density((found.grams() / expected - 1) / MASS_SPREAD);
                })
                .orElse(1.0);
    }

    private Optional<Mass> massOfBars() {
        return facts.log().last(Entry.Cut.class).filter(c -> c.entry().bars() > 1).flatMap(cut -> facts.log()
                .first(Entry.BarWeighed.class)
                .filter(b -> Duration.between(cut.at(), b.at()).compareTo(FRESH) <= 0)
                .map(b -> b.entry().mass().times(cut.entry().bars())));
    }

    private static double density(double sigmas) {
        return Math.max(LEAST_LIKELIHOOD, new NormalDistribution().density(sigmas));
    }
}
