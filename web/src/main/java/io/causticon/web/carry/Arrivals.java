package io.causticon.web.carry;

import io.causticon.web.batch.BatchArrivals;
import io.causticon.web.document.Document;
import io.causticon.web.document.DocumentFault;
import io.causticon.web.document.DocumentReader;
import io.causticon.web.document.Row;
import io.causticon.web.document.RowStore;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shelf.ShelfService;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * What is brought in: laid aside first and looked at, then taken as a whole or left, and taken back as a whole as long as nothing was built on it. In
 * between nothing of it is kept in any table.
 */
@Service
public class Arrivals {

    private static final Duration LAID_ASIDE = Duration.ofDays(2);
    private static final int LONGEST_NAME = 200;
    private static final int SHOWN = 100;
    private static final int LISTED = 40;
    private static final int AT_ONCE = 64 * 1024;

    private final ArrivalRepository rows;
    private final DocumentReader reader;
    private final Sifter sifter;
    private final RowStore store;
    private final BatchArrivals batches;
    private final ShelfService shelf;
    private final TransactionTemplate transaction;
    private final Path folder;
    private final long largest;
    private final Clock clock;

    Arrivals(
            ArrivalRepository rows,
            DocumentReader reader,
            Sifter sifter,
            RowStore store,
            BatchArrivals batches,
            ShelfService shelf,
            PlatformTransactionManager transactions,
            @Value("${causticon.data}") Path data,
            @Value("${causticon.carry.largest-megabytes:4096}") long largest,
            Clock clock) {
        this.rows = rows;
        this.reader = reader;
        this.sifter = sifter;
        this.store = store;
        this.batches = batches;
        this.shelf = shelf;
        this.transaction = new TransactionTemplate(transactions);
        this.folder = data.toAbsolutePath().normalize().resolve("arrivals");
        this.largest = largest * 1024 * 1024;
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
        tidy();
        ArrivalRow row = new ArrivalRow();
        row.source = named(source);
        row.file = row.id + ".part";
        row.byName = by;
        row.seenAt = clock.instant();
        Path file = folder.resolve(row.file);
        try {
            Files.createDirectories(folder);
            copy(in, file);
            Parcel.open(file).close();
            rows.save(row);
            return row.id;
        } catch (IOException e) {
            delete(file);
            throw new UncheckedIOException(e);
        } catch (RuntimeException e) {
            delete(file);
            throw e;
        }
    }

    private static String named(String source) {
        String name = source.replaceAll("[\\p{Cntrl}/\\\\]+", " ").strip();
        return name.isEmpty() ? "a file" : name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }

    private void copy(InputStream in, Path file) throws IOException {
        byte[] some = new byte[AT_ONCE];
        long written = 0;
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                written += n;
                if (written > largest) {
                    throw new DocumentFault("The file is larger than " + largest / (1024 * 1024) + " MB, and no more is taken in at once.");
                }
                out.write(some, 0, n);
            }
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What was laid aside and never taken does not lie there for ever. */
    private void tidy() {
        rows.findByStateAndSeenAtBefore(ArrivalRow.State.SEEN.name(), clock.instant().minus(LAID_ASIDE)).forEach(this::leave);
    }

    private void leave(ArrivalRow row) {
        delete(folder.resolve(row.file));
        row.state = ArrivalRow.State.LEFT.name();
        rows.save(row);
    }

    /**
     * What a file holds, beside what is here.
     *
     * @param counts documents by how they stand
     * @param documents the first of each, without those of which there is nothing to say, what cannot be taken before what can
     * @param rows that would be added
     */
    record Preview(Map<Novelty, Integer> counts, List<Sifted> documents, int rows) {

        public int count(Novelty novelty) {
            return counts.getOrDefault(novelty, 0);
        }

        public boolean bringsAnything() {
            return rows > 0;
        }
    }

