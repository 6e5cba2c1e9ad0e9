package io.causticon.web.device;

import io.causticon.core.forecast.PotOutlook;
import io.causticon.core.formula.Weights;
import io.causticon.core.heat.BathAdvice;
import io.causticon.core.heat.CoolingBody;
import io.causticon.core.heat.LyePotCurve;
import io.causticon.core.heat.LyePotRun;
import io.causticon.core.making.Situation;
import io.causticon.core.observation.AsWeighed;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Spot;
import io.causticon.core.observation.Surroundings;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Stand-ins for devices. They follow the physics of the batch that they watch (lye pot and cooling from the models, the scale the next thing
 * to weigh), lag behind it, drift, are noisy, and fall silent now and then. They speak through the same port as real ones.
 */
@Component
class SimulatedDevices implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(SimulatedDevices.class);
    private static final long BEAT_MILLIS = 500;
    private static final double LAG_SECONDS = 4;
    private static final double NOISE = 0.25;
    private static final double DRIFT_PER_HOUR = 0.2;
    private static final double SCALE_NOISE = 0.05;
    /** It falls silent for the first time after half a minute to a minute, then every few minutes, in beats. */
    private static final int FIRST_SILENCE = 60;

    private static final int SILENCES = 600;
    private static final int SILENT_BEATS = 26;
    private static final double MELTED = 68;
    private static final double ROOM = 17.5;
    private static final double ICE_WATER = 1;
    private static final double POT_MINUTES = 240;
    private static final double BATTER_WARMS = 2;
    private static final double BATTER_MINUTES = 15;

    private final DeviceService devices;
    private final Readings readings;
    private final BatchService batches;
    private final Clock clock;
    private final Map<UUID, Probe> probes = new ConcurrentHashMap<>();
    private final ScheduledExecutorService beat = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "simulated-devices");
        thread.setDaemon(true);
        return thread;
    });

    SimulatedDevices(DeviceService devices, Readings readings, BatchService batches, Clock clock) {
        this.devices = devices;
        this.readings = readings;
        this.batches = batches;
        this.clock = clock;
    }

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
            for (Device device : devices.all()) {
                // Nobody presses a simulated blender.
                if (device.simulated() && device.batch() != null && device.kind() != DeviceKind.BLENDER) {
                    read(device);
                }
            }
        } catch (RuntimeException e) {
            // One bad beat must not end all later ones.
            LOG.warn("A simulated device could not read: {}", e.toString());
        }
    }

    private void read(Device device) {
        Instant now = clock.instant();
        Probe probe = probes.computeIfAbsent(device.id(), id -> new Probe(id, now));
        if (probe.isSilent()) {
            return;
        }
        Batch batch = batches.get(device.batch());
        double truth = device.kind() == DeviceKind.SCALE ? mass(batch) : temperature(device, batch, probe, now);
        double seconds = Duration.between(probe.last, now).toMillis() / 1000.0;
        probe.shown = Double.isNaN(probe.shown) ? truth : truth + (probe.shown - truth) * Math.exp(-seconds / LAG_SECONDS);
        probe.last = now;
        double drift = DRIFT_PER_HOUR * Duration.between(probe.since, now).toMinutes() / 60.0;
        double noise = device.kind() == DeviceKind.SCALE ? SCALE_NOISE : NOISE;
        double value = probe.shown + drift * (device.kind() == DeviceKind.SCALE ? 0 : 1) + noise * probe.random.nextGaussian();
        readings.take(device, List.of(new DeviceReading(++probe.sequence, Math.rint(value * 10) / 10, now)));
    }

    /** The next thing that the plan wants on the scale. */
    private static double mass(Batch batch) {
        Map<Weighable, Mass> weighed = AsWeighed.sums(batch.log());
        Weights planned = Weights.planned(batch.plan().formula());
        return planned.fats().stream()
                .filter(f -> !weighed.containsKey(Weighable.fat(f.fat().id())))
                .map(f -> f.mass().grams())
                .findFirst()
                .orElseGet(() -> planned.liquids().stream()
                        .filter(l -> !weighed.containsKey(Weighable.liquid(l.liquid().id())))
                        .map(l -> l.mass().grams())
                        .findFirst()
                        .orElseGet(() -> weighed.containsKey(Weighable.NAOH) ? 0 : planned.naoh().grams()));
    }

    /** A pot that was read before the probe was put in goes on from there. */
    private static Optional<Double> followed(Device device, Batch batch, Probe probe, Instant now) {
        boolean done = device.spot() == Spot.FATS || batch.log().first(Entry.LyeClear.class, c -> true)
                .filter(c -> c.at().isBefore(probe.since))
                .isPresent();
        Weights planned = Weights.planned(batch.plan().formula());
        double rate = device.spot() == Spot.FATS
                ? CoolingBody.usualFatsRate(planned.fatMass())
                : CoolingBody.usualLyeRate(planned.lye().plus(planned.water()));
        return !done
                ? Optional.empty()
                : batch.log().of(Entry.TemperatureRead.class)
                        .filter(t -> t.entry().spot() == device.spot() && t.at().isBefore(probe.since))
                        .reduce((a, b) -> b)
                        .map(t -> stood(batch.log(), device.spot(), t.entry().temperature(), rate, t.at(), now));
    }

    /** Where a pot has come to that stood in the room, and in the baths that it was put into since. */
    private static double stood(BatchLog log, Spot spot, Temperature start, double roomRate, Instant from, Instant now) {
        double celsius = start.celsius();
        Instant since = from;
        Surroundings in = Surroundings.ROOM;
        for (BatchLog.Timed<Entry.Bathed> bath : log.of(Entry.Bathed.class)
                .filter(b -> b.entry().pot() == spot && !b.at().isAfter(now))
                .toList()) {
            if (bath.at().isAfter(since)) {
                celsius = after(celsius, in, spot, roomRate, since, bath.at());
                since = bath.at();
            }
            in = bath.entry().into();
        }
        return after(celsius, in, spot, roomRate, since, now);
    }

    private static double after(double celsius, Surroundings in, Spot spot, double roomRate, Instant from, Instant to) {
        double bathRate = spot == Spot.LYE ? BathAdvice.PLASTIC_IN_BATH : BathAdvice.POT_IN_BATH;
        Temperature around =
                switch (in) {
                    case ROOM -> Temperature.celsius(ROOM);
                    case ICE_BATH -> Temperature.celsius(ICE_WATER);
                    case COLD_BATH -> BathAdvice.TAP;
                    case WARM_BATH -> BathAdvice.WARM;
                };
        return new CoolingBody(
                        Temperature.celsius(celsius), around, in == Surroundings.ROOM ? roomRate : bathRate, CoolingBody.OPEN_POT)
                .after(Duration.between(from, to).toMillis() / 60_000.0)
                .celsius();
    }

    private double temperature(Device device, Batch batch, Probe probe, Instant now) {
        BatchLog log = batch.log();
        Optional<Double> followed = followed(device, batch, probe, now);
        if (followed.isPresent()) {
            return followed.get();
        }
        if (device.spot() == Spot.LYE) {
            PotOutlook pot = PotOutlook.of(batch.plan(), log, Temperature.celsius(ROOM), now);
            if (pot.fedFrom().isEmpty()) {
                return pot.setup().contents().ice().isPositive() ? -1 : ROOM;
            }
            LyePotCurve curve = LyePotRun.run(pot.setup(), Math.min(POT_MINUTES, pot.minute(now) + 1));
            // Dissolved and strained, it leaves the bath and comes slowly to the room.
            Instant from = pot.fedFrom().get();
            return log.first(Entry.LyeClear.class)
                    .map(c -> {
                        double clear = Duration.between(from, c.at()).toMillis() / 60_000.0;
                        Mass liquor = Weights.planned(batch.plan().formula()).lye().plus(Weights.planned(batch.plan().formula()).water());
                        return stood(
                                log, Spot.LYE, Temperature.celsius(curve.at(clear)), CoolingBody.usualLyeRate(liquor), c.at(), now);
                    })
                    .orElseGet(() -> curve.at(pot.minute(now)));
        }
        if (device.spot() == Spot.FATS) {
            double rate = CoolingBody.usualFatsRate(batch.plan().formula().fatMass()) * 1.15;
            return stood(log, Spot.FATS, Temperature.celsius(MELTED), rate, probe.since, now);
        }
        if (device.spot() == Spot.BATTER) {
            Optional<Temperature> mixed = Situation.mixedAt(batch.facts(now));
            Optional<Instant> in = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
            if (mixed.isPresent() && in.isPresent()) {
                // What reacts on the way to trace warms it by a degree or two, against what the bowl loses.
                double minutes = Duration.between(in.get(), now).toMillis() / 60_000.0;
                return mixed.get().celsius() + BATTER_WARMS * (1 - Math.exp(-minutes / BATTER_MINUTES));
            }
        }
        return log.last(Entry.TemperatureRead.class).map(t -> t.entry().temperature().celsius()).orElse(ROOM);
    }

    @Override
    public void destroy() {
        beat.shutdownNow();
    }
}
