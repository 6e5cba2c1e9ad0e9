package io.causticon.web.store.batch;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Doubt;
import io.causticon.core.workshop.assessment.Doubts;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.UnreadableException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps batches and their logs. A log only grows: amending a line adds a revision. What a method has returned from is
 * on disk.
 */
@Service
public class BatchService {

    /** What one entry may take when written, as the table has it. */
    private static final int LONGEST_ENTRY = 4000;

    private static final int LONGEST_REASON = 500;
    private static final int MOST_TRIES = 10;
    private static final int LETTERS = 26;

    /** Who holds a batch when no person did. */
    public static final String ITSELF = "Causticon";

    private final BatchRepository batches;
    private final RevisionRepository revisions;
    private final LogTables tables;
    private final EntryCodec entries;
    private final PlanCodec plans;
    private final BatchReader reader;
    private final BatchStore store;
    private final Summaries summaries;
    private final Assessments assessments;
    private final LogFollowers followers;
    private final TransactionTemplate transaction;
    private final TransactionTemplate reading;
    private final Clock clock;

    BatchService(
            BatchRepository batches,
            RevisionRepository revisions,
            LogTables tables,
            EntryCodec entries,
            PlanCodec plans,
            BatchReader reader,
            BatchStore store,
            Summaries summaries,
            Assessments assessments,
            LogFollowers followers,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.batches = batches;
        this.revisions = revisions;
        this.tables = tables;
        this.entries = entries;
        this.plans = plans;
        this.reader = reader;
        this.store = store;
        this.summaries = summaries;
        this.assessments = assessments;
        this.followers = followers;
        this.transaction = new TransactionTemplate(transactions);
        this.reading = new TransactionTemplate(transactions);
        this.reading.setReadOnly(true);
        this.clock = clock;
    }

    /**
     * @throws NotFoundException if there is no such batch
     * @throws UnreadableException if it cannot be worked with
     */
    public Batch get(BatchId id) {
        int version = tables.version(id.value()).orElseThrow(() -> noBatch(id));
        return store.at(id.value(), version)
                .orElseGet(() -> reading.execute(t -> read(id)))
                .batch();
    }

    /** The recipe it was made from; empty when it was made without one. */
    @Transactional(readOnly = true)
    public Optional<UUID> recipe(BatchId id) {
        return batches.findById(id.value()).map(r -> r.recipeId);
    }

    /**
     * A batch by its name alone.
     *
     * @param id names it
     * @param code its code
     */
    public record Made(BatchId id, String code) {}

    /** What was made from a recipe, whatever version of it, the youngest first. */
    @Transactional(readOnly = true)
    public List<Made> madeFrom(UUID recipe, int most) {
        return batches.findByRecipeIdOrderByBegunAtDesc(recipe, Limit.of(most)).stream()
                .map(r -> new Made(new BatchId(r.id), r.code))
                .toList();
    }

    /** Name of a batch, also of one that cannot be worked with; empty if there is none. */
    @Transactional(readOnly = true)
    public Optional<String> name(BatchId id) {
        return batches.findById(id.value()).map(r -> r.name);
    }

    /**
     * All that is kept.
     *
     * @param batches the youngest first
     * @param unreadable what cannot be worked with
     */
    public record All(List<Batch> batches, List<UnreadableBatch> unreadable) {}

    /** Ids of all batches, the youngest first. */
    @Transactional(readOnly = true)
    public List<BatchId> ids() {
        return tables.batchesByAge().stream().map(BatchId::new).toList();
    }

    /** A batch that is looked at once among many: it is not kept for the next who asks. */
    @Transactional(readOnly = true)
    public Batch glance(BatchId id) {
        BatchRow row = row(id);
        return store.at(row.id, row.logVersion)
                .map(BatchStore.Kept::batch)
                .orElseGet(() -> fromRows(row).batch());
    }

