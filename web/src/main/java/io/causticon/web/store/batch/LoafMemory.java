package io.causticon.web.store.batch;

import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafKnowledge;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * What the cores logged in the workshop's batches tell of its moulds and recipes. A batch is read again when its log
 * has changed.
 */
@Component
public class LoafMemory implements FollowsLogs {

    /** Towels and moulds wear; and each batch takes some tens of milliseconds to read. */
    private static final Duration REMEMBERED = Duration.ofDays(400);

    private final FromEachBatch<LoafKnowledge.Told> told;
    private volatile Known last = new Known(Map.of(), LoafKnowledge.NONE);

    /** The workshop's, where a batch did not read its own. */
    private volatile Temperature room = Temperature.USUAL_ROOM;

    private record Known(Map<BatchId, LoafKnowledge.Told> from, LoafKnowledge all) {}

    LoafMemory(BatchService batches, Clock clock) {
        this.told = new FromEachBatch<>(
                "reads-loaves",
                batches,
                b -> b.log().begun().isBefore(clock.instant().minus(REMEMBERED))
                        ? Optional.empty()
                        : LoafForecast.told(b.facts(clock.instant()), room));
    }

    /** Of all batches. */
    public LoafKnowledge known(Temperature usualRoom) {
        return now(usualRoom).all();
    }

    private Known now(Temperature usualRoom) {
        if (!usualRoom.equals(room)) {
            room = usualRoom;
            told.readAnew();
        }
        Map<BatchId, LoafKnowledge.Told> from = told.known();
        Known known = last;
        if (known.from() != from) {
            known = new Known(from, new LoafKnowledge(List.copyOf(from.values())));
            last = known;
        }
        return known;
    }

    /** Of all others: what a batch tells of itself is not counted twice. */
    LoafKnowledge without(BatchId batch, Temperature usualRoom) {
        Known known = now(usualRoom);
        Map<BatchId, LoafKnowledge.Told> from = known.from();
        return from.containsKey(batch)
                ? new LoafKnowledge(from.entrySet().stream()
                        .filter(t -> !t.getKey().equals(batch))
                        .map(Map.Entry::getValue)
                        .toList())
                : known.all();
    }

    @Override
    public void logged(BatchId batch) {
        told.changed(batch);
    }
}
