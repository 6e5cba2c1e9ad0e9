package io.causticon.web.store.audit;

import io.causticon.core.model.log.Entry;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/** Reads who did what, and what was amended. */
@Service
public class AuditTrail {

    private static final int ID = 36;

    private final JdbcTemplate jdbc;
    private final BatchService batches;

    AuditTrail(JdbcTemplate jdbc, BatchService batches) {
        this.jdbc = jdbc;
        this.batches = batches;
    }

    /**
     * Something that was done.
     *
     * @param number counts up
     * @param batch name of the batch that it was done to; empty where it was none
     */
    public record Done(
            long number, Instant at, String name, String device, String what, String subject, String batch) {}

    /** The latest before a number. */
    public List<Done> done(long before, String name, int most) {
        return jdbc
                .query(
                        "select * from deed where id < ? and (? = '' or name = ?) order by id desc limit ?",
                        (found, i) -> done(found),
                        before,
                        name,
                        name,
                        most)
                .stream()
                .map(d -> new Done(d.number(), d.at(), d.name(), d.device(), d.what(), d.subject(), batch(d.subject())))
                .toList();
    }

    /** The batch that a subject begins with; empty where it is none. */
    private String batch(String subject) {
        return BatchId.read(subject.length() > ID ? subject.substring(0, ID) : subject)
                .flatMap(batches::name)
                .orElse("");
    }

    private static Done done(ResultSet found) throws SQLException {
        return new Done(
                found.getLong("id"),
                found.getObject("done_at", OffsetDateTime.class).toInstant(),
                found.getString("name"),
                found.getString("device"),
                found.getString("what"),
                found.getString("subject"),
                "");
    }

    /** Who is in it. */
    public List<String> names() {
        return jdbc.queryForList("select distinct name from deed order by name", String.class);
    }

    /**
     * A line that says something else now.
     *
     * @param at when it was amended
     * @param before what it said
     * @param now what it says; empty where it was taken back
     * @param reason why, where one was given
     */
    public record Amendment(
            Instant at, String by, String batch, String code, UUID id, String before, String now, String reason) {}

    /** The latest amendments, newest first. */
    public List<Amendment> amendments(int most, Formats formats) {
        List<Amendment> all = new ArrayList<>();
        record Where(UUID batch, UUID line, int revision) {}
        List<Where> found = jdbc.query(
                "select batch_id, line_id, revision from log_revision where revision > 1 order by recorded_at desc"
                        + " limit ?",
                (r, i) -> new Where(r.getObject(1, UUID.class), r.getObject(2, UUID.class), r.getInt(3)),
                most);
        Map<UUID, Optional<Batch>> read = new HashMap<>();
        for (Where where : found) {
            Optional<Batch> batch = read.computeIfAbsent(
                    where.batch(), id -> Guard.of("Batch " + id, () -> batches.glance(new BatchId(id))));
            batch.flatMap(b -> amendment(b, where.line(), where.revision(), formats))
                    .ifPresent(all::add);
        }
        return all;
    }

    private static Optional<Amendment> amendment(Batch batch, UUID line, int revision, Formats formats) {
        return batch.log().find(line.toString()).flatMap(l -> {
            var revisions =
                    Stream.concat(l.earlier().stream(), Stream.of(l.current())).toList();
            var now = revisions.stream().filter(r -> r.number() == revision).findFirst();
            var before =
                    revisions.stream().filter(r -> r.number() == revision - 1).findFirst();
            return now.map(n -> new Amendment(
                    n.recordedAt(),
                    n.by(),
                    batch.name(),
                    batch.code(),
                    batch.id().value(),
                    before.map(b -> words(batch, b.entry(), b.at(), formats)).orElse(""),
                    n.withdrawn() ? "" : words(batch, n.entry(), n.at(), formats),
                    n.reason()));
        });
    }

    private static String words(Batch batch, Entry entry, Instant at, Formats formats) {
        return EntryWords.of(entry, batch.names(), formats).text() + ", " + formats.moment(at);
    }

    /** Everything that was done, the oldest first, one after the other. */
    public void each(Consumer<Done> take) {
        jdbc.query("select * from deed order by id", found -> {
            take.accept(done(found));
        });
    }
}