    /** All batches that can be worked with, the youngest first. */
    @Transactional(readOnly = true)
    public List<Batch> all() {
        return withUnreadable().batches();
    }

    /** All batches, also those that cannot be worked with. */
    @Transactional(readOnly = true)
    public All withUnreadable() {
        List<BatchRow> rows = batches.findAllByOrderByBegunAtDesc();
        Map<UUID, List<RevisionRow>> unknown = lines(rows.stream()
                .filter(r -> store.at(r.id, r.logVersion).isEmpty())
                .toList());
        List<Batch> readable = new ArrayList<>();
        List<UnreadableBatch> unreadable = new ArrayList<>();
        Instant now = clock.instant();
        for (BatchRow row : rows) {
            Optional<BatchStore.Kept> kept = store.at(row.id, row.logVersion);
            if (kept.isPresent()) {
                readable.add(kept.get().batch());
                continue;
            }
            BatchReader.Result result = reader.read(row, unknown.getOrDefault(row.id, List.of()), now);
            if (result instanceof BatchReader.Readable r) {
                readable.add(r.batch());
            } else if (result instanceof BatchReader.Broken b) {
                unreadable.add(b.batch());
            }
        }
        return new All(readable, unreadable);
    }

    private Map<UUID, List<RevisionRow>> lines(List<BatchRow> rows) {
        return rows.isEmpty()
                ? Map.of()
                : revisions
                        .findByBatchIdInOrderByLineIdAscRevisionAsc(
                                rows.stream().map(r -> r.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(r -> r.batchId));
    }

    /** Reads a batch that is not known as it stands, and keeps it. */
    private BatchStore.Kept read(BatchId id) {
        BatchStore.Kept kept = fromRows(row(id));
        store.keep(kept);
        return kept;
    }

    private BatchRow row(BatchId id) {
        return batches.findById(id.value()).orElseThrow(() -> noBatch(id));
    }

    private BatchStore.Kept fromRows(BatchRow row) {
        List<RevisionRow> rows = revisions.findByBatchIdOrderByLineIdAscRevisionAsc(row.id);
        BatchReader.Result result = reader.read(row, rows, clock.instant());
        if (result instanceof BatchReader.Readable r) {
            return new BatchStore.Kept(row.logVersion, r.planned(), r.batch());
        }
        UnreadableBatch broken = ((BatchReader.Broken) result).batch();
        throw new UnreadableException(
                broken.name() + ", " + broken.code() + ", cannot be worked out", broken.why(), broken.lines());
    }

    private static NotFoundException noBatch(BatchId id) {
        return new NotFoundException("batch " + id);
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
        String written = plans.write(plan);
        Optional<BatchId> known = sentBefore(key, written);
        if (known.isPresent()) {
            return known.get();
        }
        for (int tries = 1; ; tries++) {
            BatchRow row = new BatchRow();
            row.name = plan.name();
            row.recipeId = recipe;
            row.version = version;
            row.plan = written;
            row.begunAt = begun;
            row.createdAt = clock.instant();
            row.createdBy = by;
            row.clientKey = key;
            row.code = freeCode(plan.name(), LocalDate.ofInstant(begun, zone));
            try {
                transaction.executeWithoutResult(t -> {
                    batches.saveAndFlush(row);
                    Batch fresh =
                            new Batch(new BatchId(row.id), row.code, plan, version, new BatchLog(begun, List.of()));
                    summaries.write(fresh, row.logVersion, assessments.whenWritten(fresh));
                });
                return new BatchId(row.id);
            } catch (DataIntegrityViolationException e) {
                // The same form, sent a second time while the first was still on its way; or somebody else took the
                // code meanwhile.
                Optional<BatchId> same = sentBefore(key, written);
                if (same.isPresent()) {
                    return same.get();
                }
                if (tries == MOST_TRIES) {
                    throw e;
                }
            }
        }
    }

    /** The same for a purpose; sent again after a mishap, what is missing of it is done. */
    public BatchId beginFor(
            Purpose purpose,
            BatchPlan plan,
            @Nullable UUID recipe,
            int version,
            Instant begun,
            String by,
            ZoneId zone,
            String clientKey) {
        BatchId id = begin(plan, recipe, version, begun, by, zone, clientKey);
        if (purpose != Purpose.MADE) {
            log(id, List.of(new Entry.MeantFor(purpose)), begun, by, clientKey);
        }
        return id;
    }

    private Optional<BatchId> sentBefore(String key, String plan) {
        Optional<BatchRow> known = batches.findByClientKey(key);
        if (known.filter(r -> !r.plan.equals(plan)).isPresent()) {
            throw ProblemsException.of("form", ProblemKey.FORM_USED);
        }
        return known.map(r -> new BatchId(r.id));
    }

    /**
     * What a form came to.
     *
     * @param lines ids of its lines
     * @param before whether it came before, and its lines stood there already
     * @param batch as it stands with them
     */
    public record Taken(List<UUID> lines, boolean before, Batch batch) {}

    /**
     * Adds lines to a log where nobody can be asked about them: what is odd about one stays open until somebody says
     * that it is so.
     *
     * @param clientKey the form's own key: the same form sent twice adds its lines once
     * @throws ProblemsException if a line cannot stand in a log, or if the form was sent before with other words
     */
    public Taken log(BatchId batch, List<Entry> lines, Instant at, String by, String clientKey) {
        return log(batch, lines, at, by, clientKey, Answers.LATER);
    }

    /**
     * The same.
     *
     * @param answers what was asked about the lines already
     * @throws DoubtsException if something about them has to be asked first
     */
    public Taken log(BatchId batch, List<Entry> lines, Instant at, String by, String clientKey, Answers answers) {
        return logIf(batch, b -> {}, lines, at, by, clientKey, answers);
    }

    /**
     * The same if the batch, looked at within the write, allows it.
     *
     * @param check throws what keeps the lines from being written
     */
    public Taken logIf(
            BatchId batch,
            Consumer<Batch> check,
            List<Entry> lines,
            Instant at,
            String by,
            String clientKey,
            Answers answers) {
        String key = ClientKey.of(clientKey);
        List<RevisionRow> rows = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            // Lines of one form keep their order: each stands a millisecond behind the one before.
            RevisionRow row = row(batch, UUID.randomUUID(), 1, lines.get(i), at.plusMillis(i), by);
            row.clientKey = key + "#" + i;
            rows.add(row);
        }
        try {
            Batch written = write(batch, before -> {
                lines.forEach(l -> EntryCheck.of(l, before.plan(), before.log().substances())
                        .throwIfAny());
                lines.forEach(l -> BarStock.of(l, before.log()).throwIfAny());
                check.accept(before);
                ask(before, lines, rows, answers);
                return rows;
            });
            return new Taken(rows.stream().map(r -> r.lineId).toList(), false, written);
        } catch (DataIntegrityViolationException | ProblemsException | DoubtsException | NotFoundException e) {
            // Nearly always it is sent once: looked for only where it could not be written, maybe because it had been.
            List<UUID> sent = sentBefore(batch, key, lines);
            if (sent.isEmpty()) {
                throw e;
            }
            return new Taken(sent, true, get(batch));
        }
    }

