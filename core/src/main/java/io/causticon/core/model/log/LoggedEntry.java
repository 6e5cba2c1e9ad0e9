package io.causticon.core.model.log;

import java.time.Instant;
import java.util.List;
import java.util.Set;

/**
 * A line of the log as it stands now, with all that stood there before.
 *
 * @param id names the line through all its revisions
 * @param current what it says now
 * @param earlier what it said before, oldest first
 */
public record LoggedEntry(String id, Revision current, List<Revision> earlier) {

    public LoggedEntry {
        earlier = List.copyOf(earlier);
    }

    /**
     * What a line said from one moment on.
     *
     * @param number 1 for the first
     * @param at when it happened
     * @param recordedAt when it was written down
     * @param by who wrote it
     * @param entry what happened
     * @param withdrawn whether the maker took it back; it stays readable but no longer counts
     * @param reason why it was taken back; empty when none was asked for
     * @param answered what whoever wrote it was asked about, and said that it is so
     */
    public record Revision(
            int number,
            Instant at,
            Instant recordedAt,
            String by,
            Entry entry,
            boolean withdrawn,
            String reason,
            Set<DoubtKind> answered) {

        public Revision {
            answered = Set.copyOf(answered);
        }

        /** One about which nothing was asked. */
        public Revision(
                int number, Instant at, Instant recordedAt, String by, Entry entry, boolean withdrawn, String reason) {
            this(number, at, recordedAt, by, entry, withdrawn, reason, Set.of());
        }

        /** One for which nobody was asked a reason. */
        public Revision(int number, Instant at, Instant recordedAt, String by, Entry entry, boolean withdrawn) {
            this(number, at, recordedAt, by, entry, withdrawn, "");
        }
    }

    public static LoggedEntry first(String id, Instant at, String by, Entry entry) {
        return new LoggedEntry(id, new Revision(1, at, at, by, entry, false, ""), List.of());
    }

    public Entry entry() {
        return current.entry();
    }

    public Instant at() {
        return current.at();
    }

    public boolean wasAmended() {
        return !earlier.isEmpty();
    }
}
