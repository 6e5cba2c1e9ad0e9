package io.causticon.web.exchange.backup;

import io.causticon.web.store.file.BackupFault;
import io.causticon.web.store.file.Contents;
import io.causticon.web.store.file.DataFile;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.IsoFields;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/**
 * Copies of the running workshop in the folder {@code backups} beside its data: one a day, seven of them kept, and one
 * a week, five of them kept. A copy that is asked for besides replaces that of its day.
 */
@Service
public class Backups {

    static final int DAILY_KEPT = 7;
    static final int WEEKLY_KEPT = 5;
    private static final Pattern NAME = Pattern.compile("(daily-\\d{4}-\\d{2}-\\d{2}|weekly-\\d{4}-W\\d{2})\\.zip");
    private static final String DAILY = "daily-";
    private static final String WEEKLY = "weekly-";

    private final DataSource source;
    private final Path folder;
    private final Clock clock;
    private volatile String fault = "";

    Backups(DataSource source, @Value("${causticon.data}") Path data, Clock clock) {
        this.source = source;
        this.folder = data.toAbsolutePath().normalize().resolve("backups");
        this.clock = clock;
    }

    /** A copy that is kept: its file's name, when it was written, how large it is. */
    public record Copy(String name, Instant at, long bytes) {}

    /** Those that are kept, the youngest first. */
    public List<Copy> all() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> NAME.matcher(f.getFileName().toString()).matches())
                    .map(Backups::copy)
                    .sorted(Comparator.comparing(Copy::at).reversed().thenComparing(Copy::name))
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Copy copy(Path file) {
        try {
            return new Copy(
                    file.getFileName().toString(),
                    Files.getLastModifiedTime(file).toInstant(),
                    Files.size(file));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The file of a copy that is kept; empty for any other name. */
    public Optional<Path> file(String name) {
        return all().stream().filter(c -> c.name().equals(name)).findFirst().map(c -> folder.resolve(c.name()));
    }

    /** Why the last one could not be written; empty when it could. */
    public String fault() {
        return fault;
    }

    /** Whether the day in this zone has its copy. */
    boolean hasToday(ZoneId zone) {
        return Files.exists(folder.resolve(daily(LocalDate.ofInstant(clock.instant(), zone))));
    }

    /**
     * Writes the copy of the day, and of the week where that has none yet or the week is over; lets the oldest go.
     *
     * @throws BackupFault if it cannot be written
     */
    public synchronized Contents today(ZoneId zone) {
        try {
            Files.createDirectories(folder);
            DataFile.keepPrivate(folder);
            LocalDate day = LocalDate.ofInstant(clock.instant(), zone);
            Path daily = folder.resolve(daily(day));
            Contents contents = to(daily);
            Path weekly = folder.resolve(weekly(day));
            if (!Files.exists(weekly) || day.getDayOfWeek() == DayOfWeek.SUNDAY) {
                Files.copy(daily, weekly, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.COPY_ATTRIBUTES);
            }
            letGo(DAILY, DAILY_KEPT);
            letGo(WEEKLY, WEEKLY_KEPT);
            fault = "";
            return contents;
        } catch (IOException e) {
            fault = "The copy could not be written: " + e.getMessage();
            throw new BackupFault(fault, e);
        } catch (BackupFault e) {
            fault = e.getMessage();
            throw e;
        }
    }

    /**
     * Writes a copy to a file while everybody goes on.
     *
     * @throws BackupFault if it cannot be written
     */
    public Contents to(Path file) {
        try (Connection connection = source.getConnection()) {
            return DataFile.copy(connection, file);
        } catch (SQLException e) {
            throw new BackupFault("The data could not be read: " + e.getMessage(), e);
        }
    }

    private void letGo(String kind, int kept) throws IOException {
        List<String> names = all().stream()
                .map(Copy::name)
                .filter(n -> n.startsWith(kind))
                .sorted(Comparator.reverseOrder())
                .toList();
        for (String name : names.subList(Math.min(kept, names.size()), names.size())) {
            Files.delete(folder.resolve(name));
        }
    }

    private static String daily(LocalDate day) {
        return DAILY + day + ".zip";
    }

    private static String weekly(LocalDate day) {
        return String.format(
                "%s%d-W%02d.zip",
                WEEKLY, day.get(IsoFields.WEEK_BASED_YEAR), day.get(IsoFields.WEEK_OF_WEEK_BASED_YEAR));
    }
}
