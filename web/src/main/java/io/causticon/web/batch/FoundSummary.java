package io.causticon.web.batch;

import java.time.Instant;
import java.util.Comparator;
import java.util.UUID;

/**
 * A row that has the words that are looked for, by its place among all.
 *
 * @param batchId names it
 * @param begunAt when its batch was begun
 */
record FoundSummary(UUID batchId, Instant begunAt) {

    /** The youngest first, of one moment the largest id, as the database has them. */
    static final Comparator<FoundSummary> YOUNGEST_FIRST = Comparator.comparing(FoundSummary::begunAt)
            .thenComparing(f -> f.batchId.getMostSignificantBits(), Long::compareUnsigned)
            .thenComparing(f -> f.batchId.getLeastSignificantBits(), Long::compareUnsigned)
            .reversed();

    /** Whether it stands behind a place. */
    boolean isAfter(Instant before, UUID id) {
        return YOUNGEST_FIRST.compare(this, new FoundSummary(id, before)) > 0;
    }
}
