package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * How an ingredient behaved in this workshop: its own trials, not other people's reviews.
 *
 * @param additive which
 * @param uses batches that it went into, the youngest first
 * @param effect what it does to the logarithm of the minutes that remain after it, by prior and batches
 * @param lots the same for each lot that was named
 */
public record IngredientMemory(
        Additive additive, List<Use> uses, TraceKnowledge.Known effect, Map<String, TraceKnowledge.Known> lots) {

    private static final Duration AT_ONCE = Duration.ofMinutes(3);

    public IngredientMemory {
        uses = List.copyOf(uses);
    }

    /**
     * One batch with it.
     *
     * @param batch its name
     * @param when it went in, or the batch was begun
     * @param dose g per kg of fats
     * @param lot label, null when not said
     * @param at the rung before it went in, empty when none was logged
     * @param batter temperature of the batter then
     * @param after the rung that came next, with the minutes since
     * @param did what it did
     */
    public record Use(
            String batch,
            Instant when,
            double dose,
            @Nullable String lot,
            Optional<Stage> at,
            Optional<Temperature> batter,
            Optional<MixRecord.Seen> after,
            Set<Behaviour> did) {}

    /** What one batch tells of everything that went into it, by id. */
    public record Made(Map<String, Told> told) {

        public Made {
            told = Map.copyOf(told);
        }

        /** @param name of the batch */
        public static Made of(String name, BatchFacts facts) {
            Map<String, Told> told = new TreeMap<>();
            Situation.additives(facts.plan())
                    .forEach((id, additive) -> told.put(id, new Told(additive, use(name, facts, additive))));
            return new Made(told);
        }
    }

    /** What one batch tells of one additive. */
    public record Told(Additive additive, Use use) {}

    /** How often it did each thing. */
    public Map<Behaviour, Integer> counts() {
        Map<Behaviour, Integer> counts = new EnumMap<>(Behaviour.class);
        uses.forEach(u -> u.did().forEach(b -> counts.merge(b, 1, Integer::sum)));
        return counts;
    }

    /** In how many batches it hurried, riced, curdled or seized the batter. */
    public int troubled() {
        return (int) uses.stream()
                .filter(u -> u.did().stream()
                        .anyMatch(b -> b == Behaviour.RICED
                                || b == Behaviour.SEIZED
                                || b == Behaviour.CURDLED
                                || b == Behaviour.MOVED))
                .count();
    }

    /**
     * By id of the ingredient.
     *
     * @param made poured batches, the youngest first
     */
    public static Map<String, IngredientMemory> of(List<Made> made, TraceKnowledge knowledge) {
        Map<String, Additive> additives = new TreeMap<>();
        Map<String, List<Use>> uses = new LinkedHashMap<>();
        for (Made batch : made) {
            batch.told().forEach((id, told) -> {
                additives.putIfAbsent(id, told.additive());
                uses.computeIfAbsent(id, i -> new ArrayList<>()).add(told.use());
            });
        }
        Map<String, IngredientMemory> memories = new LinkedHashMap<>();
        additives.forEach((id, additive) -> {
            Map<String, TraceKnowledge.Known> lots = new TreeMap<>();
            uses.get(id).stream()
                    .map(Use::lot)
                    .filter(l -> l != null)
                    .forEach(l -> lots.put(l, knowledge.effect(additive, l)));
            memories.put(id, new IngredientMemory(additive, uses.get(id), knowledge.effect(additive, null), lots));
        });
        return memories;
    }

    private static Use use(String name, BatchFacts facts, Additive additive) {
        BatchLog log = facts.log();
        BatchPlan plan = facts.plan();
        Optional<BatchLog.Timed<Entry.Added>> added = log.of(Entry.Added.class)
                .filter(a -> a.entry().what().isSubstance(additive.id(), additive.name()))
                .findFirst();
        Instant when = added.map(BatchLog.Timed::at).orElse(log.begun());
        Optional<Instant> in = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        Optional<Stage> at = added.flatMap(a -> log.of(Entry.StageReached.class)
                .filter(s -> s.entry().stage().isRung() && !s.at().isAfter(a.at()))
                .map(s -> s.entry().stage())
                .reduce((x, y) -> y));
        Optional<MixRecord.Seen> after = added.flatMap(a -> log.of(Entry.StageReached.class)
                .filter(s -> s.at().isAfter(a.at()))
                .findFirst()
                .map(s -> new MixRecord.Seen(
                        s.entry().stage(), Duration.between(a.at(), s.at()).toMillis() / 60_000.0)));
        double dose = plan.formula().additives().stream()
                .filter(a -> a.additive().id().equals(additive.id()))
                .mapToDouble(a -> a.dosePerKilogram(plan.formula().fatMass()))
                .sum();
        return new Use(
                name,
                when,
                dose,
                added.map(a -> a.entry().lot()).orElse(null),
                at,
                in.isEmpty() ? Optional.empty() : facts.lastBefore(MeasurementPoint.BATTER, when),
                after,
                did(log, additive, added));
    }

    /** What was said of it by name, and what came within minutes of it. */
    private static Set<Behaviour> did(BatchLog log, Additive additive, Optional<BatchLog.Timed<Entry.Added>> added) {
        Set<Behaviour> did = EnumSet.noneOf(Behaviour.class);
        log.of(Entry.Behaved.class)
                .filter(b -> b.entry().what().isSubstance(additive.id(), additive.name()))
                .forEach(b -> did.add(b.entry().how()));
        log.of(Entry.StageReached.class)
                .filter(s -> blamed(log, s, additive, added))
                .forEach(s -> {
                    switch (s.entry().stage()) {
                        case RICED -> did.add(Behaviour.RICED);
                        case CURDLED -> did.add(Behaviour.CURDLED);
                        case MASH -> did.add(Behaviour.SEIZED);
                        case THICK -> did.add(Behaviour.MOVED);
                        default -> {}
                    }
                });
        return did;
    }

    private static boolean blamed(
            BatchLog log,
            BatchLog.Timed<Entry.StageReached> stage,
            Additive additive,
            Optional<BatchLog.Timed<Entry.Added>> added) {
        Named after = stage.entry().after();
        if (after != null) {
            return after.isSubstance(additive.id(), additive.name());
        }
        // Without a name it is laid to what went in last, if that was only minutes ago.
        return added.isPresent()
                && log.of(Entry.Added.class)
                        .filter(a -> !a.at().isAfter(stage.at()))
                        .reduce((a, b) -> b)
                        .filter(a -> a.id().equals(added.get().id()))
                        .filter(a -> Duration.between(a.at(), stage.at()).compareTo(AT_ONCE) <= 0)
                        .isPresent();
    }
}