    /** What has to be answered before these lines are kept; what was is kept with them. */
    private static void ask(Batch before, List<Entry> lines, List<RevisionRow> rows, Answers answers) {
        BatchLog log = before.log();
        List<Doubt> open = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            List<Doubt> doubts = Doubts.of(lines.get(i), rows.get(i).happenedAt, before.plan(), log);
            rows.get(i).answered = Answers.written(doubts.stream()
                    .map(Doubt::kind)
                    .filter(answers.said()::contains)
                    .toList());
            doubts.stream().filter(d -> !answers.said().contains(d.kind())).forEach(open::add);
            if (lines.size() > 1) {
                log = log.with(
                        LoggedEntry.first(rows.get(i).lineId.toString(), rows.get(i).happenedAt, "", lines.get(i)));
            }
        }
        if (!open.isEmpty() && answers.canBeAsked()) {
            throw new DoubtsException(before, open);
        }
    }

    /**
     * The lines of this form if it came before. One that comes again with other words is told, or they would be lost.
     */
    private List<UUID> sentBefore(BatchId batch, String key, List<Entry> lines) {
        // One more than there are now, in case that it brought more the first time.
        List<RevisionRow> sent = revisions.findByClientKeyIn(IntStream.rangeClosed(0, lines.size())
                .mapToObj(i -> key + "#" + i)
                .toList());
        boolean same = sent.stream().allMatch(r -> r.batchId.equals(batch.value()))
                && said(sent.stream().map(r -> entries.read(r.entry)).toList()).equals(said(lines));
        if (!sent.isEmpty() && !same) {
            throw ProblemsException.of("quick", ProblemKey.FORM_USED);
        }
        return sent.stream().map(r -> r.lineId).toList();
    }

    /** What a maker said; what a thermometer in the batter added to it may differ the second time. */
    private static Set<Entry> said(List<Entry> lines) {
        return lines.stream()
                .filter(l -> lines.size() == 1
                        || !(l instanceof Entry.TemperatureRead t && t.spot() == MeasurementPoint.BATTER))
                .collect(Collectors.toSet());
    }

    /**
     * Writes revisions, and in the same transaction that the batch is held where they speak for a hazard. Whoever
     * writes to one batch waits for whoever does before.
     *
     * @return the batch as it stands with them
     */
    private Batch write(BatchId id, Function<Batch, List<RevisionRow>> rows) {
        BatchStore.Kept written = transaction.execute(t -> {
            BatchStore.Kept before = lockedForMore(id);
            int version = before.version() + 1;
            BatchStore.Kept after = append(before, rows.apply(before.batch()));
            Assessment judged = assessments.whenWritten(after.batch());
            List<RevisionRow> holds = holdIfNeeded(after.batch(), judged, "");
            BatchStore.Kept held = append(after, holds);
            summaries.write(held.batch(), version, holds.isEmpty() ? judged : assessments.whenWritten(held.batch()));
            return held.at(version);
        });
        // Only now it is on disk.
        store.keep(written);
        followers.tell(id);
        return written.batch();
    }

    /**
     * A batch to write more to; its row says already that there is. Nearly always it is the one that is known, and
     * needs no question.
     */
    private BatchStore.Kept lockedForMore(BatchId id) {
        return store.last(id.value())
                .filter(known -> tables.moveOn(id.value(), known.version()))
                .orElseGet(() -> {
                    int before = tables.moveOn(id.value()).orElseThrow(() -> noBatch(id)) - 1;
                    return store.at(id.value(), before)
                            .orElseGet(() -> fromRows(row(id)).at(before));
                });
    }

    /**
     * Judges a batch whose lines came or went by another door, and holds it where they speak for a hazard. Within the
     * transaction that moves them; the store learns of it when that is on disk.
     *
     * @return the lines that were added
     * @throws UnreadableException if it cannot be worked with
     */
    List<UUID> settle(BatchId id) {
        BatchRow row = batches.findWithLockById(id.value()).orElseThrow(() -> noBatch(id));
        BatchStore.Kept before = fromRows(row);
        Assessment now = assessments.whenWritten(before.batch());
        List<RevisionRow> holds = holdIfNeeded(before.batch(), now, "");
        BatchStore.Kept held = append(before, holds);
        row.logVersion++;
        summaries.write(held.batch(), row.logVersion, holds.isEmpty() ? now : assessments.whenWritten(held.batch()));
        return holds.stream().map(r -> r.id).toList();
    }

    /**
     * Judges a batch again of which no line moved: what it is judged by did. Where that speaks for a hazard it is held,
     * and the line says what moved.
     *
     * @param because what moved, in words
     */
    void judgeAgain(BatchId id, String because) {
        BatchStore.Kept judged = transaction.execute(t -> {
            BatchRow row = batches.findWithLockById(id.value()).orElseThrow(() -> noBatch(id));
            BatchStore.Kept before = fromRows(row);
            Assessment now = assessments.whenWritten(before.batch());
            List<RevisionRow> holds = holdIfNeeded(before.batch(), now, because);
            BatchStore.Kept after = append(before, holds);
            if (!holds.isEmpty()) {
                row.logVersion++;
            }
            summaries.write(
                    after.batch(), row.logVersion, holds.isEmpty() ? now : assessments.whenWritten(after.batch()));
            return after.at(row.logVersion);
        });
        store.keep(judged);
        if (judged.batch().isHeld()) {
            followers.tell(id);
        }
    }

    private BatchStore.Kept append(BatchStore.Kept before, List<RevisionRow> added) {
        if (added.isEmpty()) {
            return before;
        }
        tables.add(added);
        return reader.append(before, added, clock.instant());
    }

    /** The line that holds it, where its log speaks for a hazard. */
    private List<RevisionRow> holdIfNeeded(Batch after, Assessment judged, String because) {
        return judged.arises().stream()
                .map(held -> held(after, because.isEmpty() ? held : new Entry.Held(held.reason() + ", as " + because)))
                .toList();
    }

    private RevisionRow held(Batch after, Entry.Held held) {
        Instant now = clock.instant();
        // Behind the last verdict, or it would not be the last.
        Instant last = after.log().entries().stream()
                .filter(e -> e.entry() instanceof Entry.Released)
                .map(LoggedEntry::at)
                .reduce((earlier, later) -> later)
                .orElse(now);
        RevisionRow row =
                row(after.id(), UUID.randomUUID(), 1, held, last.isBefore(now) ? now : last.plusMillis(1), ITSELF);
        row.clientKey = ClientKey.of(null) + "#0";
        return row;
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
        write(
                batch,
                before -> lines.stream()
                        .map(l -> dated(batch, before, l, by, l.at()))
                        .toList());
    }

    /** Adds lines of the past that are written down only now, in one go. */
    public void writeUp(BatchId batch, List<Dated> lines, String by) {
        Instant now = clock.instant();
        write(
                batch,
                before -> lines.stream()
                        .map(l -> dated(batch, before, l, by, now))
                        .toList());
    }

    private RevisionRow dated(BatchId batch, Batch before, Dated line, String by, Instant recorded) {
        EntryCheck.of(line.entry(), before.plan(), before.log().substances()).throwIfAny();
        RevisionRow row = row(batch, UUID.randomUUID(), 1, line.entry(), line.at(), by);
        row.recordedAt = recorded;
        return row;
    }

    /**
     * Puts a new revision on top of a line where nobody can be asked about it.
     *
     * @param base the revision that the maker saw
     * @throws ProblemsException as below
     */
    public void amend(BatchId batch, String line, int base, Entry entry, Instant at, String by) {
        amend(batch, line, base, entry, at, by, Answers.LATER);
    }

    /**
     * The same.
     *
     * @param base the revision that the maker saw
     * @throws ProblemsException if somebody amended the line since, or if it is a deed: that is not amended
     */
    public void amend(BatchId batch, String line, int base, Entry entry, Instant at, String by, Answers answers) {
        revise(batch, line, base, by, (before, now) -> {
            if (now.entry().isDeed() || entry.isDeed()) {
                throw ProblemsException.of("quick", ProblemKey.NOT_AMENDED);
            }
            EntryCheck.of(entry, before.plan(), before.log().substances()).throwIfAny();
            // As if the line that it stands on was not there.
            List<LoggedEntry> others = before.log().all().stream()
                    .filter(l -> !l.id().equals(now.id()))
                    .toList();
            BatchLog without =
                    new BatchLog(before.log().begun(), others, before.log().substances());
            BarStock.of(entry, without).throwIfAny();
            RevisionRow row = row(batch, UUID.fromString(now.id()), base + 1, entry, at, by);
            ask(
                    new Batch(before.id(), before.code(), before.plan(), before.version(), without),
                    List.of(entry),
                    List.of(row),
                    answers);
            return row;
        });
    }

    /**
     * Says that a line is so, which was kept without anybody being asked: it stands as it is, and what is odd about it
     * is answered.
     *
     * @param base the revision that the maker saw
     * @throws ProblemsException if somebody amended the line since
     */
    public void answer(BatchId batch, String line, int base, String by) {
        revise(batch, line, base, by, (before, now) -> {
            RevisionRow row = row(batch, UUID.fromString(now.id()), base + 1, now.entry(), now.at(), by);
            Set<DoubtKind> kinds = EnumSet.noneOf(DoubtKind.class);
            kinds.addAll(now.current().answered());
            Doubts.open(before.plan(), before.log()).stream()
                    .filter(o -> o.line().equals(line))
                    .forEach(o -> kinds.add(o.doubt().kind()));
            row.answered = Answers.written(kinds);
            return row;
        });
    }

    /**
     * Takes a line back; it stays readable and no longer counts. A deed is taken back with a reason, and a hold not at
     * all: that is released.
     *
     * @param base the revision that the maker saw
     * @param reason why; may be empty for what is no deed
     * @throws ProblemsException if somebody amended the line since, or if a reason is missing
     */
    public void withdraw(BatchId batch, String line, int base, String reason, String by) {
        revise(batch, line, base, by, (before, now) -> {
            if (now.entry() instanceof Entry.Held) {
                throw ProblemsException.of("reason", ProblemKey.ONLY_RELEASED);
            }
            if (now.entry().isDeed() && reason.isBlank()) {
                throw ProblemsException.of("reason", ProblemKey.MISSING);
            }
            if (reason.length() > LONGEST_REASON) {
                throw ProblemsException.of("reason", ProblemKey.TOO_LONG, reason.length(), LONGEST_REASON);
            }
            RevisionRow row = row(batch, UUID.fromString(now.id()), base + 1, now.entry(), now.at(), by);
            row.withdrawn = true;
            row.reason = reason.trim();
            return row;
        });
    }

    private void revise(
            BatchId batch, String line, int base, String by, BiFunction<Batch, LoggedEntry, RevisionRow> revision) {
        write(batch, before -> {
            LoggedEntry now = before.log().find(line).orElseThrow(() -> new NotFoundException("line " + line));
            if (now.current().number() != base) {
                throw amendedMeanwhile(now);
            }
            return List.of(revision.apply(before, now));
        });
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

    /** Initials, year and day of the year: {@code SB-26-307}, with letters behind when there are several that day. */
    private String freeCode(String name, LocalDate day) {
        String initials = Arrays.stream(name.split("[^\\p{L}\\d]+"))
                .filter(w -> !w.isEmpty())
                .limit(3)
                .map(w -> w.substring(0, 1).toUpperCase(Locale.ROOT))
                .collect(Collectors.joining());
        String code = String.format(
                Locale.ROOT,
                "%s-%02d-%03d",
                initials.isEmpty() ? "B" : initials,
                day.getYear() % 100,
                day.getDayOfYear());
        String free = code;
        for (int next = 2; batches.existsByCode(free); next++) {
            free = code + letters(next);
        }
        return free;
    }

    /** Counts as columns of a table are counted: 2 is b, 26 is z, 27 is aa. */
    private static String letters(int number) {
        String letters = "";
        for (int left = number; left > 0; left = (left - 1) / LETTERS) {
            letters = (char) ('a' + (left - 1) % LETTERS) + letters;
        }
        return letters;
    }
}
