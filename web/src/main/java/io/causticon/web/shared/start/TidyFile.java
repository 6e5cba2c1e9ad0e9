package io.causticon.web.shared.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Makes the database file small again before it is opened. With every line on the disk before it is acknowledged, the
 * file grows by some pages a line and gives few of them back while it runs: a workshop of years would have gigabytes
 * for what fits in tens of megabytes. Rewriting it takes about a second for each of those.
 */
final class TidyFile {

    private static final Logger LOG = LoggerFactory.getLogger(TidyFile.class);
    private static final String NOTE = "causticon.tidy";

    /** Smaller ones are not worth a start that takes longer. */
    private static final long WORTH_IT = 64L * 1024 * 1024;

    private static final int GROWN = 3;

    private TidyFile() {}

    /** If it has grown to three times of what it was after the last time. */
    static void ifGrown(Path database) {
        ifGrown(database, WORTH_IT);
    }

    static boolean ifGrown(Path database, long least) {
        Path note = database.resolveSibling(NOTE);
        try {
            if (!Files.exists(database) || Files.size(database) < least || Files.size(database) < GROWN * last(note)) {
                return false;
            }
            String name = database.toString().replaceAll("\\.mv\\.db$", "");
            try (Connection connection = DriverManager.getConnection(
                            "jdbc:h2:file:" + name + ";IFEXISTS=TRUE;DB_CLOSE_ON_EXIT=FALSE", "causticon", "");
                    Statement statement = connection.createStatement()) {
                statement.execute("shutdown compact");
            }
            Files.writeString(note, Files.size(database) + "\n");
            return true;
        } catch (IOException | SQLException e) {
            // Whatever keeps it from being opened is told where it is opened; nothing depends on this.
            LOG.debug("{} was not made smaller: {}", database, e.toString());
            return false;
        }
    }

    private static long last(Path note) throws IOException {
        String kept = Files.exists(note) ? Files.readString(note).strip() : "";
        return kept.matches("\\d{1,15}") ? Long.parseLong(kept) : 0;
    }
}
