package io.causticon.core.model.log;

import java.util.List;
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
        if (log.first(Entry.Unmoulded.class).isPresent()
                || log.first(Entry.Cut.class).isPresent()) {
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
        // Nearly always there is none: then no line is looked at.
        if (log.first(Entry.Held.class).isEmpty()
                && log.first(Entry.Released.class).isEmpty()) {
            return null;
        }
        List<LoggedEntry> lines = log.entries();
        for (int i = lines.size() - 1; i >= 0; i--) {
            Entry entry = lines.get(i).entry();
            if (entry instanceof Entry.Held || entry instanceof Entry.Released) {
                return entry;
            }
        }
        return null;
    }
}
