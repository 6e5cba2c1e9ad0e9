package io.causticon.web.batch;

import io.causticon.core.making.IngredientMemory;
import io.causticon.core.making.MixRecord;
import io.causticon.core.making.TraceKnowledge;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.Entry;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What the workshop's poured batches tell of working times and of ingredients. A batch is read again when its log has changed; the batch on
 * the bench does not count before its pour.
 */
@Component
public class MixMemory {

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

    private final BatchService batches;
    private final Clock clock;
    private final Map<BatchId, Optional<Told>> told = new ConcurrentHashMap<>();
    private @Nullable Known known;

    MixMemory(BatchService batches, Clock clock) {
        this.batches = batches;
        this.clock = clock;
    }

    public synchronized Known known() {
        Known now = known;
        if (now == null) {
            batches.all().stream().filter(b -> !told.containsKey(b.id())).forEach(b -> told.put(b.id(), read(b)));
            now = learn();
            known = now;
        }
        return now;
    }

    @EventListener
    synchronized void logged(BatchLogged event) {
        Optional<Told> before = told.remove(event.batch());
        Batch batch = batches.get(event.batch());
        boolean counts = batch.log().first(Entry.Poured.class).isPresent();
        if (counts || before == null || before.isPresent()) {
            known = null;
        } else {
            told.put(event.batch(), Optional.empty());
        }
    }

    private Optional<Told> read(Batch batch) {
        if (batch.log().first(Entry.Poured.class).isEmpty()) {
            return Optional.empty();
        }
        BatchFacts facts = batch.facts(clock.instant());
        return Optional.of(new Told(
                new IngredientMemory.Made(batch.name(), facts), batch.log().begun(), MixRecord.of(facts, clock.instant())));
    }

    private Known learn() {
        List<Told> youngestFirst = new ArrayList<>(told.values().stream().flatMap(Optional::stream).toList());
        youngestFirst.sort((a, b) -> b.begun().compareTo(a.begun()));
        TraceKnowledge trace = TraceKnowledge.learned(
                youngestFirst.stream().flatMap(t -> t.mix().stream()).toList());
        return new Known(trace, IngredientMemory.of(youngestFirst.stream().map(Told::made).toList(), trace));
    }
}
