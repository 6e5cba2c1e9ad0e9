package io.causticon.web.store.device;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.said.entry.Authority;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.BatchService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;

/** The one port that every reading comes through: stores it once, tells who watches, logs it where a rule says so. */
@Service
public class Readings {

    private static final Logger LOG = LoggerFactory.getLogger(Readings.class);

    private final ReadingStore store;
    private final BatchService batches;
    private final ApplicationEventPublisher events;
    private final Clock clock;
    private final Map<UUID, DeviceReading> latest = new ConcurrentHashMap<>();
    private final Map<UUID, DeviceReading> logged = new ConcurrentHashMap<>();

    Readings(ReadingStore store, BatchService batches, ApplicationEventPublisher events, Clock clock) {
        this.store = store;
        this.batches = batches;
        this.events = events;
        this.clock = clock;
    }

    /** A reading was taken in. */
    public record Taken(Device device, DeviceReading reading, boolean logged) {}

    /** The newest reading of a device, if there is one since the start. */
    public Optional<DeviceReading> latest(UUID device) {
        return Optional.ofNullable(latest.get(device));
    }

    /** How long a device has been silent; empty if it never spoke. */
    public Optional<Duration> silence(UUID device) {
        return latest(device).map(r -> Duration.between(r.at(), clock.instant()));
    }

    /**
     * Takes readings in.
     *
     * @return how many of them are new; a number that is known already is not stored again
     */
    public int take(Device device, List<DeviceReading> readings) {
        int fresh = 0;
        for (DeviceReading reading : readings) {
            if (store.store(device, reading)) {
                fresh++;
                latest.merge(device.id(), reading, (a, b) -> b.at().isBefore(a.at()) ? a : b);
                events.publishEvent(new Taken(device, reading, logByRule(device, reading)));
            }
        }
        return fresh;
    }

    private boolean logByRule(Device device, DeviceReading reading) {
        boolean byItself = device.kind() == DeviceKind.BLENDER;
        if (device.batch() == null || !byItself && device.everySeconds() == null && device.onChange() == null) {
            return false;
        }
        DeviceReading last = logged.get(device.id());
        boolean old = device.everySeconds() != null
                && (last == null || Duration.between(last.at(), reading.at()).toSeconds() >= device.everySeconds());
        boolean changed = device.onChange() != null
                && (last == null || Math.abs(reading.value() - last.value()) >= device.onChange());
        Entry entry = byItself || old || changed ? entry(device, reading.value()) : null;
        // What only a person or a program may say, no device says, whatever it is put to.
        if (entry == null || EntryKinds.of(entry).authority() != Authority.INSTRUMENT) {
            return false;
        }
        logged.put(device.id(), reading);
        try {
            Instant begun = batches.get(device.batch()).log().begun();
            if (!reading.at().isBefore(begun)) {
                batches.log(
                        device.batch(),
                        List.of(entry),
                        reading.at(),
                        device.name(),
                        "device-" + device.id() + "-" + reading.sequence(),
                        Answers.LATER);
            }
            return true;
        } catch (ProblemsException | NotFoundException | UnreadableException e) {
            // The reading is stored; that the log cannot take it is no fault of the device.
            LOG.warn("{} of {} could not be logged: {}", reading.value(), device.name(), e.getMessage());
            return false;
        }
    }

    /** What a reading is in the log; a scale's is none before somebody says of what. */
    static @Nullable Entry entry(Device device, double value) {
        return switch (device.kind()) {
            case THERMOMETER ->
                new Entry.TemperatureRead(
                        device.spot() == null ? MeasurementPoint.LYE : device.spot(), Temperature.celsius(value));
            case PH_PEN -> new Entry.PhRead(value, PhMethod.METER);
            case SCALE -> null;
            case BLENDER -> value < 1 ? null : new Entry.BlenderBurst((int) Math.round(value));
        };
    }
}
