package io.causticon.core.observation;

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
        return log.entries().stream()
                .map(LoggedEntry::entry)
                .filter(e -> e instanceof Entry.Held || e instanceof Entry.Released)
                .reduce((earlier, later) -> later)
                .orElse(null);
    }
}
