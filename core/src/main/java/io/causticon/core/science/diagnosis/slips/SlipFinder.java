package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Which single slip explains an excess of alkali, or a softness? Every slip is a hypothesis with the superfat and the
 * mass it would lead to. Before any test the hypotheses give the distribution of the superfat; after the tests they
 * share out what was found.
 */
public final class SlipFinder {

    /**
     * Of a superfat whose weights nobody wrote down, one standard deviation (a judgement: two per cent of the lye or of
     * a fat).
     */
    private static final double UNLOGGED_SPREAD = 0.02;

    /** Of a superfat after a slip that nobody thought of, one standard deviation (a judgement). */
    private static final double UNKNOWN_SPREAD = 0.06;

    /** Of each level: nothing is so sure that no test could speak against it. */
    private static final double LEAST = 1e-7;

    /** What would have run over the mould, or left most of it empty, would have been seen (a judgement). */
    private static final double RUNS_OVER = 1.25;

    private static final double HALF_EMPTY = 0.6;
    private static final double WOULD_BE_SEEN = 0.2;

    /** A superfat from here on is felt. */
    private static final double MUCH_FAT = 0.12;

    private final BatchFacts facts;
    private final List<Hypothesis> hypotheses;
    private final PotMass mass;

    private final List<Estimate> superfat;

    /** Of each of them, how its superfat spreads over the levels, and how likely it is before any test. */
    private final List<double[]> spread;

    private final double[] weight;

    private SlipFinder(BatchFacts facts, List<Hypothesis> hypotheses, PotMass mass) {
        this.facts = facts;
        this.hypotheses = hypotheses;
        this.mass = mass;
        this.superfat = hypotheses.stream().map(this::superfat).toList();
        this.spread = superfat.stream().map(SuperfatLevels::of).toList();
        this.weight = hypotheses.stream()
                .mapToDouble(h -> h.rate() * mass.agreement(h) * plausibility(h.weights()))
                .toArray();
    }

    public static SlipFinder of(BatchFacts facts, KnownVessels vessels) {
        PotMass mass = PotMass.of(facts);
        return new SlipFinder(facts, SlipHypotheses.of(facts, vessels, mass), mass);
    }

    /** How likely each level of the superfat is before any test; sums to one. */
    public double[] superfat() {
        double[] levels = new double[SuperfatLevels.COUNT];
        double all = 0;
        for (int i = 0; i < hypotheses.size(); i++) {
            all += weight[i];
            for (int level = 0; level < levels.length; level++) {
                levels[level] += weight[i] * spread.get(i)[level];
            }
        }
        for (int level = 0; level < levels.length; level++) {
            levels[level] = (levels[level] / all + LEAST) / (1 + LEAST * levels.length);
        }
        return levels;
    }

    /** A mould that was filled as planned speaks against much more or much less than was logged. */
    private double plausibility(Weights weights) {
        Mould mould = facts.plan().mould();
        if (mould == null) {
            return 1;
        }
        double logged = facts.asWeighed().weights().total().grams();
        double room = mould.capacity().grams();
        boolean fits = logged <= room * RUNS_OVER && logged >= room * HALF_EMPTY;
        double change = weights.total().grams() / logged;
        return fits && (change * logged > room * RUNS_OVER || change < HALF_EMPTY) ? WOULD_BE_SEEN : 1;
    }

    /**
     * Shares out the probability among the slips.
     *
     * @param lift how many times as likely as before each level of the superfat is after the tests
     * @param fatLeft how many times as likely as before it is that too much fat was left
     * @param otherAlkali how many times as likely as before it is that the other alkali was taken
     */
    public List<Slip> explain(double[] lift, double fatLeft, double otherAlkali) {
        List<Weighed> groups = groups(lift, fatLeft, otherAlkali);
        double all = groups.stream().mapToDouble(g -> g.sum).sum();
        groups.sort(Comparator.comparingDouble((Weighed g) -> g.sum).reversed());
        List<Slip> slips = new ArrayList<>();
        for (int i = 0; i < groups.size(); i++) {
            Optional<Hypothesis> next =
                    i + 1 < groups.size() ? Optional.of(groups.get(i == 0 ? 1 : 0).likeliest) : Optional.empty();
            slips.add(slip(groups.get(i).likeliest, next, groups.get(i).sum / all));
        }
        return slips;
    }

    /** One slip in all its amounts: how much speaks for it, and in which amount most. */
    private static final class Weighed {
        private Hypothesis likeliest;
        private double most;
        private double sum;

        Weighed(Hypothesis first) {
            this.likeliest = first;
        }

        void add(Hypothesis h, double posterior) {
            sum += posterior;
            if (posterior > most) {
                most = posterior;
                likeliest = h;
            }
        }
    }

    private List<Weighed> groups(double[] lift, double fatLeft, double otherAlkali) {
        List<Weighed> groups = new ArrayList<>();
        for (int i = 0; i < hypotheses.size(); i++) {
            Hypothesis h = hypotheses.get(i);
            double agrees = 0;
            for (int level = 0; level < lift.length; level++) {
                agrees += spread.get(i)[level] * lift[level];
            }
            Weighed group = groups.stream()
                    .filter(g -> g.likeliest.isSameSlipAs(h))
                    .findFirst()
                    .orElseGet(() -> {
                        Weighed fresh = new Weighed(h);
                        groups.add(fresh);
                        return fresh;
                    });
            double soft = h.kind() == Slip.Kind.WRONG_ALKALI
                    ? otherAlkali
                    : superfat.get(i).value() > MUCH_FAT ? fatLeft : 1;
            group.add(h, weight[i] * agrees * soft);
        }
        return groups;
    }

    private Slip slip(Hypothesis h, Optional<Hypothesis> next, double probability) {
        Estimate superfat = superfat(h);
        Phrase arithmetic = h.how()
                .then(
                        "; ",
                        Phrase.of(
                                "superfat planned {}, then {}",
                                facts.plan().formula().superfat(),
                                Share.fraction(superfat.value())));
        Optional<Phrase> check =
                next.map(other -> SlipCheck.between(h, superfat, other, superfat(other), mass.isKnown()));
        return new Slip(h.kind(), h.words(), arithmetic, superfat, superfat.probabilityBelow(0), check, probability);
    }

    private Estimate superfat(Hypothesis h) {
        Estimate weighed = facts.plan().isRework()
                ? facts.asWeighed().superfat()
                : Superfat.distribution(
                        h.weights(),
                        facts.plan().formula().alkali(),
                        facts.plan().scales());
        if (h.kind() == Slip.Kind.UNKNOWN) {
            return new Estimate(weighed.value(), Math.hypot(weighed.standardDeviation(), UNKNOWN_SPREAD));
        }
        // What was not logged is not known to have been weighed as planned.
        return facts.asWeighed().isComplete()
                ? weighed
                : new Estimate(weighed.value(), Math.hypot(weighed.standardDeviation(), UNLOGGED_SPREAD));
    }
}
