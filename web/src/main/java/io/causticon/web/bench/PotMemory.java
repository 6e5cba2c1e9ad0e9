package io.causticon.web.bench;

import io.causticon.core.forecast.Matching;
import io.causticon.core.forecast.PotMemories;
import io.causticon.core.formula.Vessel;
import io.causticon.core.heat.CoolingMemory;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Spot;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.batch.BatchService;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** How fast the workshop's pots cooled in its earlier batches. A batch is timed once, after its lye went into the fats. */
@Component
class PotMemory {

    private static final String ANY = "";

    private final BatchService batches;
    private final Clock clock;
    private final Map<BatchId, Timing> timings = new ConcurrentHashMap<>();
    private final AtomicBoolean stale = new AtomicBoolean(true);

    PotMemory(BatchService batches, Clock clock) {
        this.batches = batches;
        this.clock = clock;
    }

    private record Timing(
            String lyeVessel, Optional<CoolingMemory.Timed> lye, String fatsVessel, Optional<CoolingMemory.Timed> fats) {}

    /** What to expect of the pots of a batch, by the names of its vessels. */
    PotMemories of(Batch batch, Temperature room) {
        if (stale.getAndSet(false)) {
            batches.all().stream().filter(b -> !timings.containsKey(b.id())).forEach(b -> time(b, room));
        }
        List<Timing> others = timings.entrySet().stream()
                .filter(t -> !t.getKey().equals(batch.id()))
                .map(Map.Entry::getValue)
                .toList();
        return new PotMemories(
                CoolingMemory.of(others.stream()
                        .filter(t -> t.lyeVessel().equals(name(batch.plan().lyeVessel())))
                        .flatMap(t -> t.lye().stream())
                        .toList()),
                CoolingMemory.of(others.stream()
                        .filter(t -> t.fatsVessel().equals(name(batch.plan().fatsVessel())))
                        .flatMap(t -> t.fats().stream())
                        .toList()));
    }

    @EventListener
    void logged(BatchLogged event) {
        timings.remove(event.batch());
        stale.set(true);
    }

    private void time(Batch batch, Temperature room) {
        Optional<Instant> in = batch.log().first(Entry.LyeIntoFats.class).map(t -> t.at());
        if (in.isPresent()) {
            BatchFacts facts = batch.facts(clock.instant());
            timings.put(
                    batch.id(),
                    new Timing(
                            name(batch.plan().lyeVessel()),
                            Matching.timed(facts, Spot.LYE, room, in.get()),
                            name(batch.plan().fatsVessel()),
                            Matching.timed(facts, Spot.FATS, room, in.get())));
        }
    }

    private static String name(@Nullable Vessel vessel) {
        return vessel == null ? ANY : vessel.name();
    }
}
