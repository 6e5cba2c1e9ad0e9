package io.causticon.web.store.arrival;

import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.document.DocumentFault;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Files that were brought in and wait to be looked at, in a folder beside the data. */
@Component
public class LaidAside {

    private static final Duration AT_MOST = Duration.ofDays(2);
    private static final int LONGEST_NAME = 200;
    private static final int AT_ONCE = 64 * 1024;
    private static final long MEGABYTE = 1024L * 1024;

    /** What is left of the disk for the logs, whatever comes in. */
    private static final long LEFT_FREE = 500 * MEGABYTE;

    private static final List<String> ONCE_TAKEN =
            List.of(ArrivalRow.State.TAKEN.name(), ArrivalRow.State.UNDONE.name());

    private final ArrivalRepository rows;
    private final Path folder;
    private final long largest;
    private final Clock clock;

    LaidAside(
            ArrivalRepository rows,
            @Value("${causticon.data}") Path data,
            @Value("${causticon.carry.largest-megabytes:4096}") long largest,
            Clock clock) {
        this.rows = rows;
        this.folder = data.toAbsolutePath().normalize().resolve("arrivals");
        this.largest = largest * MEGABYTE;
        this.clock = clock;
    }

    /**
     * Lays a file aside.
     *
     * @param about the batch it is about, null for none
     * @param check throws what keeps the file from being looked at
     * @return names what came
     * @throws DocumentFault if it is too large, or as the check says
     */
    public UUID lay(
            InputStream in,
            String source,
            String by,
            ArrivalRow.Kind kind,
            @Nullable UUID about,
            Consumer<Path> check) {
        tidy();
        ArrivalRow row = new ArrivalRow();
        row.kind = kind.name();
        row.about = about;
        row.source = named(source);
        row.file = row.id + ".part";
        row.byName = by;
        row.seenAt = clock.instant();
        Path file = file(row);
        try {
            Files.createDirectories(folder);
            copy(in, file);
            check.accept(file);
            rows.save(row);
            return row.id;
        } catch (IOException e) {
            delete(file);
            throw new UncheckedIOException(e);
        } catch (RuntimeException | Error e) {
            // Whatever it was, nothing of it is left behind.
            delete(file);
            throw e;
        }
    }

    public Path file(ArrivalRow row) {
        return folder.resolve(row.file);
    }

    /** @throws NotFoundException if nothing of this name and kind waits */
    public ArrivalRow waiting(UUID id, ArrivalRow.Kind kind) {
        return rows.findById(id)
                .filter(r -> r.is(ArrivalRow.State.SEEN) && r.kind.equals(kind.name()) && Files.exists(file(r)))
                .orElseThrow(() -> new NotFoundException("arrival " + id));
    }

    /**
     * Takes it, within the transaction that keeps what is in it: nobody else can.
     *
     * @throws NotFoundException if it does not wait any more
     */
    public ArrivalRow take(UUID id) {
        ArrivalRow row = rows.findWithLockById(id)
                .filter(r -> r.is(ArrivalRow.State.SEEN))
                .orElseThrow(() -> new NotFoundException("arrival " + id));
        row.state = ArrivalRow.State.TAKEN.name();
        row.takenAt = clock.instant();
        return row;
    }

    /** What came of it, in a sentence. */
    public void tell(ArrivalRow row, String told) {
        row.told = told;
        rows.saveAndFlush(row);
    }

    /** Writes what this transaction kept so far, for whoever reads it by another road before it ends. */
    public void writeNow() {
        rows.flush();
    }

    /** What was taken of this kind, the latest first. */
    public List<ArrivalRow> taken(ArrivalRow.Kind kind, int atMost) {
        return rows.findByKindAndStateInOrderBySeenAtDesc(kind.name(), ONCE_TAKEN, Limit.of(atMost));
    }

    /** What was taken for a batch, the latest first. */
    public List<ArrivalRow> takenFor(UUID batch) {
        return rows.findByAboutAndStateInOrderBySeenAtDesc(batch, ONCE_TAKEN);
    }

    /** It was taken: the file is not needed any more. */
    public void discard(ArrivalRow row) {
        delete(file(row));
    }

    /** It is not wanted. */
    void leave(ArrivalRow row) {
        delete(file(row));
        row.state = ArrivalRow.State.LEFT.name();
        rows.save(row);
    }

    private static String named(String source) {
        String name = source.replaceAll("[\\p{Cntrl}/\\\\]+", " ").strip();
        return name.isEmpty() ? "a file" : name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) : name;
    }

    private void copy(InputStream in, Path file) throws IOException {
        byte[] some = new byte[AT_ONCE];
        long written = 0;
        long room = Files.getFileStore(folder).getUsableSpace() - LEFT_FREE;
        try (OutputStream out = Files.newOutputStream(file)) {
            for (int n = in.read(some); n >= 0; n = in.read(some)) {
                written += n;
                if (written > largest) {
                    throw new DocumentFault(
                            "The file is larger than " + largest / MEGABYTE + " MB, and no more is taken in at once.");
                }
                if (written > room) {
                    throw new DocumentFault(
                            "The disk has no room for it beside what the workshop needs. Make room, then"
                                    + " bring it again.");
                }
                out.write(some, 0, n);
            }
        }
        if (written == 0) {
            throw new DocumentFault("The file is empty.");
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
        rows.findByStateAndSeenAtBefore(
                        ArrivalRow.State.SEEN.name(), clock.instant().minus(AT_MOST))
                .forEach(this::leave);
    }
}
