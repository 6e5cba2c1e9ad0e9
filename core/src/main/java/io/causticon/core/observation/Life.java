package io.causticon.core.observation;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Where in its life a batch is. It follows from the log and is never stored. */
public enum Life {
    /** On the bench: begun, not yet poured. */
    BENCH,
    /** In the mould. */
    MOULD,
    /** Out of the mould and drying. */
    CURE,
    /** Released by its maker. */
    READY,
    /** Given up before it was poured, or begun by mistake. */
    ABANDONED;

    public static Life of(BatchLog log) {
        if (isReleased(log)) {
            return READY;
        }
        if (log.first(Entry.Unmoulded.class).isPresent() || log.first(Entry.Cut.class).isPresent()) {
            return CURE;
        }
        if (log.first(Entry.Poured.class).isPresent()) {
            return MOULD;
        }
        return log.first(Entry.Abandoned.class).isPresent() ? ABANDONED : BENCH;
    }

    /** Whether it was held and not released since. */
    public static boolean isHeld(BatchLog log) {
        return lastVerdict(log) instanceof Entry.Held;
    }

    private static boolean isReleased(BatchLog log) {
        return lastVerdict(log) instanceof Entry.Released;
    }

    private static @Nullable Entry lastVerdict(BatchLog log) {
        Optional<BatchLog.Timed<Entry.Held>> held = log.last(Entry.Held.class);
        Optional<BatchLog.Timed<Entry.Released>> released = log.last(Entry.Released.class);
        if (held.isEmpty() || released.isEmpty()) {
            return held.<Entry>map(BatchLog.Timed::entry).or(() -> released.map(BatchLog.Timed::entry)).orElse(null);
        }
        int order = held.get().at().compareTo(released.get().at());
        // Of the same moment the one that stands behind the other in the log.
        boolean heldLast = order > 0 || order == 0 && placeOf(held.get().id(), log) > placeOf(released.get().id(), log);
        return heldLast ? held.get().entry() : released.get().entry();
    }

    private static int placeOf(String line, BatchLog log) {
        return log.entries().indexOf(log.find(line).orElseThrow());
    }
}
