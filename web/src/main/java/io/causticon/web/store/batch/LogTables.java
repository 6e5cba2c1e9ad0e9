package io.causticon.web.store.batch;

import java.util.Collection;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The three tables that each tap writes to, by plain statements within the transaction that is open: a maker waits for
 * every tap, and keeping track of entities took nearly as long as the database itself. Whatever is read more rarely
 * goes through the repositories.
 */
@Component
class LogTables {

    private static final PlainTable<RevisionRow> REVISIONS = new PlainTable<>(RevisionRow.class);
    private static final PlainTable<SummaryRow> SUMMARIES = new PlainTable<>(SummaryRow.class);

    private final JdbcTemplate jdbc;

    LogTables(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** All batches, the youngest first. */
    List<UUID> batchesByAge() {
        return jdbc.query("select id from batch order by begun_at desc", (row, i) -> row.getObject(1, UUID.class));
    }

    /** How much was written to the log of a batch; empty if there is no such batch. */
    OptionalInt version(UUID batch) {
        return jdbc.query(
                "select log_version from batch where id = ?",
                found -> found.next() ? OptionalInt.of(found.getInt(1)) : OptionalInt.empty(),
                batch);
    }

    /**
     * Counts what is about to be written to the log of a batch. Whoever does so too waits until this transaction has
     * ended.
     *
     * @return how much was written with it; empty if there is no such batch
     */
    OptionalInt moveOn(UUID batch) {
        // First the change, then the question: a "select for update" is parsed anew each time.
        return jdbc.update("update batch set log_version = log_version + 1 where id = ?", batch) == 0
                ? OptionalInt.empty()
                : version(batch);
    }

    /**
     * The same where it is known how much was written so far.
     *
     * @return whether that much it was; otherwise nothing was counted
     */
    boolean moveOn(UUID batch, int from) {
        return jdbc.update("update batch set log_version = ? where id = ? and log_version = ?", from + 1, batch, from)
                == 1;
    }

    /** @throws org.springframework.dao.DataIntegrityViolationException if a line or its key is there already */
    void add(Collection<RevisionRow> rows) {
        List<Object[]> values = rows.stream().map(REVISIONS::values).toList();
        if (values.size() == 1) {
            jdbc.update(REVISIONS.insert(), values.get(0));
        } else {
            jdbc.batchUpdate(REVISIONS.insert(), values);
        }
    }

    /** Puts a summary in the place of the one that its batch had, or had not. */
    void put(SummaryRow row) {
        Object[] values = SUMMARIES.values(row);
        if (jdbc.update(SUMMARIES.update(), PlainTable.keyLast(values)) == 0) {
            jdbc.update(SUMMARIES.insert(), values);
        }
    }
}
