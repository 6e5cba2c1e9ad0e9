package io.causticon.web.store.batch;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * What is asked of all summaries together and wants some of their columns; whole rows come from
 * {@link SummaryRepository}.
 */
@Component
class SummaryQueries {

    /**
     * What a list takes, by the four answers of {@link Summaries.Which}. The length of the problem is asked for, as an
     * index of problems would lead to each row by a way of its own: nearly all have none.
     */
    static final String TAKEN =
            "length(problem) = 0 and (:readyToo or life <> 'READY') and (:othersToo or life = 'READY') and (:calmToo"
                    + " or held) and (life = 'ABANDONED') = :abandoned";

    private static final String WITH_THE_WORDS =
            "select batch_id, begun_at from batch_summary where " + TAKEN + " and locate(:words, words) > 0";

    /** Batches without a row that is as it would be made now. */
    private static final String NOT_AS_THEY_WOULD_BE = """
        select b.id from batch b
        where not exists (select 1 from batch_summary s where s.batch_id = b.id and s.made_with = :version and s.log_version = b.log_version)
        order by b.begun_at desc\
        """;

    private final NamedParameterJdbcTemplate jdbc;

    SummaryQueries(NamedParameterJdbcTemplate jdbc) {
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

    /**
     * How many batches are alike in what lists tell apart.
     *
     * @param life by its name
     * @param held whether they are
     * @param batches how many
     */
    record State(String life, boolean held, long batches) {}

    /**
     * What a batch has by its case.
     *
     * @param batch names it
     * @param condition by its name
     */
    record Leading(UUID batch, String condition) {}

    /**
     * What a batch was judged by.
     *
     * @param batch which
     * @param fingerprint as it was kept
     */
    record Judged(UUID batch, String fingerprint) {}

    /** All that is soap, the most urgent first. */
    List<Judged> judged() {
        return jdbc.query(
                "select batch_id, fingerprint from batch_summary where length(problem) = 0 and life in ('READY',"
                    + " 'CURE', 'MOULD') order by case life when 'READY' then 0 when 'CURE' then 1 else 2 end, held,"
                    + " begun_at desc",
                (row, i) -> new Judged(row.getObject(1, UUID.class), row.getString(2)));
    }

    /** All that have the words, of any age and in no order. */
    List<Found> withTheWords(String words, Summaries.Which which) {
        Map<String, Object> asked = Map.of(
                "words", words,
                "readyToo", which.readyToo(),
                "othersToo", which.othersToo(),
                "calmToo", which.calmToo(),
                "abandoned", which.abandoned());
        return jdbc.query(
                WITH_THE_WORDS,
                asked,
                (row, i) -> new Found(
                        id(row), row.getObject(2, OffsetDateTime.class).toInstant()));
    }

    List<State> states() {
        return jdbc.query(
                "select life, held, count(*) from batch_summary where problem = '' group by life, held",
                (row, i) -> new State(row.getString(1), row.getBoolean(2), row.getLong(3)));
    }

    /** What leads where that is at least so likely. */
    List<Leading> leading(double probability) {
        return jdbc.query(
                "select batch_id, leading from batch_summary where length(problem) = 0 and leading_probability >="
                        + " :least and length(leading) > 0",
                Map.of("least", probability),
                (row, i) -> new Leading(id(row), row.getString(2)));
    }

    /** The youngest batch's first, and one as often as it was used. */
    List<String> lyeVessels(int most) {
        return jdbc.queryForList(
                "select lye_vessel from batch_summary where lye_vessel <> '' order by begun_at desc fetch first :most"
                        + " rows only",
                Map.of("most", most),
                String.class);
    }

    /** The youngest batch's first, and one as often as it was used. */
    List<String> fatsVessels(int most) {
        return jdbc.queryForList(
                "select fats_vessel from batch_summary where fats_vessel <> '' order by begun_at desc fetch first"
                        + " :most rows only",
                Map.of("most", most),
                String.class);
    }

    /** The youngest batch that was poured into a mould. */
    Optional<UUID> lastInto(String mould) {
        return jdbc
                .query(
                        "select batch_id from batch_summary where mould = :mould and was_poured = true order by"
                                + " begun_at desc fetch first 1 rows only",
                        Map.of("mould", mould),
                        (row, i) -> id(row))
                .stream()
                .findFirst();
    }

    /** Batches without a row that is as it would be made now, the youngest first. */
    List<UUID> notAsTheyWouldBe(int version) {
        return jdbc.query(NOT_AS_THEY_WOULD_BE, Map.of("version", version), (row, i) -> id(row));
    }

    /** Those whose judgement may have moved with time alone, the oldest judgement first. */
    List<UUID> madeBefore(Instant moment, int most) {
        return jdbc.query(
                "select batch_id from batch_summary where life <> 'READY' and life <> 'ABANDONED' and made_at < :moment"
                        + " order by made_at fetch first :most rows only",
                Map.of("moment", moment.atOffset(ZoneOffset.UTC), "most", most),
                (row, i) -> id(row));
    }

    private static UUID id(ResultSet row) throws SQLException {
        return row.getObject(1, UUID.class);
    }
}
