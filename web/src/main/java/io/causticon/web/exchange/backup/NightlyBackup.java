package io.causticon.web.exchange.backup;

import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.store.account.AccountService;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Writes the copy of each day once the night is there, or as soon after as the program runs; and copies that are asked
 * for from the command line, by a file that only the data's owner can write.
 */
@Component
class NightlyBackup implements DisposableBean {

    static final String REQUEST = "backup.request";
    static final String ANSWER = "backup.answer";
    private static final Logger LOG = LoggerFactory.getLogger(NightlyBackup.class);
    private static final LocalTime NIGHT = LocalTime.of(3, 0);
    private static final int FIRST_MINUTE = 5;
    private static final int EVERY_MINUTES = 10;

    private final Backups backups;
    private final AccountService accounts;
    private final Path data;
    private final Clock clock;
    private final boolean demo;
    private final ScheduledExecutorService background =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("backups"));

    NightlyBackup(
            Backups backups,
            AccountService accounts,
            @Value("${causticon.data}") Path data,
            @Value("${causticon.demo}") boolean demo,
            Clock clock) {
        this.backups = backups;
        this.accounts = accounts;
        this.data = data.toAbsolutePath().normalize();
        this.demo = demo;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        background.scheduleWithFixedDelay(this::ifDue, FIRST_MINUTE, EVERY_MINUTES, TimeUnit.MINUTES);
        background.scheduleWithFixedDelay(this::ifAsked, 1, 1, TimeUnit.SECONDS);
    }

    /** A made-up workshop is made anew each time and needs no copies. */
    void ifDue() {
        // A task that throws is never run again: whatever it is, in ten minutes it is tried once more.
        try {
            if (demo || accounts.isNew()) {
                return;
            }
            ZoneId zone = accounts.zone();
            boolean night = LocalTime.ofInstant(clock.instant(), zone).isAfter(NIGHT);
            if (night && !backups.hasToday(zone)) {
                backups.today(zone);
            }
        } catch (RuntimeException e) {
            // It stands on the settings page.
            LOG.warn("The nightly copy could not be written: {}", e.toString());
        }
    }

    /** Somebody who may write here asked for a copy. */
    void ifAsked() {
        Path request = data.resolve(REQUEST);
        if (!Files.exists(request)) {
            return;
        }
        try {
            String file = Files.readString(request).strip();
            Files.delete(request);
            Path answer = data.resolve(ANSWER + ".new");
            Files.writeString(answer, answer(file));
            Files.move(answer, data.resolve(ANSWER));
        } catch (Exception e) {
            LOG.warn("A copy that was asked for could not be answered: {}", e.toString());
        }
    }

    private String answer(String file) {
        try {
            return "done " + backups.to(Path.of(file)).inWords();
        } catch (RuntimeException e) {
            return "fault " + e.getMessage();
        }
    }

    @Override
    public void destroy() {
        DaemonThreads.end(background);
    }
}
