package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a batter came to trace, as far as it was logged. Minutes run from lye-in.
 *
 * @param situation what moves it
 * @param stages rungs of the ladder in the order in which they were seen, each at its first time
 * @param additions what went into the batter after lye-in, in order
 * @param poured minute of the pour, null before
 */
public record MixRecord(
        Situation situation,
        List<Seen> stages,
        List<Addition> additions,
        @Nullable Double poured) {

    public MixRecord {
        stages = List.copyOf(stages);
        additions = List.copyOf(additions);
    }

    /** A rung and its minute. */
    public record Seen(Stage stage, double minute) {}

    /**
     * Something that went in.
     *
     * @param additive what, as the plan knows it
     * @param lot label of its lot, null when not said
     * @param minute when
     * @param strength its dose against what is usual, see {@link Dosed}
     */
    public record Addition(Additive additive, @Nullable String lot, double minute, double strength) {

        /** At its usual dose. */
        public Addition(Additive additive, @Nullable String lot, double minute) {
            this(additive, lot, minute, 1);
        }
    }

    /** Empty before lye-in. */
    public static Optional<MixRecord> of(BatchFacts facts, Instant moment) {
        Optional<Instant> in = facts.log().first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        return in.filter(i -> !i.isAfter(moment)).map(i -> of(facts, i, moment));
    }

    private static MixRecord of(BatchFacts facts, Instant in, Instant moment) {
        Map<String, Additive> additives = Situation.additives(facts.plan());
        List<Seen> stages = new ArrayList<>();
        facts.log()
                .of(Entry.StageReached.class)
                .filter(s -> s.entry().stage().isRung() && !s.at().isBefore(in) && !s.at().isAfter(moment))
                .filter(s -> s.entry().stage() != Stage.STREAKS)
                .forEach(s -> {
                    boolean known = stages.stream()
                            .anyMatch(x -> x.stage().isAtLeast(s.entry().stage()));
                    if (!known) {
                        stages.add(new Seen(s.entry().stage(), minutes(in, s.at())));
                    }
                });
        List<Addition> additions = facts.log()
                .of(Entry.Added.class)
                .filter(a -> a.at().isAfter(in) && !a.at().isAfter(moment))
                .flatMap(a -> which(additives, a.entry().what())
                        .map(x -> new Addition(
                                x, a.entry().lot(), minutes(in, a.at()), strength(x, a.entry(), facts.plan())))
                        .stream())
                .toList();
        Double poured = facts.log()
                .first(Entry.Poured.class)
                .filter(p -> !p.at().isAfter(moment))
                .map(p -> minutes(in, p.at()))
                .orElse(null);
        return new MixRecord(Situation.asMade(facts), stages, additions, poured);
    }

    /**
     * As logged, or as planned where no mass was said; what goes into a part of the batter alone acts on that part at
     * its usual strength.
     */
    private static double strength(Additive additive, Entry.Added added, BatchPlan plan) {
        if (added.portion() != null) {
            return 1;
        }
        Mass fats = plan.formula().fatMass();
        return Optional.ofNullable(added.mass())
                .or(() -> plan.formula().additives().stream()
                        .filter(p -> p.additive().id().equals(additive.id()))
                        .map(AdditivePortion::mass)
                        .findFirst())
                .map(m -> Dosed.of(additive, 1000 * m.dividedBy(fats)).strength())
                .orElse(1.0);
    }

    private static Optional<Additive> which(Map<String, Additive> additives, Named what) {
        return additives.values().stream()
                .filter(a -> what.isSubstance(a.id(), a.name()))
                .findFirst();
    }

    /** As it was known at a minute. */
    MixRecord until(double minute) {
        return new MixRecord(
                situation,
                stages.stream().filter(s -> s.minute() <= minute).toList(),
                additions.stream().filter(a -> a.minute() <= minute).toList(),
                null);
    }

    Optional<Seen> firstAtLeast(Stage stage) {
        return stages.stream().filter(s -> s.stage().isAtLeast(stage)).findFirst();
    }

    /** Rungs that were seen before this addition, or all when there are fewer additions. */
    List<Seen> seenBefore(int addition) {
        double until = addition < additions.size() ? additions.get(addition).minute() : Double.POSITIVE_INFINITY;
        return stages.stream()
                .filter(s -> s.minute() <= until && s.minute() > 0)
                .toList();
    }

    /** The first rung seen after something went in, before anything else did. */
    Optional<Seen> firstAfter(int addition) {
        double from = additions.get(addition).minute();
        double until =
                addition + 1 < additions.size() ? additions.get(addition + 1).minute() : Double.POSITIVE_INFINITY;
        return stages.stream()
                .filter(s -> s.minute() > from && s.minute() <= until)
                .findFirst();
    }

    private static double minutes(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 60_000.0;
    }
}
