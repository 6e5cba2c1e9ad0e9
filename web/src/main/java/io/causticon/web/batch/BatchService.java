package io.causticon.web.batch;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.LoggedEntry;
import io.causticon.core.observation.ScaledPlan;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps batches and their logs. A log only grows: amending a line adds a revision. What a method has returned from is on disk.
 */
@Service
public class BatchService {

    /** What one entry may take when written, as the table has it. */
    private static final int LONGEST_ENTRY = 4000;

    private static final int MOST_TRIES = 10;

    private final BatchRepository batches;
    private final RevisionRepository revisions;
    private final EntryCodec entries;
    private final PlanCodec plans;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final Clock clock;

    BatchService(
            BatchRepository batches,
            RevisionRepository revisions,
            EntryCodec entries,
            PlanCodec plans,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.batches = batches;
        this.revisions = revisions;
        this.entries = entries;
        this.plans = plans;
        this.events = events;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** @throws NotFoundException if there is no such batch */
    @Transactional(readOnly = true)
    public Batch get(BatchId id) {
        BatchRow row = batches.findById(id.value()).orElseThrow(() -> new NotFoundException("batch " + id));
        return batch(row, revisions.findByBatchIdOrderByLineIdAscRevisionAsc(id.value()));
    }

    /** All batches, the youngest first. */
    @Transactional(readOnly = true)
    public List<Batch> all() {
        List<BatchRow> rows = batches.findAllByOrderByBegunAtDesc();
        Map<UUID, List<RevisionRow>> byBatch =
                revisions.findByBatchIdInOrderByLineIdAscRevisionAsc(rows.stream().map(r -> r.id).toList()).stream()
                        .collect(Collectors.groupingBy(r -> r.batchId));
        return rows.stream().map(r -> batch(r, byBatch.getOrDefault(r.id, List.of()))).toList();
    }

    /**
     * Begins a batch.
     *
     * @param recipe the recipe it comes from, null for none
     * @param version its version
     * @param begun when, not in the future
     * @param by who
     * @param zone the workshop's, for the batch's code
     * @param clientKey the form's own key: the same form sent twice begins one batch
     */
    public BatchId begin(
            BatchPlan plan,
            @Nullable UUID recipe,
            int version,
            Instant begun,
            String by,
            ZoneId zone,
            String clientKey) {
        String key = ClientKey.of(clientKey);
        BatchId known = batches.findByClientKey(key).map(r -> new BatchId(r.id)).orElse(null);
        if (known != null) {
            return known;
        }
        for (int tries = 1; ; tries++) {
            BatchRow row = new BatchRow();
            row.name = plan.name();
            row.recipeId = recipe;
            row.version = version;
            row.plan = plans.write(plan);
            row.begunAt = begun;
            row.createdAt = clock.instant();
            row.createdBy = by;
            row.clientKey = key;
            row.code = freeCode(plan.name(), LocalDate.ofInstant(begun, zone));
            try {
                transaction.executeWithoutResult(t -> batches.saveAndFlush(row));
                return new BatchId(row.id);
            } catch (DataIntegrityViolationException e) {
                // The same form, sent a second time while the first was still on its way; or somebody else took the code meanwhile.
                Optional<BatchRow> same = batches.findByClientKey(key);
                if (same.isPresent()) {
                    return new BatchId(same.get().id);
                }
                if (tries == MOST_TRIES) {
                    throw e;
                }
            }
        }
    }

    /**
     * Adds lines to a log.
     *
     * @param clientKey the form's own key: the same form sent twice adds its lines once
     */
    public void log(BatchId batch, List<Entry> lines, Instant at, String by, String clientKey) {
        String key = ClientKey.of(clientKey);
        if (revisions.existsByClientKey(key + "#0")) {
            return;
        }
        List<RevisionRow> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            // Lines of one form keep their order: each stands a millisecond behind the one before.
            RevisionRow row = row(batch, UUID.randomUUID(), 1, lines.get(i), at.plusMillis(i), by);
            row.clientKey = key + "#" + i;
            rows.add(row);
        }
        try {
            transaction.executeWithoutResult(t -> revisions.saveAllAndFlush(rows));
        } catch (DataIntegrityViolationException e) {
            if (revisions.existsByClientKey(key + "#0")) {
                return;
            }
            throw e;
        }
        events.publishEvent(new BatchLogged(batch));
    }

