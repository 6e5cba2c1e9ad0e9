package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.making.IngredientMemory;
import io.causticon.core.science.making.MixRecord;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.web.shared.DaemonThreads;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.stereotype.Component;

/**
 * What the workshop's poured batches tell of working times and of ingredients. A batch is read again when its log has
 * changed; the batch on the bench does not count before its pour.
 */
@Component
public class MixMemory implements FollowsLogs {

    /**
     * All of it at one moment.
     *
     * @param trace how batters come to trace
     * @param ingredients by id
     */
    public record Known(TraceKnowledge trace, Map<String, IngredientMemory> ingredients) {

        public Known {
            ingredients = Map.copyOf(ingredients);
        }
    }

    private record Told(IngredientMemory.Made made, Instant begun, Optional<MixRecord> mix) {}

    /** From more than so many it is learned in the background, and what was known before serves meanwhile. */
    private static final int FEW = 200;

    private final Clock clock;
    private final FromEachBatch<Told> told;
    private final AtomicBoolean learning = new AtomicBoolean();
    private volatile Learned learned = new Learned(Map.of(), new Known(TraceKnowledge.PRIOR, Map.of()));

    /** What was learned from this. */
    private record Learned(Map<BatchId, Told> from, Known known) {}

    MixMemory(BatchService batches, Clock clock) {
        this.clock = clock;
        this.told = new FromEachBatch<>("reads-mixes", batches, this::read);
    }

    public Known known() {
        Map<BatchId, Told> now = told.known();
        if (learned.from() == now) {
            return learned.known();
        }
        if (now.size() <= FEW) {
            learn(now);
        } else if (learning.compareAndSet(false, true)) {
            DaemonThreads.named("learns-mixes")
                    .newThread(() -> {
                        try {
                            learn(now);
                        } finally {
                            learning.set(false);
                        }
                    })
                    .start();
        }
        return learned.known();
    }

    @Override
    public void logged(BatchId batch) {
        told.changed(batch);
    }

    private Optional<Told> read(Batch batch) {
        if (batch.log().first(Entry.Poured.class).isEmpty()) {
            return Optional.empty();
        }
        BatchFacts facts = batch.facts(clock.instant());
        return Optional.of(new Told(
                IngredientMemory.Made.of(batch.name(), facts),
                batch.log().begun(),
                MixRecord.of(facts, clock.instant())));
    }

    private synchronized void learn(Map<BatchId, Told> from) {
        if (learned.from() == from) {
            return;
        }
        List<Told> youngestFirst = from.values().stream()
                .sorted(Comparator.comparing(Told::begun).reversed())
                .toList();
        TraceKnowledge trace = TraceKnowledge.learned(
                youngestFirst.stream().flatMap(t -> t.mix().stream()).toList());
        learned = new Learned(
                from,
                new Known(
                        trace,
                        IngredientMemory.of(
                                youngestFirst.stream().map(Told::made).toList(), trace)));
    }
}
