package io.causticon.web.start;

import io.causticon.web.shared.DaemonThreads;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Notices that the file holds less than it did. A database file that was cut short opens without a word at whatever state is still whole; as
 * what is logged only grows, a count that is kept beside the file tells.
 */
@Component
class HeldBefore implements InitializingBean, DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(HeldBefore.class);
    private static final String NAME = "causticon.held";
    private static final long EVERY_SECONDS = 60;
    private static final String COUNT = "select (select count(*) from log_revision) + (select count(*) from batch)"
            + " + (select count(*) from recipe_version) + (select count(*) from photo)";

    private final JdbcTemplate jdbc;
    private final Path folder;
    private final Clock clock;
    private final ScheduledExecutorService every = Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("held-before"));
    private long written = -1;

    HeldBefore(JdbcTemplate jdbc, @Value("${causticon.data}") Path folder, Clock clock) {
        this.jdbc = jdbc;
        this.folder = folder;
        this.clock = clock;
    }

    /** @throws CannotStart if the file holds less than it did */
    @Override
    public void afterPropertiesSet() throws IOException {
        Path file = folder.resolve(NAME);
        if (!Files.exists(file)) {
            return;
        }
        String[] kept = Files.readString(file).strip().split(" ");
        long before = kept[0].matches("\\d{1,18}") ? Long.parseLong(kept[0]) : 0;
        long now = count();
        if (now < before) {
            throw new CannotStart("The data in " + folder.toAbsolutePath().normalize() + " hold " + now + " entries, where they held " + before
                    + (kept.length > 1 ? " at " + kept[1] : "") + ": the file was cut short, or an older copy stands in its place. Put"
                    + " a whole copy back; or, if this is the one you mean, delete " + NAME + " beside it and start again.");
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        keep();
        every.scheduleWithFixedDelay(this::keep, EVERY_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
    }

    private synchronized void keep() {
        try {
            long now = count();
            if (now != written) {
                Path fresh = folder.resolve(NAME + ".new");
                Instant at = clock.instant().truncatedTo(ChronoUnit.SECONDS);
                Files.writeString(fresh, now + " " + at + "\n");
                Files.move(fresh, folder.resolve(NAME), StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
                written = now;
            }
            DataFolder.keepPrivate(folder);
        } catch (IOException | RuntimeException e) {
            // The next minute tries again; without it only a later check is missed.
            LOG.warn("What the file holds could not be noted: {}", e.toString());
        }
    }

    private long count() {
        Long count = jdbc.queryForObject(COUNT, Long.class);
        return count == null ? 0 : count;
    }

    @Override
    public void destroy() {
        DaemonThreads.end(every);
        keep();
    }
}
