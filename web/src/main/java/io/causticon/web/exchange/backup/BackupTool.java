package io.causticon.web.exchange.backup;

import io.causticon.web.store.file.BackupFault;
import io.causticon.web.store.file.Contents;
import io.causticon.web.store.file.DataFile;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/**
 * Copies from the command line: {@code backup DATA FILE}, also while the workshop runs, and
 * {@code restore DATA FILE [--replace]}, while it does not. Says what it does in plain words; exit code 1 when it did
 * not.
 */
public final class BackupTool {

    private static final int LONGEST_WAIT_SECONDS = 900;
    private static final long LOOK_MILLIS = 200;

    private final PrintStream out;

    BackupTool(PrintStream out) {
        this.out = out;
    }

    public static void main(String[] args) {
        try {
            new BackupTool(System.out).run(args);
        } catch (BackupFault e) {
            System.err.println("causticon: " + e.getMessage());
            System.exit(1);
        }
    }

    void run(String... args) {
        if (args.length < 3) {
            throw new BackupFault("wants backup DATA FILE or restore DATA FILE [--replace]");
        }
        Path data = Path.of(args[1]).toAbsolutePath().normalize();
        Path file = Path.of(args[2]).toAbsolutePath().normalize();
        if (args[0].equals("backup")) {
            backup(data, file);
        } else {
            restore(data, file, args.length > 3 && args[3].equals("--replace"));
        }
    }

    private void backup(Path data, Path file) {
        requireData(data);
        if (Files.exists(file)) {
            throw new BackupFault(file + " is there already. Name another file.");
        }
        try (Connection connection = DataFile.open(data)) {
            out.println("Written and read again to the last row: "
                    + DataFile.copy(connection, file).inWords());
        } catch (SQLException e) {
            if (!DataFile.isOpenElsewhere(e)) {
                throw new BackupFault("The data in " + data + " cannot be read: " + e.getMessage(), e);
            }
            out.println("Written and read again to the last row: " + asked(data, file));
        }
    }

    /** The running workshop writes it. */
    private static String asked(Path data, Path file) {
        Path answer = data.resolve(NightlyBackup.ANSWER);
        try {
            Files.deleteIfExists(answer);
            Path request = data.resolve(NightlyBackup.REQUEST + ".new");
            Files.writeString(request, file.toString());
            Files.move(
                    request,
                    data.resolve(NightlyBackup.REQUEST),
                    StandardCopyOption.REPLACE_EXISTING,
                    StandardCopyOption.ATOMIC_MOVE);
            Instant last = Instant.now().plusSeconds(LONGEST_WAIT_SECONDS);
            while (!Files.exists(answer)) {
                if (Instant.now().isAfter(last)) {
                    Files.deleteIfExists(data.resolve(NightlyBackup.REQUEST));
                    throw new BackupFault(
                            "The running workshop did not answer. Is it Causticon that has the data open?");
                }
                Thread.sleep(LOOK_MILLIS);
            }
            String said = Files.readString(answer).strip();
            Files.delete(answer);
            if (!said.startsWith("done ")) {
                throw new BackupFault(said.replaceFirst("^fault ", ""));
            }
            return said.substring("done ".length());
        } catch (IOException e) {
            throw new BackupFault("The running workshop could not be asked: " + e.getMessage(), e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new BackupFault("Interrupted.", e);
        }
    }

    private void restore(Path data, Path file, boolean replace) {
        Contents copy = DataFile.check(file);
        out.println("The copy holds " + copy.inWords() + ".");
        Path there = data.resolve(DataFile.NAME);
        if (Files.exists(there)) {
            out.println("In " + data + " is " + present(data) + ".");
            if (!replace) {
                throw new BackupFault(
                        "Nothing was changed. To put the copy in its place add --replace; what is there now is set"
                                + " aside.");
            }
        }
        try {
            Files.createDirectories(data);
            DataFile.keepPrivate(data);
            Path fresh = data.resolve(DataFile.NAME + ".new");
            DataFile.unpack(file, fresh);
            if (Files.exists(there)) {
                Path aside = data.resolve("before-"
                        + Instant.now()
                                .truncatedTo(ChronoUnit.SECONDS)
                                .toString()
                                .replace(':', '-') + ".mv.db");
                setAside(there, aside);
                out.println("What was there is set aside as " + aside + ".");
            }
            Files.move(fresh, there, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            // It counts what the file held before, which is another one now.
            Files.deleteIfExists(data.resolve("causticon.held"));
            out.println("Put back. Start Causticon as always.");
        } catch (IOException e) {
            throw new BackupFault("The copy could not be put back: " + e.getMessage(), e);
        }
    }

    /** Under a second name: there is no moment at which no data are there. Without links a copy does the same. */
    private static void setAside(Path there, Path aside) throws IOException {
        try {
            Files.createLink(aside, there);
        } catch (UnsupportedOperationException e) {
            Files.copy(there, aside);
        }
    }

    private static String present(Path data) {
        try (Connection connection = DataFile.open(data)) {
            return DataFile.contents(connection).inWords();
        } catch (SQLException e) {
            if (DataFile.isOpenElsewhere(e)) {
                throw new BackupFault("Causticon is running with " + data + ". Stop it first. Nothing was changed.", e);
            }
            return "a file that cannot be read";
        } catch (IOException e) {
            return "a file that cannot be read";
        }
    }

    private static void requireData(Path data) {
        if (!Files.exists(data.resolve(DataFile.NAME))) {
            throw new BackupFault("There are no data in " + data + ".");
        }
    }
}
