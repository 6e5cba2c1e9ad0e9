package io.causticon.web.store.arrival;

import io.causticon.web.shared.LogsShrank;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.document.Document;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.DocumentReader;
import io.causticon.web.store.document.Row;
import io.causticon.web.store.document.RowStore;
import io.causticon.web.store.shelf.ShelfService;
import java.io.InputStream;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is brought in: laid aside first and looked at, then taken as a whole or left, and taken back as a whole as long
 * as nothing was built on it. In between nothing of it is kept in any table.
 */
@Service
public class Arrivals {

    private static final int SHOWN = 100;
    private static final int LISTED = 40;

    private final ArrivalRepository rows;
    private final DocumentReader reader;
    private final LogCsv logs;
    private final Sifter sifter;
    private final RowStore store;
    private final BatchArrivals batches;
    private final ShelfService shelf;
    private final ApplicationEventPublisher events;
    private final TransactionTemplate transaction;
    private final LaidAside laidAside;
    private final Clock clock;

    Arrivals(
            ArrivalRepository rows,
            DocumentReader reader,
            LogCsv logs,
            Sifter sifter,
            RowStore store,
            BatchArrivals batches,
            ShelfService shelf,
            ApplicationEventPublisher events,
            PlatformTransactionManager transactions,
            LaidAside laidAside,
            Clock clock) {
        this.rows = rows;
        this.reader = reader;
        this.logs = logs;
        this.sifter = sifter;
        this.store = store;
        this.batches = batches;
        this.shelf = shelf;
        this.events = events;
        this.transaction = new TransactionTemplate(transactions);
        this.laidAside = laidAside;
        this.clock = clock;
    }

    /**
     * Lays a file aside, so that it can be looked at.
     *
     * @param source what it is called where it comes from
     * @return names what came
     * @throws DocumentFault if it is too large, or neither a document nor a zip of documents
     */
    public UUID lay(InputStream in, String source, String by) {
        return laidAside.lay(
                in,
                source,
                by,
                ArrivalRow.Kind.DOCUMENTS,
                null,
                file -> Parcel.open(file).close());
    }

    /**
     * What a file holds, beside what is here.
     *
     * @param counts documents by how they stand
     * @param documents the first of each, without those of which there is nothing to say, what cannot be taken before
     *     what can
     * @param rows that would be added
     */
    public record Preview(Map<Novelty, Integer> counts, List<Sifted> documents, int rows) {

        public int count(Novelty novelty) {
            return counts.getOrDefault(novelty, 0);
        }

        public boolean bringsAnything() {
            return rows > 0;
        }
    }

    /** @throws NotFoundException if nothing of this name waits */
    public Preview look(UUID id) {
        Map<Novelty, Integer> counts = new EnumMap<>(Novelty.class);
        List<Sifted> shown = new ArrayList<>();
        int[] added = {0};
        each(laidAside.waiting(id, ArrivalRow.Kind.DOCUMENTS), (name, sifted) -> {
            counts.merge(sifted.novelty(), 1, Integer::sum);
            added[0] += sifted.add().size();
            boolean toSay = sifted.novelty() != Novelty.SAME || !sifted.words().isEmpty();
            if (toSay && counts.get(sifted.novelty()) <= SHOWN) {
                shown.add(new Sifted(sifted.title(), sifted.novelty(), List.of(), List.of(), sifted.words()));
            }
        });
        // What cannot be taken first, what is as here last.
        shown.sort(Comparator.comparing(Sifted::novelty));
        return new Preview(counts, shown, added[0]);
    }

    /** Each document as it stands at this moment. */
    private void each(ArrivalRow row, BiConsumer<Parcel, Sifted> look) {
        try (Parcel parcel = Parcel.open(laidAside.file(row))) {
            Arriving arriving = new Arriving(parcel::hasPicture);
            for (Parcel.Part part : parcel.parts()) {
                String name = part.name().isEmpty() ? row.source : part.name();
                Sifted sifted;
                try {
                    byte[] file = parcel.document(part.name());
                    Document document = LogCsv.isOne(file) ? logs.read(file) : reader.read(file);
                    sifted = sifter.sift(document, arriving);
                } catch (DocumentFault e) {
                    sifted = Sifted.fault(name, e.words());
                }
                look.accept(parcel, sifted);
            }
        }
    }

    /**
     * Takes what is not here yet, all of it or nothing.
     *
     * @throws NotFoundException if nothing of this name waits
     * @throws DocumentFault if it cannot be taken; then nothing is
     */
    public void take(UUID id) {
        Set<Object> settled = new HashSet<>();
        ArrivalRow seen = laidAside.waiting(id, ArrivalRow.Kind.DOCUMENTS);
        try {
            transaction.executeWithoutResult(t -> {
                ArrivalRow row = rows.findWithLockById(id)
                        .filter(r -> r.is(ArrivalRow.State.SEEN))
                        .orElseThrow(() -> new NotFoundException("arrival " + id));
                row.state = ArrivalRow.State.TAKEN.name();
                row.takenAt = clock.instant();
                RowStore.Ledger ledger = store.ledger(id);
                Map<Novelty, Integer> counts = new EnumMap<>(Novelty.class);
                each(row, (parcel, sifted) -> {
                    counts.merge(sifted.novelty(), 1, Integer::sum);
                    add(sifted, parcel, ledger, settled);
                });
                row.told = told(counts, ledger.size());
                rows.saveAndFlush(row);
                shelf.changedOtherwise();
            });
        } catch (DataIntegrityViolationException e) {
            throw new DocumentFault(
                    "Two things in it claim to be one, or one claims to be something that is here already. Nothing was"
                            + " taken.");
        } finally {
            batches.moved(settled);
        }
        laidAside.discard(seen);
    }

