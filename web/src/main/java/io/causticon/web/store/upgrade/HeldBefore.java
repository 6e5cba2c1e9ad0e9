package io.causticon.web.store.upgrade;

import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.LogsShrank;
import io.causticon.web.shared.start.DataFolder;
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
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Keeps beside the file how much it holds, for {@link HeldCount} to compare at the next start. */
@Component
class HeldBefore implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(HeldBefore.class);
    private static final long EVERY_SECONDS = 60;

    private final JdbcTemplate jdbc;
    private final Path folder;
    private final Clock clock;
    private final ScheduledExecutorService every =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("held-before"));
    private long written = -1;

    HeldBefore(JdbcTemplate jdbc, @Value("${causticon.data}") Path folder, Clock clock) {
        this.jdbc = jdbc;
        this.folder = folder;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        keep();
        every.scheduleWithFixedDelay(this::keep, EVERY_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
    }

    /** Before it is on the disk: a count that is too low keeps nobody from starting, and the next minute mends it. */
    @EventListener
    void shrank(LogsShrank event) {
        keep();
    }

    private synchronized void keep() {
        try {
            long now = HeldCount.of(jdbc);
            if (now != written) {
                Path fresh = folder.resolve(HeldCount.NAME + ".new");
                Instant at = clock.instant().truncatedTo(ChronoUnit.SECONDS);
                Files.writeString(fresh, now + " " + at + "\n");
                Files.move(
                        fresh,
                        folder.resolve(HeldCount.NAME),
                        StandardCopyOption.REPLACE_EXISTING,
                        StandardCopyOption.ATOMIC_MOVE);
                written = now;
            }
            DataFolder.keepPrivate(folder);
        } catch (IOException | RuntimeException e) {
            // The next minute tries again; without it only a later check is missed.
            LOG.warn("What the file holds could not be noted: {}", e.toString());
        }
    }

    @Override
    public void destroy() {
        DaemonThreads.end(every);
        keep();
    }
}
