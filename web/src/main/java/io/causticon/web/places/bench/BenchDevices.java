package io.causticon.web.places.bench;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.Device;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.device.Readings;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** The devices of a bench, worded. */
@Service
public class BenchDevices {

    /** Devices speak at least every few seconds; one that is silent for longer is shown as dead. */
    public static final Duration DEAD_AFTER = Duration.ofSeconds(10);

    private final DeviceService devices;
    private final Readings readings;
    private final BatchService batches;

    BenchDevices(DeviceService devices, Readings readings, BatchService batches) {
        this.devices = devices;
        this.readings = readings;
        this.batches = batches;
    }

    /**
     * One device at a bench.
     *
     * @param mark of the substance it is in
     * @param where what it reads, in words
     * @param value its newest value without unit; a dash when it has not spoken
     * @param tap what a tap logs, without the value; empty when it logs nothing by itself
     * @param age how long ago it spoke, in milliseconds; -1 when it has not
     * @param rule how it logs by itself; empty when only by a tap
     */
    public record AtBench(
            String id,
            String name,
            String mark,
            String where,
            String value,
            String unit,
            String tap,
            long age,
            String rule) {}

    public List<AtBench> at(BatchId batch, Maker maker) {
        return devices.watching(batch).stream().map(d -> atBench(d, maker)).toList();
    }

    /** What a thermometer in the batter shows, if one is there and speaks. */
    public Optional<Temperature> batterNow(BatchId batch) {
        return devices.watching(batch).stream()
                .filter(d -> d.kind() == DeviceKind.THERMOMETER && d.spot() == MeasurementPoint.BATTER)
                .filter(d -> readings.silence(d.id())
                        .filter(s -> s.compareTo(DEAD_AFTER) < 0)
                        .isPresent())
                .flatMap(d -> readings.latest(d.id()).stream())
                .map(r -> Temperature.celsius(r.value()))
                .findFirst();
    }

    /**
     * A device that can be put to a bench.
     *
     * @param words its name, its kind, and the batch it would be taken from
     */
    public record Choice(String id, String words) {}

    /** What can be put to this bench: what lies on the shelf first, then what stands at another bench. */
    public List<Choice> choices(BatchId batch) {
        return devices.all().stream()
                .filter(d -> !batch.equals(d.batch()))
                .sorted(Comparator.comparing((Device d) -> d.batch() != null))
                .map(d -> new Choice(
                        d.id().toString(),
                        d.name() + ", " + d.kind().words()
                                + (d.batch() == null
                                        ? ""
                                        : ", now at " + batches.name(d.batch()).orElse("another bench"))))
                .toList();
    }

    private AtBench atBench(Device d, Maker maker) {
        String spot = d.spot() == null ? "" : d.spot().name().toLowerCase(Locale.ROOT);
        String unit = switch (d.kind()) {
            case THERMOMETER -> maker.formats().temperatureUnit();
            case SCALE -> maker.formats().massUnit();
            case PH_PEN -> "pH";
            case BLENDER -> "s";
        };
        return new AtBench(
                d.id().toString(),
                d.name(),
                d.kind() == DeviceKind.THERMOMETER ? mark(d.spot()) : d.kind() == DeviceKind.SCALE ? "fats" : "batter",
                d.kind() == DeviceKind.THERMOMETER ? spot : d.kind().words(),
                readings.latest(d.id())
                        .map(r -> d.kind().number(r.value(), maker.formats()))
                        .orElse("\u2013"),
                unit,
                d.kind() == DeviceKind.THERMOMETER ? spot : d.kind() == DeviceKind.PH_PEN ? "pen" : "",
                readings.silence(d.id()).map(Duration::toMillis).orElse(-1L),
                rule(d, maker.formats()));
    }

    private static String rule(Device d, Formats formats) {
        if (d.kind() == DeviceKind.BLENDER) {
            return "logs each burst";
        }
        String every = d.everySeconds() == null ? "" : "logs every " + d.everySeconds() + " s";
        String change =
                d.onChange() == null ? "" : (every.isEmpty() ? "logs " : ", ") + "on a change of " + change(d, formats);
        return every + change;
    }

    private static String change(Device d, Formats formats) {
        double change = d.onChange() == null ? 0 : d.onChange();
        return switch (d.kind()) {
            case THERMOMETER -> Formats.number(formats.degreesApart(change), 1) + " " + formats.temperatureUnit();
            case SCALE -> formats.mass(Mass.grams(change));
            case PH_PEN, BLENDER -> Formats.number(change, 1);
        };
    }

    private static String mark(MeasurementPoint spot) {
        return spot == null ? "lye" : spot.name().toLowerCase(Locale.ROOT);
    }
}