    /** @throws NotFoundException if nothing of this name waits */
    Preview look(UUID id) {
        Map<Novelty, Integer> counts = new EnumMap<>(Novelty.class);
        List<Sifted> shown = new ArrayList<>();
        int[] added = {0};
        each(waiting(id), (name, sifted) -> {
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

    private ArrivalRow waiting(UUID id) {
        return rows.findById(id).filter(r -> r.is(ArrivalRow.State.SEEN) && Files.exists(folder.resolve(r.file)))
                .orElseThrow(() -> new NotFoundException("arrival " + id));
    }

    /** Each document as it stands at this moment. */
    private void each(ArrivalRow row, BiConsumer<Parcel, Sifted> look) {
        try (Parcel parcel = Parcel.open(folder.resolve(row.file))) {
            Arriving arriving = new Arriving(parcel::hasPicture);
            for (Parcel.Part part : parcel.parts()) {
                String name = part.name().isEmpty() ? row.source : part.name();
                Sifted sifted;
                try {
                    Document document = reader.read(parcel.document(part.name()));
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
        ArrivalRow seen = waiting(id);
        try {
            transaction.executeWithoutResult(t -> {
                ArrivalRow row = rows.findWithLockById(id).filter(r -> r.is(ArrivalRow.State.SEEN)).orElseThrow(() -> new NotFoundException("arrival " + id));
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
            throw new DocumentFault("Two things in it claim to be one, or one claims to be something that is here already. Nothing was taken.");
        } finally {
            batches.moved(settled);
        }
        delete(folder.resolve(seen.file));
    }

    private void add(Sifted sifted, Parcel parcel, RowStore.Ledger ledger, Set<Object> settled) {
        for (Row row : sifted.add()) {
            if (row.table().name().equals("log_revision")) {
                batches.kind(row.required("entry").toString()).ifPresent(kind -> row.values().put("kind", kind));
            }
            ledger.add(row, name -> {
                byte[] picture = parcel.picture(name);
                if (!batches.isPicture(picture)) {
                    throw new DocumentFault(name + " is no picture such as are kept here: a JPEG of at most 1600 by 1600 is meant. Nothing was taken.");
                }
                return picture;
            });
        }
        for (Object batch : sifted.settle()) {
            settled.add(batch);
            batches.settle(batch);
            ledger.addHolds(batch);
        }
    }

    private static String told(Map<Novelty, Integer> counts, int rows) {
        List<String> words = new ArrayList<>();
        counts.forEach((s, n) -> words.add(n + " " + s.words()));
        return String.join(", ", words) + "; " + rows + (rows == 1 ? " line" : " lines") + " added.";
    }

    /** Leaves what was laid aside. */
    public void leave(UUID id) {
        leave(waiting(id));
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
                ArrivalRow row = rows.findWithLockById(id).filter(r -> r.is(ArrivalRow.State.TAKEN)).orElseThrow(() -> new NotFoundException("arrival " + id));
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
                rows.save(row);
                shelf.changedOtherwise();
            });
        } catch (DataIntegrityViolationException e) {
            throw new DocumentFault("Something was made of it since, or points at it: a batch, a trial, a plan. It stays.");
        } finally {
            batches.moved(moved);
        }
    }

    private void checkNothingStandsOn(RowStore.Ledger ledger, Set<Object> gone) {
        ledger.grownSince().ifPresent(what -> {
            throw new DocumentFault(what + " was written to since. What came stays, as that stands on it.");
        });
        gone.forEach(batch -> batches.takenBy(batch).stream().filter(n -> !ledger.isOfThis(n)).findFirst().ifPresent(name -> {
            throw new DocumentFault(name + " holds soap of a batch that came. What came stays.");
        }));
    }

    /** What came and was taken, or waits, the latest first. */
    List<ArrivalRow> all() {
        return rows.findByStateInOrderBySeenAtDesc(
                List.of(ArrivalRow.State.SEEN.name(), ArrivalRow.State.TAKEN.name(), ArrivalRow.State.UNDONE.name()), Limit.of(LISTED));
    }

    ArrivalRow get(UUID id) {
        return rows.findById(id).orElseThrow(() -> new NotFoundException("arrival " + id));
    }
}