    /**
     * A line with the moment it happened at.
     *
     * @param at when
     * @param entry what happened
     */
    public record Dated(Instant at, Entry entry) {}

    /** Adds a whole log that was written elsewhere, recorded when it happened, in one go. */
    public void takeOver(BatchId batch, List<Dated> lines, String by) {
        List<RevisionRow> rows = lines.stream()
                .map(l -> {
                    RevisionRow row = row(batch, UUID.randomUUID(), 1, l.entry(), l.at(), by);
                    row.recordedAt = l.at();
                    return row;
                })
                .toList();
        transaction.executeWithoutResult(t -> revisions.saveAll(rows));
        events.publishEvent(new BatchLogged(batch));
    }

    /**
     * Puts a new revision on top of a line.
     *
     * @param base the revision that the maker saw
     * @throws ProblemsException if somebody amended the line since
     */
    public void amend(BatchId batch, String line, int base, Entry entry, Instant at, boolean withdrawn, String by) {
        LoggedEntry now = get(batch).log().find(line).orElseThrow(() -> new NotFoundException("line " + line));
        if (now.current().number() != base) {
            throw amendedMeanwhile(now);
        }
        RevisionRow row = row(batch, UUID.fromString(line), base + 1, entry, at, by);
        row.withdrawn = withdrawn;
        try {
            transaction.executeWithoutResult(t -> revisions.saveAndFlush(row));
        } catch (DataIntegrityViolationException e) {
            throw amendedMeanwhile(get(batch).log().find(line).orElseThrow());
        }
        events.publishEvent(new BatchLogged(batch));
    }

    private static ProblemsException amendedMeanwhile(LoggedEntry now) {
        return ProblemsException.of(
                "entry", ProblemKey.AMENDED_MEANWHILE, now.current().by(), now.entry());
    }

    private RevisionRow row(BatchId batch, UUID line, int number, Entry entry, Instant at, String by) {
        RevisionRow row = new RevisionRow();
        row.batchId = batch.value();
        row.lineId = line;
        row.revision = number;
        row.happenedAt = at;
        row.recordedAt = clock.instant();
        row.recordedBy = by;
        row.kind = entry.getClass().getSimpleName();
        row.entry = entries.write(entry);
        if (row.entry.length() > LONGEST_ENTRY) {
            throw ProblemsException.of("quick", ProblemKey.TOO_LONG, row.entry.length(), LONGEST_ENTRY);
        }
        return row;
    }

    private Batch batch(BatchRow row, Collection<RevisionRow> rows) {
        Map<UUID, List<LoggedEntry.Revision>> lines = new LinkedHashMap<>();
        for (RevisionRow r : rows) {
            lines.computeIfAbsent(r.lineId, id -> new ArrayList<>())
                    .add(new LoggedEntry.Revision(
                            r.revision, r.happenedAt, r.recordedAt, r.recordedBy, entries.read(r.entry), r.withdrawn));
        }
        List<LoggedEntry> logged = lines.entrySet().stream()
                .map(e -> new LoggedEntry(
                        e.getKey().toString(),
                        e.getValue().get(e.getValue().size() - 1),
                        e.getValue().subList(0, e.getValue().size() - 1)))
                .toList();
        BatchLog log = new BatchLog(row.begunAt, logged);
        BatchPlan plan = ScaledPlan.of(plans.read(row.plan), log);
        return new Batch(new BatchId(row.id), row.code, plan, row.version, log);
    }

    /** Initials, year and day of the year: {@code SB-26-307}, with a letter behind when there are several that day. */
    private String freeCode(String name, LocalDate day) {
        String initials = Arrays.stream(name.split("[^\\p{L}\\d]+"))
                .filter(w -> !w.isEmpty())
                .limit(3)
                .map(w -> w.substring(0, 1).toUpperCase(Locale.ROOT))
                .collect(Collectors.joining());
        String code = String.format(
                Locale.ROOT, "%s-%02d-%03d", initials.isEmpty() ? "B" : initials, day.getYear() % 100, day.getDayOfYear());
        String free = code;
        for (char letter = 'b'; batches.existsByCode(free); letter++) {
            free = code + letter;
        }
        return free;
    }
}
