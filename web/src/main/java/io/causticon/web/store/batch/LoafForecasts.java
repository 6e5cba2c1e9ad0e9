package io.causticon.web.store.batch;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafExpectation;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.web.shared.Caches;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Forecasts of poured loaves, kept as long as nothing changes that they depend on: some tens of milliseconds each. */
@Service
public class LoafForecasts {

    /** Up to half a megabyte each. */
    private static final int KEPT = 80;

    private final Cache<Key, Optional<LoafEnsemble>> known = Caches.atMost(KEPT).build();

    private final LoafMemory memory;

    LoafForecasts(LoafMemory memory) {
        this.memory = memory;
    }

    /** What the forecast of a batch depends on beside its plan. */
    private record Key(
            BatchId batch,
            Optional<Temperature> poured,
            Optional<Temperature> room,
            Optional<Stage> stage,
            Temperature usualRoom,
            List<BatchLog.Timed<Entry.Kept>> kept,
            List<BatchLog.Timed<Entry.TemperatureRead>> core,
            LoafExpectation expected) {}

    /**
     * By all that is known: the model, what earlier batches told of the mould and the recipe, and what was read in this
     * one. Empty before the pour and for cavities.
     */
    public Optional<LoafEnsemble> of(Batch batch, Temperature usualRoom) {
        return of(batch, usualRoom, Readings.COUNT);
    }

    /** As it was expected at the pour: without what was read since. */
    public Optional<LoafEnsemble> before(Batch batch, Temperature usualRoom) {
        return of(batch, usualRoom, Readings.LEAVE_OUT);
    }

    private enum Readings {
        COUNT,
        LEAVE_OUT
    }

    private Optional<LoafEnsemble> of(Batch batch, Temperature usualRoom, Readings readings) {
        BatchFacts facts = batch.facts(Instant.MAX);
        if (!facts.wasPoured()) {
            return Optional.empty();
        }
        boolean counted = readings == Readings.COUNT;
        LoafKnowledge others = memory.without(batch.id(), usualRoom);
        List<BatchLog.Timed<Entry.TemperatureRead>> core = counted ? facts.readings(MeasurementPoint.CORE) : List.of();
        LoafExpectation expected = others.of(batch.plan().mould(), batch.plan().formula());
        Key key = new Key(
                batch.id(),
                facts.pouredAt(),
                facts.roomAtTheSet(),
                facts.stageWhenPoured(),
                usualRoom,
                facts.kept().toList(),
                core,
                expected);
        return known.get(
                key,
                k -> counted
                        ? LoafForecast.poured(facts, usualRoom, others)
                        : LoafForecast.atThePour(facts, usualRoom, others));
    }
}
