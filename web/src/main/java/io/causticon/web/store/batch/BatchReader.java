package io.causticon.web.store.batch;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.facts.ScaledPlan;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Makes batches of rows, whatever stands in them. A line that cannot be understood becomes {@link Entry.Unreadable}; a
 * batch whose plan or beginning cannot be understood becomes an {@link UnreadableBatch}.
 */
@Component
class BatchReader {

    /** Nobody kept a batch here before there was a clock to keep it by. */
    private static final Instant EARLIEST = Instant.EPOCH;

    /** Clocks differ, and lines may be logged before the batch was begun by as much. */
    private static final Duration ASIDE = Duration.ofDays(1);

    private static final int FIRST = 1;

    private final EntryCodec entries;
    private final PlanCodec plans;
    private final Belongings workshop;

    BatchReader(EntryCodec entries, PlanCodec plans, Belongings workshop) {
        this.entries = entries;
        this.plans = plans;
        this.workshop = workshop;
    }

    /** Either a batch, or why it cannot be one. */
    sealed interface Result {}

    /** A batch, and its plan before the maker scaled the rest at the scale. */
    record Readable(Batch batch, BatchPlan planned) implements Result {}

    /** None. */
    record Broken(UnreadableBatch batch) implements Result {}

    Result read(BatchRow row, Collection<RevisionRow> rows, Instant now) {
        BatchId id = new BatchId(row.id);
        if (row.begunAt.isBefore(EARLIEST) || row.begunAt.isAfter(now.plus(ASIDE))) {
            return broken(row, rows, "The moment it was begun, " + row.begunAt + ", cannot be.");
        }
        BatchPlan plan;
        try {
            plan = plans.read(row.plan);
        } catch (PlanCodec.UnknownField e) {
            return broken(row, rows, "Its plan " + e.getMessage() + ".");
        } catch (RuntimeException e) {
            // Whatever is wrong with the text: a batch without its plan is none.
            return broken(row, rows, "Its plan cannot be understood.");
        }
        BatchLog log = new BatchLog(row.begunAt, lines(rows, row.begunAt, now), workshop.substances());
        return new Readable(new Batch(id, row.code, ScaledPlan.of(plan, log), row.version, log), plan);
    }

    /** The batch with revisions that were just written to its log. */
    BatchStore.Kept append(BatchStore.Kept before, Collection<RevisionRow> added, Instant now) {
        Batch batch = before.batch();
        List<LoggedEntry> lines =
                added.stream().map(r -> revised(batch.log(), r, now)).toList();
        BatchLog log = added.stream().allMatch(r -> r.revision == FIRST)
                ? batch.log().withNew(lines)
                : batch.log().with(lines);
        return new BatchStore.Kept(
                before.version(),
                before.planned(),
                new Batch(batch.id(), batch.code(), ScaledPlan.of(before.planned(), log), batch.version(), log));
    }

    private LoggedEntry revised(BatchLog log, RevisionRow row, Instant now) {
        LoggedEntry.Revision current = revision(row, log.begun(), now);
        // Nearly every line is new, and then nothing of it needs to be looked for in a log of thousands.
        List<LoggedEntry.Revision> earlier = row.revision == FIRST
                ? List.of()
                : log.find(row.lineId.toString())
                        .map(l -> Stream.concat(l.earlier().stream(), Stream.of(l.current()))
                                .toList())
                        .orElse(List.of());
        return new LoggedEntry(row.lineId.toString(), current, earlier);
    }

    private Broken broken(BatchRow row, Collection<RevisionRow> rows, String why) {
        return new Broken(new UnreadableBatch(
                new BatchId(row.id),
                row.code,
                row.name,
                why,
                rows.stream().map(r -> r.happenedAt + "  " + r.entry).toList()));
    }

    private List<LoggedEntry> lines(Collection<RevisionRow> rows, Instant begun, Instant now) {
        Map<UUID, List<LoggedEntry.Revision>> lines = new LinkedHashMap<>();
        for (RevisionRow r : rows) {
            lines.computeIfAbsent(r.lineId, id -> new ArrayList<>()).add(revision(r, begun, now));
        }
        return lines.entrySet().stream()
                .map(e -> new LoggedEntry(
                        e.getKey().toString(),
                        e.getValue().get(e.getValue().size() - 1),
                        e.getValue().subList(0, e.getValue().size() - 1)))
                .toList();
    }

    /** A line from outside the batch's life stands at its edge and counts for nothing. */
    private LoggedEntry.Revision revision(RevisionRow r, Instant begun, Instant now) {
        boolean before = r.happenedAt.isBefore(begun.minus(ASIDE));
        boolean after = r.happenedAt.isAfter(now.plus(ASIDE));
        Entry entry = before || after ? new Entry.Unreadable(r.entry) : entries.read(r.entry);
        Instant at = before ? begun : after ? now : r.happenedAt;
        return new LoggedEntry.Revision(
                r.revision, at, r.recordedAt, r.recordedBy, entry, r.withdrawn, r.reason, Answers.read(r.answered));
    }
}
