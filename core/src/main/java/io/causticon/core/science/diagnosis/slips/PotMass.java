package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.stream.Stream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What the whole batch weighed: in the full pot, or as fresh bars. It tells slips apart that change the mass from those
 * that do not.
 *
 * @param found what was found, of all that had gone in up to then; empty where nothing was weighed
 * @param loss which share of it sticks to vessels and dries off
 * @param spread one standard deviation, as a share
 * @param later what had not gone in yet
 */
record PotMass(Optional<Mass> found, double loss, double spread, Mass later) {

    /** A full pot on a kitchen scale, less what clings to cups (a judgement). */
    private static final double POT_SPREAD = 0.004;

    /** Of a mass that was put together from a plan (a judgement). */
    private static final double UNLOGGED_SPREAD = 0.01;

    /** Bars: what sticks to vessels and mould, and what dried off before the first was weighed (a judgement). */
    private static final double BARS_SPREAD = 0.04;

    private static final double BARS_LOSS = 0.03;

    /** After a slip that nobody thought of the mass may be anything near. */
    private static final double UNKNOWN_SPREAD = 0.06;

    private static final Duration FRESH = Duration.ofDays(3);
    private static final double LEAST_LIKELIHOOD = 1e-6;
    private static final PotMass NOT_WEIGHED = new PotMass(Optional.empty(), 0, 1, Mass.ZERO);

    static PotMass of(BatchFacts facts) {
        Optional<BatchLog.Timed<Entry.PotWeighed>> pot = whole(facts);
        if (pot.isPresent()) {
            double spread = facts.asWeighed().isComplete() ? POT_SPREAD : Math.hypot(POT_SPREAD, UNLOGGED_SPREAD);
            return new PotMass(
                    pot.map(p -> p.entry().mass()),
                    0,
                    spread,
                    addedAfter(facts, pot.get().at()));
        }
        // A cook takes an unknown share of the water away before there are bars.
        return facts.isCooked()
                ? NOT_WEIGHED
                : bars(facts.log())
                        .map(m -> new PotMass(Optional.of(m), BARS_LOSS, BARS_SPREAD, Mass.ZERO))
                        .orElse(NOT_WEIGHED);
    }

    /** The last weighing of all that is in the pot: with the lye in it, and before anything was taken out. */
    private static Optional<BatchLog.Timed<Entry.PotWeighed>> whole(BatchFacts facts) {
        Instant lyeIn = facts.log()
                .first(Entry.LyeIntoFats.class)
                .map(BatchLog.Timed::at)
                .orElse(Instant.MIN);
        Instant out = Stream.of(facts.firstTakenOut(), facts.cookedSince())
                .flatMap(Optional::stream)
                .min(Instant::compareTo)
                .orElse(Instant.MAX);
        return facts.log()
                .of(Entry.PotWeighed.class)
                .filter(p -> !p.at().isBefore(lyeIn) && !p.at().isAfter(out))
                .reduce((a, b) -> b);
    }

    /** Additives whose adding was logged after the pot stood on the scale. */
    private static Mass addedAfter(BatchFacts facts, Instant weighed) {
        return facts.log()
                .of(Entry.Added.class)
                .filter(a -> a.at().isAfter(weighed))
                .flatMap(a -> facts.asWeighed().weights().additives().stream()
                        .filter(p -> p.additive().id().equals(a.entry().what().id()))
                        .limit(1)
                        .map(p ->
                                a.entry().mass() == null ? p.mass() : a.entry().mass()))
                .reduce(Mass.ZERO, Mass::plus);
    }

    private static Optional<Mass> bars(BatchLog log) {
        return log.last(Entry.Cut.class)
                .filter(c -> c.entry().bars() > 1)
                .flatMap(cut -> log.first(Entry.BarWeighed.class)
                        .filter(b -> Duration.between(cut.at(), b.at()).compareTo(FRESH) <= 0)
                        .map(b -> b.entry().mass().times(cut.entry().bars())));
    }

    boolean isKnown() {
        return found.isPresent();
    }

    /**
     * By how much the whole was heavier than these weights, as found: grams, below nothing where it was lighter; 0
     * where nothing was weighed.
     */
    double gramsMoreThan(Weights weights) {
        return found.map(f ->
                        f.grams() / (1 - loss) + later.grams() - weights.total().grams())
                .orElse(0.0);
    }

    /** How wide a range of masses agrees with what was found, as a share of it. */
    double width() {
        return spread * Math.sqrt(2 * Math.PI);
    }

    /** How well the mass agrees with a slip, as a likelihood; 1 where nothing was weighed. */
    double agreement(Hypothesis slip) {
        return found.map(f -> density(
                        f,
                        slip.weights(),
                        slip.kind() == Slip.Kind.UNKNOWN ? Math.hypot(spread, UNKNOWN_SPREAD) : spread))
                .orElse(1.0);
    }

    private double density(Mass weighed, Weights weights, double deviation) {
        double expected = (weights.total().grams() - later.grams()) * (1 - loss);
        double density = new NormalDistribution(0, deviation).density(weighed.grams() / expected - 1);
        return Math.max(LEAST_LIKELIHOOD, density);
    }
}
