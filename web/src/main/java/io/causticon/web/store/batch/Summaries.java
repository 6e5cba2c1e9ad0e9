package io.causticon.web.store.batch;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Life;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.Guard;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What lists and the rack show of all batches, by pages. A row is written with each line of a log, in the same
 * transaction; what the program came to know otherwise since, or what moved with time alone, is renewed in the
 * background.
 */
@Service
public class Summaries implements SmartInitializingSingleton, DisposableBean {

    /** Nothing is due, held or on the bench in larger numbers than anybody reads. */
    private static final Limit MANY = Limit.of(60);

    private static final Limit CALENDAR = Limit.of(500);
    private static final int AT_ONCE = 50;
    private static final Duration JUDGED_FOR = Duration.ofHours(20);
    private static final long EVERY_MINUTES = 30;
    private static final String READY_LIFE = Life.READY.name();
    private static final String ABANDONED_LIFE = Life.ABANDONED.name();
    private static final UUID LARGEST = new UUID(-1, -1);
    private static final Instant EVER = Instant.parse("9000-01-01T00:00:00Z");
    private static final Logger LOG = LoggerFactory.getLogger(Summaries.class);

    private final SummaryRepository rows;
    private final BatchRepository batches;
    private final RevisionRepository revisions;
    private final LogTables tables;
    private final SummaryQueries queries;
    private final BatchReader reader;
    private final Assessments assessments;
    private final Belongings workshop;
    private final Scraps scraps;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final boolean anew;
    private final AtomicLong edition;
    private final ScheduledExecutorService background =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("renews-summaries"));

    Summaries(
            SummaryRepository rows,
            BatchRepository batches,
            RevisionRepository revisions,
            LogTables tables,
            SummaryQueries queries,
            BatchReader reader,
            Assessments assessments,
            Belongings workshop,
            Scraps scraps,
            PlatformTransactionManager transactions,
            Clock clock,
            @Value("${causticon.summarise-anew:false}") boolean anew) {
        this.rows = rows;
        this.batches = batches;
        this.revisions = revisions;
        this.tables = tables;
        this.queries = queries;
        this.reader = reader;
        this.assessments = assessments;
        this.workshop = workshop;
        this.scraps = scraps;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
        this.anew = anew;
        this.edition = new AtomicLong(clock.millis());
    }

    /** What a list can be narrowed to. */
    public enum Which {
        ALIVE(false, true, true, false),
        HELD(true, true, false, false),
        READY(true, false, true, false),
        ALL(true, true, true, false),
        /** What was abandoned stands in no other list. */
        ABANDONED(false, true, true, true);

        private final boolean readyToo;
        private final boolean othersToo;
        private final boolean calmToo;
        private final boolean abandoned;

        Which(boolean readyToo, boolean othersToo, boolean calmToo, boolean abandoned) {
            this.readyToo = readyToo;
            this.othersToo = othersToo;
            this.calmToo = calmToo;
            this.abandoned = abandoned;
        }

        boolean readyToo() {
            return readyToo;
        }

        boolean othersToo() {
            return othersToo;
        }

        boolean calmToo() {
            return calmToo;
        }

        boolean abandoned() {
            return abandoned;
        }

        private boolean takes(String life, boolean held) {
            boolean ready = READY_LIFE.equals(life);
            return abandoned == ABANDONED_LIFE.equals(life)
                    && (readyToo || !ready)
                    && (othersToo || ready)
                    && (calmToo || held);
        }
    }

    /**
     * Part of all batches, the youngest first.
     *
     * @param batches those of this page
     * @param more whether there are older ones
     * @param found how many have the words that were looked for, of any age; empty where none were
     */
    public record Page(List<BatchSummary> batches, boolean more, OptionalInt found) {}

    /**
     * The youngest that fit, begun before a moment or after a batch in the list.
     *
     * @param find part of a name, a code, a mould or a fat; empty for any
     * @param begunBefore how old the youngest may be; empty for any age
     * @param after the last one that was seen; empty from the youngest on
     */
    @Transactional(readOnly = true)
    public Page page(Which which, String find, Optional<Instant> begunBefore, Optional<BatchId> after, int most) {
        Optional<SummaryRow> last = after.flatMap(id -> rows.findById(id.value()));
        Instant before = last.map(r -> r.begunAt).or(() -> begunBefore).orElse(EVER);
        UUID id = last.map(r -> r.batchId).orElse(LARGEST);
        if (!find.isBlank()) {
            return found(which, asKept(find), new SummaryQueries.Found(id, before), most);
        }
        List<SummaryRow> shown = rows.shown(
                which.readyToo(),
                which.othersToo(),
                which.calmToo(),
                which.abandoned(),
                before,
                id,
                Limit.of(most + 1));
        return page(shown.stream().limit(most).toList(), shown.size() > most, OptionalInt.empty());
    }

    private Page found(Which which, String words, SummaryQueries.Found last, int most) {
        List<SummaryQueries.Found> all = queries.withTheWords(words, which);
        List<UUID> behind = all.stream()
                .filter(f -> f.isBehind(last))
                .sorted(SummaryQueries.Found.YOUNGEST_FIRST)
                .limit(most + 1L)
                .map(SummaryQueries.Found::batch)
                .toList();
        List<UUID> ids = behind.stream().limit(most).toList();
        Map<UUID, SummaryRow> byId = rows.findAllById(ids).stream().collect(Collectors.toMap(r -> r.batchId, r -> r));
        return page(
                ids.stream().flatMap(i -> Stream.ofNullable(byId.get(i))).toList(),
                behind.size() > most,
                OptionalInt.of(all.size()));
    }

    private Page page(List<SummaryRow> of, boolean more, OptionalInt found) {
        List<BatchSummary> batches = read(of);
        // Where none of them can be read there is none to go on from; they are being made anew.
        return new Page(batches, more && !batches.isEmpty(), found);
    }

    /** How many there are of each, whatever they are called. */
    @Transactional(readOnly = true)
    public Map<Which, Long> counts() {
        Map<Which, Long> counts = new EnumMap<>(Which.class);
        for (Which which : Which.values()) {
            counts.put(which, 0L);
        }
        for (SummaryQueries.State state : queries.states()) {
            for (Which which : Which.values()) {
                if (which.takes(state.life(), state.held())) {
                    counts.merge(which, state.batches(), Long::sum);
                }
            }
        }
        return counts;
    }

    /** Those on the bench, the youngest first. */
    @Transactional(readOnly = true)
    public List<BatchSummary> onTheBench() {
        return read(rows.findByLifeOrderByBegunAtDesc(Life.BENCH.name(), MANY)).stream()
                .filter(BatchSummary::isReadable)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<BatchSummary> held() {
        return read(rows.findByHeldTrueOrderByBegunAtDesc(MANY));
    }

    /** Those that cannot be worked with. */
    @Transactional(readOnly = true)
    public List<BatchSummary> unreadable() {
        return read(rows.findByProblemGreaterThanOrderByBegunAtDesc("", MANY));
    }

    /**
     * Those that are not held and of which something is due between two moments, the next one first: as many as a
     * calendar may hold.
     */
    @Transactional(readOnly = true)
    public List<BatchSummary> due(Instant from, Instant to) {
        return read(rows.due(from, to, CALENDAR));
    }

    /** Names of what batches have by their cases, where that is at least so likely. */
    @Transactional(readOnly = true)
    public Map<BatchId, String> likelyTroubled(double least) {
        return queries.leading(least).stream()
                .collect(Collectors.toMap(l -> new BatchId(l.batch()), SummaryQueries.Leading::condition));
    }

    /** Vessels that lye was dissolved in, the last one first. */
    @Transactional(readOnly = true)
    public List<String> lyeVessels() {
        return queries.lyeVessels(MANY.max());
    }

    /** Vessels that fats were melted in, the last one first. */
    @Transactional(readOnly = true)
    public List<String> fatsVessels() {
        return queries.fatsVessels(MANY.max());
    }

    /** The last batch that was poured into a mould. */
    @Transactional(readOnly = true)
    public Optional<BatchId> lastInto(String mould) {
        return queries.lastInto(mould).map(BatchId::new);
    }

    /**
     * A number that grows with each row that is written, once it is on disk: whoever shows rows knows by it whether
     * there are others since. It begins with the milliseconds of the start, so that none of an earlier run comes again.
     */
    public long edition() {
        return edition.get();
    }

    /** Before it is on disk nobody could read what would be told here. */
    private void countOnceWritten() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                edition.incrementAndGet();
            }
        });
    }

    /** Writes the row of a batch. Within the transaction that writes its log. */
    void write(Batch batch, int logVersion, Assessment judged) {
        SummaryRow row = new SummaryRow();
        SummaryCodec.write(row, batch, logVersion, judged, fingerprint(batch), clock.instant());
        tables.put(row);
        countOnceWritten();
        scraps.follow(batch, judged);
    }

    private String fingerprint(Batch batch) {
        return Fingerprint.of(batch, assessments.experience(), workshop.knownVessels())
                .written();
    }

    /**
     * A row that would be written otherwise now.
     *
     * @param batch of which
     * @param because what moved, in words
     * @param isOfTheBatch whether a fact of this batch moved, and not only what is known of all of them
     */
    record Moved(BatchId batch, String because, boolean isOfTheBatch) {}

    /**
     * Whatever was judged by what is not known any more: first where a fact of the batch moved; and of these as of the
     * others released soap first, as somebody may be using it, then what dries, then what is in its mould.
     */
    public List<Moved> moved() {
        String experience = assessments.experience();
        KnownVessels vessels = workshop.knownVessels();
        List<Moved> moved = new ArrayList<>();
        for (SummaryQueries.Judged judged : queries.judged()) {
            List<Fingerprint.Moved> because = Fingerprint.moved(judged.fingerprint(), experience, vessels);
            if (!because.isEmpty()) {
                moved.add(new Moved(
                        new BatchId(judged.batch()),
                        because.stream().map(Fingerprint.Moved::words).collect(Collectors.joining("; ")),
                        because.stream().anyMatch(Fingerprint.Moved::ofTheBatch)));
            }
        }
        moved.sort(Comparator.comparing(m -> !m.isOfTheBatch()));
        return moved;
    }

    /** Before anybody asks: what a new version of the program would write otherwise, and what has no row yet. */
    @Override
    public void afterSingletonsInstantiated() {
        if (anew) {
            renewAll();
        } else {
            queries.notAsTheyWouldBe(SummaryCodec.VERSION).forEach(this::renew);
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        background.scheduleWithFixedDelay(this::renewOld, EVERY_MINUTES, EVERY_MINUTES, TimeUnit.MINUTES);
    }

    /** Works out every row anew from plan and log. */
    public void renewAll() {
        batches.findAllByOrderByBegunAtDesc().forEach(b -> renew(b.id));
    }

    /** Works out the row of one batch anew; nothing where there is no such batch. */
    public void renew(BatchId id) {
        renew(id.value());
    }

    private void renewOld() {
        try {
            queries.madeBefore(clock.instant().minus(JUDGED_FOR), AT_ONCE).forEach(this::renew);
        } catch (RuntimeException e) {
            // The next round tries again.
            LOG.warn("Summaries could not be renewed: {}", e.toString());
        }
    }

    private boolean renew(UUID id) {
        transaction.executeWithoutResult(t -> batches.findWithLockById(id).ifPresent(row -> {
            Instant now = clock.instant();
            BatchReader.Result result = reader.read(row, revisions.findByBatchIdOrderByLineIdAscRevisionAsc(id), now);
            if (result instanceof BatchReader.Broken broken) {
                SummaryRow summary = rows.findById(id).orElseGet(SummaryRow::new);
                SummaryCodec.write(summary, broken.batch(), row.begunAt, row.logVersion, now);
                rows.save(summary);
                countOnceWritten();
            } else if (result instanceof BatchReader.Readable readable) {
                write(readable.batch(), row.logVersion, assessments.whenWritten(readable.batch()));
            }
        }));
        return true;
    }

    private List<BatchSummary> read(List<SummaryRow> found) {
        return found.stream().flatMap(r -> readable(r).stream()).toList();
    }

    /** Of one batch; empty where it cannot be understood. */
    public Optional<BatchSummary> of(BatchId id) {
        return rows.findById(id.value()).flatMap(this::readable);
    }

    /** A row that cannot be read takes nothing else down, and is made anew. */
    private Optional<BatchSummary> readable(SummaryRow row) {
        Optional<BatchSummary> read = Guard.of(row.code, () -> SummaryCodec.read(row));
        if (read.isEmpty()) {
            background.execute(() -> Guard.of(row.code, () -> renew(row.batchId)));
        }
        return read;
    }

    /**
     * As it stands among the words of a row. It is looked for as it is, so that nothing in it is taken for a pattern.
     */
    private static String asKept(String find) {
        return find.trim().toLowerCase(Locale.ROOT);
    }

    @Override
    public void destroy() {
        DaemonThreads.end(background);
    }
}
