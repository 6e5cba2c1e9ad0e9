package io.causticon.web.places.bench;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.pots.CoolingMemory;
import io.causticon.core.science.pots.Matching;
import io.causticon.core.science.pots.PotMemories;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.batch.FromEachBatch;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * How fast the workshop's pots cooled in its earlier batches. A batch is timed once, after its lye went into the fats.
 */
@Component
class PotMemory implements FollowsLogs {

    private static final String ANY = "";

    private final Clock clock;
    private final FromEachBatch<Timing> timings;

    /** The workshop's, where a batch did not read its own. */
    private volatile Temperature room = Temperature.USUAL_ROOM;

    PotMemory(BatchService batches, Clock clock) {
        this.clock = clock;
        this.timings = new FromEachBatch<>("times-pots", batches, this::time);
    }

    private record Timing(
            String lyeVessel,
            Optional<CoolingMemory.Timed> lye,
            String fatsVessel,
            Optional<CoolingMemory.Timed> fats) {}

    /** What to expect of the pots of a batch, by the names of its vessels. */
    PotMemories of(Batch batch, Temperature usualRoom) {
        if (!usualRoom.equals(room)) {
            room = usualRoom;
            timings.readAnew();
        }
        List<Timing> others = timings.known().entrySet().stream()
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

    @Override
    public void logged(BatchId batch) {
        timings.changed(batch);
    }

    private Optional<Timing> time(Batch batch) {
        return batch.log().first(Entry.LyeIntoFats.class).map(in -> {
            BatchFacts facts = batch.facts(clock.instant());
            return new Timing(
                    name(batch.plan().lyeVessel()),
                    Matching.timed(facts, MeasurementPoint.LYE, room, in.at()),
                    name(batch.plan().fatsVessel()),
                    Matching.timed(facts, MeasurementPoint.FATS, room, in.at()));
        });
    }

    private static String name(@Nullable Vessel vessel) {
        return vessel == null ? ANY : vessel.name();
    }
}
