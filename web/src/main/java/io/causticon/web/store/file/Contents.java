package io.causticon.web.store.file;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a workshop's data hold.
 *
 * @param workshop its name; empty when it was never opened
 * @param schema version of the tables
 * @param batches how many
 * @param lines of all logs, with what they said before
 * @param pictures how many
 * @param recipes how many
 * @param newest when the last line was written down; empty without any
 */
public record Contents(
        String workshop,
        String schema,
        long batches,
        long lines,
        long pictures,
        long recipes,
        Optional<Instant> newest) {

    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm 'UTC'").withZone(ZoneOffset.UTC);

    /** In a line, for whoever has no time zone. */
    public String inWords() {
        return inWords(MINUTE::format);
    }

    /**
     * In a line.
     *
     * @param moment how a moment is written
     */
    public String inWords(Function<Instant, String> moment) {
        return (workshop.isEmpty() ? "a workshop that was never opened" : workshop) + ": " + batches + " batches, "
                + lines + " lines of their logs, " + recipes + " recipes, " + pictures + " pictures"
                + newest.map(n -> ", the last line of " + moment.apply(n)).orElse("");
    }
}
