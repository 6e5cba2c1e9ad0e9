package io.causticon.web.batch;

import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Finds summaries by words. Each row is looked at once, and only what says where it stands among the others is fetched: what is shown of them is a page,
 * and what is counted are all.
 */
@Component
class SummarySearch {

    /** The length of the problem is asked for, as an index of problems would lead to each row by a way of its own: nearly all have none. */
    private static final String WITH_THE_WORDS = "select batch_id, begun_at from batch_summary where length(problem) = 0 and locate(?, words) > 0"
            + " and (? or life <> 'READY') and (? or life = 'READY') and (? or held) and (life = 'ABANDONED') = ?";

    private final JdbcTemplate jdbc;

    SummarySearch(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * A row by its place among all.
     *
     * @param batch names it
     * @param begunAt when its batch was begun
     */
    record Found(UUID batch, Instant begunAt) {

        /** The youngest first, of one moment the largest id, as the database has them. */
        static final Comparator<Found> YOUNGEST_FIRST = Comparator.comparing(Found::begunAt)
                .thenComparing(f -> f.batch.getMostSignificantBits(), Long::compareUnsigned)
                .thenComparing(f -> f.batch.getLeastSignificantBits(), Long::compareUnsigned)
                .reversed();

        boolean isBehind(Found other) {
            return YOUNGEST_FIRST.compare(this, other) > 0;
        }
    }

    /** All that have the words, of any age and in no order. */
    List<Found> all(String words, Summaries.Which which) {
        return jdbc.query(
                WITH_THE_WORDS,
                (row, i) -> new Found(row.getObject(1, UUID.class), row.getObject(2, OffsetDateTime.class).toInstant()),
                words,
                which.readyToo(),
                which.othersToo(),
                which.calmToo(),
                which.abandoned());
    }
}
