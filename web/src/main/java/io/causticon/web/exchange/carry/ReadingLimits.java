package io.causticon.web.exchange.carry;

import io.causticon.web.shared.Asker;
import io.causticon.web.store.document.DocumentFault;
import java.time.Duration;
import java.util.function.BooleanSupplier;
import java.util.function.LongSupplier;

/**
 * How much one table may ask of whoever reads it: cells, counted as often as they claim to stand there; letters; time.
 * Reading that is interrupted, as when the server ends, or that nobody waits for any more, stops as well.
 */
final class ReadingLimits {

    /** Five thousand rows of two hundred columns; a sheet of nothing has its cells too. */
    private static final long MOST_CELLS = 2_000_000;

    private static final long MOST_LETTERS = 20_000_000;
    private static final Duration LONGEST = Duration.ofSeconds(15);

    /** Looking at the connection costs a call to the system; a table has a million cells. */
    private static final long LOOKS_EVERY = Duration.ofMillis(250).toNanos();

    private final LongSupplier nanoseconds;
    private final BooleanSupplier hasLeft;
    private final long begun;
    private long lookedAt;
    private long cells;
    private long letters;

    ReadingLimits() {
        this(System::nanoTime, Asker::hasLeft);
    }

    /**
     * Limits on a clock of somebody's own.
     *
     * @param hasLeft whether nobody waits any more
     */
    ReadingLimits(LongSupplier nanoseconds, BooleanSupplier hasLeft) {
        this.nanoseconds = nanoseconds;
        this.hasLeft = hasLeft;
        this.begun = nanoseconds.getAsLong();
        this.lookedAt = begun;
    }

    /** @throws DocumentFault if that is more than any table has */
    void cells(long more) {
        cells += more;
        if (cells > MOST_CELLS || more < 0) {
            throw new DocumentFault("This table claims to have more than " + MOST_CELLS / 1_000_000
                    + " million cells. It was not read.");
        }
        goOn();
    }

    /** @throws DocumentFault if that is more than any table says */
    void letters(long more) {
        letters += more;
        if (letters > MOST_LETTERS || more < 0) {
            throw new DocumentFault("This table claims to say more than any table of recipes does. It was not read.");
        }
    }

    /** @throws DocumentFault if it takes too long, or is not wanted any more */
    void goOn() {
        if (Thread.currentThread().isInterrupted()) {
            throw new DocumentFault("Reading this table was broken off.");
        }
        long now = nanoseconds.getAsLong();
        if (now - lookedAt > LOOKS_EVERY) {
            lookedAt = now;
            if (hasLeft.getAsBoolean()) {
                throw new DocumentFault("Reading this table was broken off: whoever sent it has left.");
            }
        }
        if (now - begun > LONGEST.toNanos()) {
            throw new DocumentFault("Reading this table takes longer than any table should. It was broken off.");
        }
    }
}
