package io.causticon.web.batch;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import io.causticon.core.forecast.LoafForecast;
import io.causticon.core.loaf.LoafEnsemble;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Forecasts of poured loaves, kept as long as nothing changes that they depend on: some tens of milliseconds each. */
@Service
public class LoafForecasts {

    /** Up to half a megabyte each. */
    private static final int KEPT = 80;

    private final Cache<Key, Optional<LoafEnsemble>> known = Caffeine.newBuilder().maximumSize(KEPT).build();

    /** What the forecast of a batch depends on beside its plan. */
    private record Key(
            BatchId batch, Optional<Temperature> poured, Optional<Temperature> room, Temperature usualRoom, List<BatchLog.Timed<Entry.Kept>> kept) {}

    /** Empty before the pour and for cavities. */
    public Optional<LoafEnsemble> of(Batch batch, Temperature usualRoom) {
        BatchFacts facts = batch.facts(Instant.MAX);
        if (!facts.wasPoured()) {
            return Optional.empty();
        }
        Key key = new Key(batch.id(), facts.pouredAt(), facts.roomAtTheSet(), usualRoom, facts.kept().toList());
        return known.get(key, k -> LoafForecast.poured(facts, usualRoom));
    }
}
