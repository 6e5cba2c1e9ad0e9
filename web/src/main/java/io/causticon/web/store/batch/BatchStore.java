package io.causticon.web.store.batch;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.web.shared.Caches;
import java.time.Duration;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/**
 * Batches as they stood at one version of their logs. Bounded by their lines; what was not asked for in an hour is read
 * again.
 */
@Component
class BatchStore {

    /** Some 350 bytes each. */
    private static final int MOST_LINES = 150_000;

    private static final int LINES_OF_A_PLAN = 40;
    private static final Duration KEPT = Duration.ofHours(1);

    private final Belongings workshop;
    private final Cache<UUID, Kept> known = Caches.tidying()
            .maximumWeight(MOST_LINES)
            .weigher((UUID id, Kept kept) ->
                    LINES_OF_A_PLAN + kept.batch().log().all().size())
            .expireAfterWrite(KEPT)
            .build();

    /**
     * A batch at a version.
     *
     * @param version of its log
     * @param planned its plan before the maker scaled the rest at the scale
     * @param batch as it stood
     */
    record Kept(int version, BatchPlan planned, Batch batch) {

        /** What the workshop has may have grown since. */
        private Kept readWith(Catalogue substances) {
            return batch.log().substances() == substances
                    ? this
                    : new Kept(version, planned, batch.readWith(substances));
        }

        Kept at(int other) {
            return new Kept(other, planned, batch);
        }
    }

    BatchStore(Belongings workshop) {
        this.workshop = workshop;
    }

    /** The batch if it is known as it stands at this version. */
    Optional<Kept> at(UUID id, int version) {
        return last(id).filter(k -> k.version() == version);
    }

    /** The batch as it was last kept; whether it still stands so, its row tells. */
    Optional<Kept> last(UUID id) {
        return Optional.ofNullable(known.getIfPresent(id)).map(k -> k.readWith(workshop.substances()));
    }

    /** Keeps it unless a later version is known. */
    void keep(Kept kept) {
        known.asMap()
                .merge(
                        kept.batch().id().value(),
                        kept,
                        (before, now) -> before.version() > now.version() ? before : now);
    }

    /** It is gone, or not what it was: whatever version is known of it counts no more. */
    void forget(UUID id) {
        known.invalidate(id);
    }
}
