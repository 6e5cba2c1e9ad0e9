package io.causticon.web.store.device;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.Token;
import io.causticon.web.store.batch.BatchId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The devices of the workshop, their tokens, and what they watch. */
@Service
public class DeviceService {

    private static final int LONGEST_NAME = 40;
    private static final int MOST_SECONDS = 86_400;

    private final DeviceRepository devices;
    private final ReadingStore readings;

    DeviceService(DeviceRepository devices, ReadingStore readings) {
        this.devices = devices;
        this.readings = readings;
    }

    /** A new device and the token that it sends; the token cannot be read again. */
    public record Added(Device device, String token) {}

    @Transactional
    public Added add(String name, DeviceKind kind, boolean simulated) {
        String called = name.trim();
        if (called.isEmpty()) {
            throw ProblemsException.of("name", ProblemKey.MISSING);
        }
        if (called.length() > LONGEST_NAME) {
            throw ProblemsException.of("name", ProblemKey.TOO_LONG, called.length(), LONGEST_NAME);
        }
        DeviceRow row = devices.findByName(called).orElseGet(DeviceRow::new);
        if (!row.name.isEmpty() && !row.retired) {
            throw ProblemsException.of("name", ProblemKey.NAME_TAKEN, called);
        }
        String token = Token.fresh();
        row.name = called;
        row.kind = kind.name();
        row.simulated = simulated;
        row.tokenHash = Token.hash(token);
        row.batchId = null;
        row.retired = false;
        row.lastSequence = 0;
        readings.forgetAll(row.id);
        devices.save(row);
        return new Added(row.device().orElseThrow(), token);
    }

    @Transactional(readOnly = true)
    public List<Device> all() {
        return devices.findByRetiredFalseOrderByName().stream()
                .flatMap(r -> r.device().stream())
                .toList();
    }

    /** Names by id of what is listed as a device and cannot be understood. */
    @Transactional(readOnly = true)
    public Map<UUID, String> unreadable() {
        return devices.findByRetiredFalseOrderByName().stream()
                .filter(r -> r.device().isEmpty())
                .collect(Collectors.toMap(r -> r.id, r -> r.name));
    }

    @Transactional(readOnly = true)
    public List<Device> watching(BatchId batch) {
        return devices.findByRetiredFalseAndBatchIdOrderByName(batch.value()).stream()
                .flatMap(r -> r.device().stream())
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Device> byToken(String token) {
        return devices.findByTokenHashAndRetiredFalse(Token.hash(token)).flatMap(DeviceRow::device);
    }

    /**
     * Lets a device watch a batch.
     *
     * @param spot where a thermometer is held
     * @param everySeconds rule; null for none
     * @param onChange rule, in the device's base unit; null for none
     */
    @Transactional
    public void watch(
            UUID device,
            BatchId batch,
            @Nullable MeasurementPoint spot,
            @Nullable Integer everySeconds,
            @Nullable Double onChange) {
        if (everySeconds != null && (everySeconds < 1 || everySeconds > MOST_SECONDS)) {
            throw ProblemsException.of(
                    "everySeconds",
                    everySeconds < 1 ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    "A rule in seconds",
                    (double) everySeconds,
                    everySeconds < 1 ? 1.0 : (double) MOST_SECONDS);
        }
        if (onChange != null && onChange <= 0) {
            throw ProblemsException.of("onChange", ProblemKey.TOO_LOW, "A change", onChange, 0.0);
        }
        DeviceRow row = devices.findById(device)
                .filter(r -> !r.retired)
                .orElseThrow(() -> new NotFoundException("device " + device));
        row.batchId = batch.value();
        row.spot = row.kind.equals(DeviceKind.THERMOMETER.name())
                ? (spot == null ? MeasurementPoint.LYE : spot).name()
                : null;
        row.everySeconds = everySeconds;
        row.onChange = onChange;
    }

    /** Puts a device back on the shelf. */
    @Transactional
    public void rest(UUID device) {
        devices.findById(device).ifPresent(row -> row.batchId = null);
    }

    @Transactional
    public void retire(UUID device) {
        devices.findById(device).ifPresent(row -> {
            row.retired = true;
            row.batchId = null;
        });
    }
}
