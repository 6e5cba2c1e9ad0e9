package io.causticon.web.start;

import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationVersion;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/** Brings older tables up to date, and leaves those of a newer program alone. */
@Component
class NewerFile implements FlywayMigrationStrategy {

    private final String folder;

    NewerFile(@Value("${causticon.data}") String folder) {
        this.folder = folder;
    }

    /** @throws CannotStart if a newer program wrote to the file: what this one does not know it would lose */
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
        if (current != null && current.getVersion() != null && current.getVersion().compareTo(newest) > 0) {
            throw new CannotStart("The data in " + folder + " were written by a newer Causticon (tables " + current.getVersion() + ", this one knows "
                    + newest + "). Nothing was changed. Start that one, or put a copy back that was made before.");
        }
        flyway.migrate();
    }
}
