package io.causticon.web.store.upgrade;

import io.causticon.web.shared.start.CannotStart;
import io.causticon.web.shared.start.StartFault;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.FlywayException;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Brings older tables up to date, and leaves alone those of a newer program and those of a file that lost its end. */
@Component
class UpToDate implements FlywayMigrationStrategy {

    private static final int MOST_CAUSES = 40;

    private final Path folder;

    UpToDate(@Value("${causticon.data}") Path folder) {
        this.folder = folder;
    }

    /**
     * @throws CannotStart if a newer program wrote to the file, for what this one does not know it would lose; if the
     *     file holds less than it did; if its tables are not such as any program left them
     */
    @Override
    public void migrate(Flyway flyway) {
        MigrationInfo current = flyway.info().current();
        MigrationVersion newest = MigrationVersion.EMPTY;
        for (MigrationInfo known : flyway.info().all()) {
            boolean ours = known.getScript() != null && !known.getState().name().startsWith("FUTURE");
            if (ours && known.getVersion() != null && known.getVersion().compareTo(newest) > 0) {
                newest = known.getVersion();
            }
        }
        if (current != null
                && current.getVersion() != null
                && current.getVersion().compareTo(newest) > 0) {
            throw new CannotStart("The data in " + folder + " were written by a newer Causticon (tables "
                    + current.getVersion() + ", this one knows " + newest
                    + "). Nothing was changed. Start that one, or put a copy back that was made before.");
        }
        HeldCount.check(new JdbcTemplate(flyway.getConfiguration().getDataSource()), folder);
        try {
            flyway.migrate();
        } catch (FlywayException e) {
            if (isOfTheDisk(e)) {
                throw e;
            }
            throw new CannotStart("The tables in " + folder
                    + " are not such as any Causticon left them: the file was cut short, or a start was broken off"
                    + " in the middle. Put a whole copy back, or move it away to begin anew.");
        }
    }

    /** What the disk did is told as such. */
    private static boolean isOfTheDisk(Throwable failure) {
        return Stream.iterate(failure, t -> t != null, Throwable::getCause)
                .limit(MOST_CAUSES)
                .anyMatch(t -> t instanceof SQLException sql && StartFault.isOfTheDisk(sql));
    }
}