    private void add(Sifted sifted, Parcel parcel, RowStore.Ledger ledger, Set<Object> settled) {
        for (Row row : sifted.add()) {
            if (row.table().name().equals("log_revision")) {
                batches.kind(row.required("entry").toString())
                        .ifPresent(kind -> row.values().put("kind", kind));
            }
            ledger.add(row, name -> {
                byte[] picture = parcel.picture(name);
                if (!batches.isPicture(picture)) {
                    throw new DocumentFault(name
                            + " is no picture such as are kept here: a JPEG of at most 1600 by 1600 is meant."
                            + " Nothing was taken.");
                }
                return picture;
            });
        }
        for (Object batch : sifted.settle()) {
            settled.add(batch);
            batches.settle(batch).forEach(ledger::noteLine);
        }
    }

    private static String told(Map<Novelty, Integer> counts, int rows) {
        List<String> words = new ArrayList<>();
        counts.forEach((s, n) -> words.add(n + " " + s.words()));
        return String.join(", ", words) + "; " + rows + (rows == 1 ? " line" : " lines") + " added.";
    }

    /**
     * Leaves what was laid aside.
     *
     * @param batch the one it is about; null for what is about none
     * @throws NotFoundException if nothing of this name and kind waits there
     */
    public void leave(UUID id, ArrivalRow.Kind kind, @Nullable UUID batch) {
        ArrivalRow row = laidAside.waiting(id, kind);
        if (!Objects.equals(batch, row.about)) {
            throw new NotFoundException("arrival " + id);
        }
        laidAside.leave(row);
    }

    /**
     * Takes back all that came, as long as nothing was built on it.
     *
     * @throws NotFoundException if nothing of this name was taken
     * @throws DocumentFault if something stands on it; then all stays
     */
    public void undo(UUID id, String by) {
        Set<Object> moved = new HashSet<>();
        try {
            transaction.executeWithoutResult(t -> {
                ArrivalRow row = rows.findWithLockById(id)
                        .filter(r -> r.is(ArrivalRow.State.TAKEN))
                        .orElseThrow(() -> new NotFoundException("arrival " + id));
                RowStore.Ledger ledger = store.ledger(id);
                Set<Object> gone = new HashSet<>(ledger.keys("batch"));
                Set<Object> shrunk = new HashSet<>(ledger.batchesOfLines());
                shrunk.removeAll(gone);
                moved.addAll(gone);
                moved.addAll(shrunk);
                checkNothingStandsOn(ledger, gone);
                gone.forEach(batches::unsettle);
                ledger.takeBack();
                shrunk.forEach(batches::settle);
                row.state = ArrivalRow.State.UNDONE.name();
                row.undoneAt = clock.instant();
                row.undoneBy = by;
                rows.saveAndFlush(row);
                shelf.changedOtherwise();
                events.publishEvent(new LogsShrank());
            });
        } catch (DataIntegrityViolationException e) {
            throw new DocumentFault(
                    "Something was made of it since, or points at it: a batch, a trial, a plan. It stays.");
        } finally {
            batches.moved(moved);
        }
    }

    /** The same for what came for one batch. */
    public void undoOf(UUID id, UUID batch, String by) {
        rows.findById(id).filter(r -> batch.equals(r.about)).orElseThrow(() -> new NotFoundException("arrival " + id));
        undo(id, by);
    }

    /** The same for recipes of somebody's own table. */
    public void undoSheet(UUID id, String by) {
        rows.findById(id)
                .filter(r -> r.kind.equals(ArrivalRow.Kind.SHEET.name()))
                .orElseThrow(() -> new NotFoundException("arrival " + id));
        undo(id, by);
    }

    private void checkNothingStandsOn(RowStore.Ledger ledger, Set<Object> gone) {
        ledger.grownSince().ifPresent(what -> {
            throw new DocumentFault(what + " was written to since. What came stays, as that stands on it.");
        });
        gone.forEach(batch -> batches.takenBy(batch).stream()
                .filter(t -> !gone.contains(t.id()))
                .findFirst()
                .ifPresent(taker -> {
                    throw new DocumentFault(taker.name() + " holds soap of a batch that came. What came stays.");
                }));
    }

    /** What came and was taken, or waits, the latest first. */
    public List<ArrivalRow> all() {
        return rows.findByStateInOrderBySeenAtDesc(
                List.of(ArrivalRow.State.SEEN.name(), ArrivalRow.State.TAKEN.name(), ArrivalRow.State.UNDONE.name()),
                Limit.of(LISTED));
    }

    /** Whether it was taken or left already: whoever goes back to it is led to what came of it. */
    public boolean isOver(UUID id) {
        return rows.findById(id).filter(r -> !r.is(ArrivalRow.State.SEEN)).isPresent();
    }

    public ArrivalRow get(UUID id) {
        return rows.findById(id).orElseThrow(() -> new NotFoundException("arrival " + id));
    }
}
