package io.causticon.web.store.device;

import io.causticon.web.exchange.device.IngestReader;
import io.causticon.web.shared.DaemonThreads;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Every reading as it came, so that each is taken in once. What belongs to a batch is in its log; these are forgotten
 * after some days, or a thermometer that speaks twice a second would fill the disk. How far a device's numbers were
 * forgotten is kept with the device, so that an old one that is sent again is still known.
 */
@Component
public class ReadingStore implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(ReadingStore.class);
    /** Longer than a reading may be on its way, see {@link IngestReader}. */
    private static final Duration KEPT = Duration.ofDays(3);

    private static final long FIRST_MINUTE = 2;
    private static final long EVERY_MINUTES = 60;
    /** Few enough that nobody who stores meanwhile waits. */
    private static final int AT_ONCE = 5000;

    private final JdbcTemplate jdbc;
    private final Clock clock;
    private final ScheduledExecutorService hourly =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("forgets-readings"));

    ReadingStore(JdbcTemplate jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        hourly.scheduleWithFixedDelay(this::forgetOld, FIRST_MINUTE, EVERY_MINUTES, TimeUnit.MINUTES);
    }

    private void forgetOld() {
        try {
            forgetBefore(clock.instant().minus(KEPT));
        } catch (RuntimeException e) {
            // The next hour tries again.
            LOG.warn("Old readings could not be forgotten: {}", e.toString());
        }
    }

    /** Whether it is new; a number that the device sent before is not stored again. */
    boolean store(Device device, DeviceReading reading) {
        if (reading.sequence() <= device.forgottenTo()) {
            return false;
        }
        try {
            jdbc.update(
                    "insert into device_reading (device_id, sequence, reading, measured_at, received_at) values (?, ?,"
                            + " ?, ?, ?)",
                    device.id(),
                    reading.sequence(),
                    reading.value(),
                    Timestamp.from(reading.at()),
                    Timestamp.from(clock.instant()));
            return true;
        } catch (DuplicateKeyException e) {
            return false;
        }
    }

    /**
     * Forgets what came before a moment.
     *
     * @return how many readings that were
     */
    public int forgetBefore(Instant moment) {
        Timestamp before = Timestamp.from(moment);
        // First the numbers, then the readings: if it is cut short in between, nothing can be taken in twice.
        jdbc.update(
                "update device set last_sequence = greatest(last_sequence, (select max(r.sequence) from device_reading"
                        + " r where r.device_id = device.id and r.received_at < ?)) where exists (select 1 from"
                        + " device_reading r where r.device_id = device.id and r.received_at < ?)",
                before,
                before);
        int all = 0;
        int some;
        do {
            some = jdbc.update("delete from device_reading where received_at < ? limit " + AT_ONCE, before);
            all += some;
        } while (some == AT_ONCE);
        return all;
    }

    /** Forgets all of a device, whose name a new one takes over that counts from the beginning. */
    void forgetAll(UUID device) {
        jdbc.update("delete from device_reading where device_id = ?", device);
    }

    @Override
    public void destroy() {
        DaemonThreads.end(hourly);
    }
}
