package io.causticon.web.shared.start;

import java.io.IOException;
import java.nio.file.FileStore;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.context.ApplicationListener;

/**
 * Makes the folder of the data ready before anything is opened in it: there, writable, with room, and read by nobody
 * else on the machine, as far as its file system can tell.
 */
public final class DataFolder implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    static final String PROPERTY = "causticon.data";

    /** A day of the busiest workshop with some pictures. */
    private static final long LEAST_FREE = 20L * 1024 * 1024;

    /** What an empty one takes. */
    private static final long LEAST_DATABASE = 8192;

    private static final Set<PosixFilePermission> OWNER_ALONE = PosixFilePermissions.fromString("rwx------");
    private static final Set<PosixFilePermission> OWNER_READS = PosixFilePermissions.fromString("rw-------");

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        prepare(Path.of(event.getEnvironment().getRequiredProperty(PROPERTY)));
    }

    /** @throws CannotStart in words, if it cannot be used */
    static void prepare(Path folder) {
        Path whole = folder.toAbsolutePath().normalize();
        try {
            Files.createDirectories(whole);
            if (!Files.isDirectory(whole) || !Files.isWritable(whole)) {
                throw notWritable(whole);
            }
            Path database = whole.resolve("causticon.mv.db");
            if (Files.exists(database) && !(Files.isReadable(database) && Files.isWritable(database))) {
                throw new CannotStart(database
                        + " cannot be read or written by this user. Give it to the user who starts Causticon.");
            }
            if (Files.exists(database) && Files.size(database) < LEAST_DATABASE) {
                throw new CannotStart(database
                        + " is cut short and holds nothing. Put a whole copy back, or move it away to begin anew.");
            }
            if (!Files.exists(database)) {
                checkNothingLiesBeside(whole);
            }
            keepPrivate(whole);
            Files.delete(Files.createTempFile(whole, "probe", ".tmp"));
            FileStore disk = Files.getFileStore(whole);
            if (disk.getUsableSpace() < LEAST_FREE) {
                throw new CannotStart("The disk with " + whole + " has only " + disk.getUsableSpace() / (1024 * 1024)
                        + " MB free; " + LEAST_FREE / (1024 * 1024) + " are the least. Make room, then start again.");
            }
            TidyFile.ifGrown(database);
        } catch (FileSystemException e) {
            throw notWritable(whole);
        } catch (IOException e) {
            throw new CannotStart("The folder " + whole + " cannot be used: " + e.getMessage());
        }
    }

    /** Where data were and are no more, nobody begins an empty workshop without a word. */
    private static void checkNothingLiesBeside(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            List<String> beside = files.map(f -> f.getFileName().toString())
                    .filter(n -> n.equals("causticon.mv.db.new") || n.matches("before-.*\\.mv\\.db"))
                    .sorted()
                    .toList();
            if (!beside.isEmpty()) {
                throw new CannotStart("In " + folder + " there are no data, but " + String.join(" and ", beside)
                        + ": a restore was broken off. Run ./causticon restore again, or rename the one that is to"
                        + " count to causticon.mv.db. To begin an empty workshop, move them away.");
            }
        }
    }

    private static CannotStart notWritable(Path folder) {
        return new CannotStart("The folder " + folder
                + " cannot be written. Give it to the user who starts Causticon, or name another one"
                + " with --causticon.data=FOLDER.");
    }

    /** The folder and what is in it, for its owner alone. */
    public static void keepPrivate(Path folder) throws IOException {
        if (!folder.getFileSystem().supportedFileAttributeViews().contains("posix")) {
            return;
        }
        if (!Files.getPosixFilePermissions(folder).equals(OWNER_ALONE)) {
            Files.setPosixFilePermissions(folder, OWNER_ALONE);
        }
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                if (!Files.getPosixFilePermissions(file).equals(OWNER_READS)) {
                    Files.setPosixFilePermissions(file, OWNER_READS);
                }
            }
        }
    }
}
