package io.causticon.web.store.file;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Timestamp;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/**
 * The one file in which a workshop is kept, and copies of it. A copy is a zip that the database itself writes, the same
 * at every line.
 */
public final class DataFile {

    public static final String NAME = "causticon.mv.db";
    private static final String USER = "causticon";
    /** H2's number for a file that somebody else has open. */
    private static final int ALREADY_OPEN = 90020;

    private DataFile() {}

    /**
     * Opens the data of a folder that nobody else has open.
     *
     * @throws SQLException if somebody has, or if it cannot be read
     */
    public static Connection open(Path folder) throws SQLException {
        return DriverManager.getConnection(
                "jdbc:h2:file:" + folder.toAbsolutePath().normalize().resolve("causticon") + ";IFEXISTS=TRUE",
                USER,
                "");
    }

    public static boolean isOpenElsewhere(SQLException e) {
        return e.getErrorCode() == ALREADY_OPEN;
    }

    /**
     * Writes a copy and reads all of it again. The file appears under its name only once it was found whole.
     *
     * @return what the copy holds
     * @throws BackupFault if it cannot be written, or is not whole
     */
    public static Contents copy(Connection from, Path file) {
        Path whole = file.toAbsolutePath().normalize();
        Path part = whole.resolveSibling(whole.getFileName() + ".part");
        try {
            if (whole.getParent() == null || !Files.isDirectory(whole.getParent())) {
                throw new BackupFault("There is no folder " + whole.getParent() + ".");
            }
            Files.deleteIfExists(part);
            long before = lines(from);
            try (Statement statement = from.createStatement()) {
                statement.execute("backup to '" + part.toString().replace("'", "''") + "'");
            }
            keepPrivate(part);
            Contents contents = check(part);
            if (contents.lines() < before) {
                throw new BackupFault("The copy holds " + contents.lines() + " lines where there were " + before
                        + ". It was not kept.");
            }
            Files.move(part, whole, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
            return contents;
        } catch (IOException | SQLException e) {
            throw new BackupFault("The copy could not be written to " + whole + ": " + e.getMessage(), e);
        } finally {
            deleteQuietly(part);
        }
    }

    private static long lines(Connection of) throws SQLException {
        try (Statement statement = of.createStatement();
                ResultSet rows = statement.executeQuery("select count(*) from log_revision")) {
            rows.next();
            return rows.getLong(1);
        }
    }

    /**
     * Unpacks a copy beside it and reads every row of every table.
     *
     * @throws BackupFault if it is none, or not whole
     */
    public static Contents check(Path copy) {
        Path folder = null;
        try {
            folder = Files.createTempDirectory(copy.toAbsolutePath().getParent(), "causticon-check");
            unpack(copy, folder.resolve(NAME));
            try (Connection connection = open(folder)) {
                return contents(connection);
            }
        } catch (NoSuchFileException e) {
            throw new BackupFault("There is no file " + copy + ".", e);
        } catch (IOException | SQLException e) {
            throw new BackupFault(copy + " is no whole copy of a workshop: " + e.getMessage(), e);
        } finally {
            deleteQuietly(folder);
        }
    }

    /** @throws BackupFault if there is no database in it */
    public static void unpack(Path copy, Path to) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(copy));
                OutputStream out = Files.newOutputStream(to)) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                // Whatever path it claims: its name alone counts, and where it goes is ours to say.
                if (entry.getName().endsWith(NAME)) {
                    zip.transferTo(out);
                    keepPrivate(to);
                    return;
                }
            }
        }
        throw new BackupFault(copy + " is no copy of a workshop: there are no data in it.");
    }

    /** What is kept there, after every row of every table was read. */
    public static Contents contents(Connection of) throws SQLException, IOException {
        for (String table : tables(of)) {
            readAll(of, table);
        }
        try (Statement statement = of.createStatement()) {
            return new Contents(
                    one(statement, "select name from workshop"),
                    one(
                            statement,
                            "select \"version\" from \"flyway_schema_history\" where \"success\" = true and"
                                    + " \"version\" is not null order by \"installed_rank\" desc"),
                    count(statement, "batch"),
                    count(statement, "log_revision"),
                    count(statement, "photo"),
                    count(statement, "recipe"),
                    newest(statement));
        }
    }

    public static List<String> tables(Connection of) throws SQLException {
        List<String> tables = new ArrayList<>();
        try (Statement statement = of.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_type"
                                + " = 'BASE TABLE' order by table_name")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    private static void readAll(Connection of, String table) throws SQLException, IOException {
        try (Statement statement = of.createStatement()) {
            statement.setFetchSize(500);
            try (ResultSet rows = statement.executeQuery("select * from \"" + table + "\"")) {
                int columns = rows.getMetaData().getColumnCount();
                while (rows.next()) {
                    for (int i = 1; i <= columns; i++) {
                        if (rows.getObject(i) instanceof java.sql.Blob) {
                            try (InputStream blob = rows.getBinaryStream(i)) {
                                blob.transferTo(OutputStream.nullOutputStream());
                            }
                        }
                    }
                }
            }
        }
    }

    private static String one(Statement statement, String query) throws SQLException {
        try (ResultSet rows = statement.executeQuery(query)) {
            return rows.next() ? String.valueOf(rows.getString(1)) : "";
        }
    }

    private static long count(Statement statement, String table) throws SQLException {
        return Long.parseLong(one(statement, "select count(*) from " + table));
    }

    private static Optional<java.time.Instant> newest(Statement statement) throws SQLException {
        try (ResultSet rows = statement.executeQuery("select max(recorded_at) from log_revision")) {
            return rows.next() ? Optional.ofNullable(rows.getTimestamp(1)).map(Timestamp::toInstant) : Optional.empty();
        }
    }

    /** For its owner alone, where the file system knows owners. */
    public static void keepPrivate(Path file) throws IOException {
        if (file.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            Files.setPosixFilePermissions(
                    file, PosixFilePermissions.fromString(Files.isDirectory(file) ? "rwx------" : "rw-------"));
        }
    }

    private static void deleteQuietly(@org.jspecify.annotations.Nullable Path path) {
        if (path == null || !Files.exists(path)) {
            return;
        }
        try (Stream<Path> all = Files.walk(path)) {
            for (Path each : all.sorted(Comparator.reverseOrder()).toList()) {
                Files.delete(each);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
