package io.causticon.web.store.upgrade;

import io.causticon.web.shared.start.CannotStart;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.springframework.jdbc.core.JdbcTemplate;

/**
 * Notices that the file holds less than it did. A database file that was cut short opens without a word at whatever
 * state is still whole; as what is logged only grows, a count that is kept beside the file tells.
 */
final class HeldCount {

    static final String NAME = "causticon.held";

    /** What only grows. */
    private static final List<String> TABLES = List.of("LOG_REVISION", "BATCH", "RECIPE_VERSION", "PHOTO");

    private HeldCount() {}

    /** How many rows it holds of what only grows; of tables that are not there yet none. */
    static long of(JdbcTemplate jdbc) {
        List<String> there = jdbc.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC'", String.class);
        return TABLES.stream()
                .filter(there::contains)
                .mapToLong(t -> rows(jdbc, t))
                .sum();
    }

    private static long rows(JdbcTemplate jdbc, String table) {
        Long rows = jdbc.queryForObject("select count(*) from " + table, Long.class);
        return rows == null ? 0 : rows;
    }

    /**
     * Before anything is changed, also before tables are brought up to date.
     *
     * @throws CannotStart if the file holds less than it did
     */
    static void check(JdbcTemplate jdbc, Path folder) {
        String[] kept = kept(folder.resolve(NAME));
        long before = kept[0].matches("\\d{1,18}") ? Long.parseLong(kept[0]) : 0;
        long now = before == 0 ? 0 : of(jdbc);
        if (now < before) {
            throw new CannotStart("The data in " + folder.toAbsolutePath().normalize() + " hold " + now
                    + " entries, where they held " + before
                    + (kept.length > 1 ? " at " + kept[1] : "")
                    + ": the file was cut short, or an older copy stands in its place. Put"
                    + " a whole copy back; or, if this is the one you mean, delete " + NAME
                    + " beside it and start again.");
        }
    }

    private static String[] kept(Path file) {
        try {
            return Files.exists(file) ? Files.readString(file).strip().split(" ") : new String[] {""};
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
