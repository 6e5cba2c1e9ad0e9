package io.causticon.web.exchange.device;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.instruments.InstrumentSimulator;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.LoafForecasts;
import io.causticon.web.store.device.Device;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceReading;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.device.Readings;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Stand-ins for devices. They follow the physics of the batch that they watch, lag behind it, drift, are noisy, and
 * fall silent now and then. They speak through the same port as real ones. Nobody presses a simulated blender.
 */
@Component
class SimulatedDevices implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(SimulatedDevices.class);
    private static final long BEAT_MILLIS = 500;
    /** It falls silent for the first time after half a minute to a minute, then every few minutes, in beats. */
    private static final int FIRST_SILENCE = 60;

    private static final int SILENCES = 600;
    private static final int SILENT_BEATS = 26;
    private static final Temperature ROOM = Temperature.celsius(17.5);

    /**
     * What is wrong with an instrument.
     *
     * @param lag time constant with which it follows, s
     * @param noise standard deviation of one reading
     * @param drift in an hour
     * @param step of its display
     */
    private record Faults(double lag, double noise, double drift, double step) {

        static Faults of(DeviceKind kind) {
            return switch (kind) {
                case THERMOMETER -> new Faults(4, 0.25, 0.2, 0.1);
                case SCALE -> new Faults(0.8, 0.03, 0, 0.1);
                case PH_PEN -> new Faults(12, 0.03, 0.05, 0.01);
                case BLENDER -> new Faults(0, 0, 0, 1);
            };
        }
    }

    private final DeviceService devices;
    private final Readings readings;
    private final BatchService batches;
    private final LoafForecasts loaves;
    private final Clock clock;
    private final Map<Place, Probe> probes = new ConcurrentHashMap<>();
    private final ScheduledExecutorService beat =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("simulated-devices"));

    SimulatedDevices(
            DeviceService devices, Readings readings, BatchService batches, LoafForecasts loaves, Clock clock) {
        this.devices = devices;
        this.readings = readings;
        this.batches = batches;
        this.loaves = loaves;
        this.clock = clock;
    }

    /** Put somewhere else, it begins anew. */
    private record Place(
            UUID device, BatchId batch, @Nullable MeasurementPoint spot) {}

    /** What one stand-in remembers. */
    private static final class Probe {

        private final Random random;
        private long sequence;
        private double shown = Double.NaN;
        private Instant last = Instant.EPOCH;
        private final Instant since;
        private int untilSilence;

        Probe(UUID id, Instant now) {
            this.random = new Random(id.getMostSignificantBits());
            this.sequence = now.toEpochMilli();
            this.since = now;
            this.untilSilence = FIRST_SILENCE + random.nextInt(FIRST_SILENCE);
        }

        boolean isSilent() {
            untilSilence--;
            if (untilSilence < -SILENT_BEATS) {
                untilSilence = SILENCES + random.nextInt(SILENCES);
            }
            return untilSilence < 0;
        }
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        beat.scheduleAtFixedRate(this::tick, BEAT_MILLIS, BEAT_MILLIS, TimeUnit.MILLISECONDS);
    }

    private void tick() {
        try {
            devices.all().stream()
                    .filter(d -> d.simulated() && d.batch() != null && d.kind() != DeviceKind.BLENDER)
                    .forEach(this::readIfPossible);
        } catch (RuntimeException e) {
            // One bad beat must not end all later ones.
            LOG.warn("Simulated devices could not be listed: {}", e.toString());
        }
    }

    private void readIfPossible(Device device) {
        try {
            read(device);
        } catch (UnreadableException | NotFoundException e) {
            // Its batch tells nobody anything; that is shown where batches are.
            LOG.debug("{} has nothing to read", device.name());
        } catch (RuntimeException e) {
            // One bad device must not silence the others.
            LOG.warn("{} could not read: {}", device.name(), e.toString());
        }
    }

    private void read(Device device) {
        Instant now = clock.instant();
        Probe probe = probes.computeIfAbsent(
                new Place(device.id(), device.batch(), device.spot()), p -> new Probe(device.id(), now));
        if (probe.isSilent()) {
            return;
        }
        Batch batch = batches.get(device.batch());
        double truth = truth(device, batch, probe, now);
        Faults faults = Faults.of(device.kind());
        double seconds = Duration.between(probe.last, now).toMillis() / 1000.0;
        probe.shown =
                Double.isNaN(probe.shown) ? truth : truth + (probe.shown - truth) * Math.exp(-seconds / faults.lag());
        probe.last = now;
        double hours = Duration.between(probe.since, now).toMinutes() / 60.0;
        double value = probe.shown + faults.drift() * hours + faults.noise() * probe.random.nextGaussian();
        double shown = device.kind().possible().clamp(Math.rint(value / faults.step()) * faults.step());
        readings.take(device, List.of(new DeviceReading(++probe.sequence, shown, now)));
    }

    private double truth(Device device, Batch batch, Probe probe, Instant now) {
        InstrumentSimulator readings = new InstrumentSimulator(
                batch.plan(),
                batch.log(),
                ROOM,
                probe.since,
                () -> loaves.before(batch, ROOM).map(LoafEnsemble::middle));
        return switch (device.kind()) {
            case SCALE -> readings.scale(now).grams();
            case PH_PEN -> readings.penPh(now);
            case THERMOMETER ->
                device.spot() == null
                        ? ROOM.celsius()
                        : readings.thermometer(device.spot(), now).celsius();
            case BLENDER -> 0;
        };
    }

    @Override
    public void destroy() {
        DaemonThreads.end(beat);
    }
}
