package io.causticon.web.exchange.device;

import io.causticon.web.shared.RateLimits;
import io.causticon.web.store.device.Device;
import io.causticon.web.store.device.DeviceReading;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.device.Readings;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RestController;

/** Where real devices send their readings; see docs/devices.md. */
@RestController
class IngestController {

    private static final String BEARER = "Bearer ";
    private static final int MOST_BYTES = 64 * 1024;

    private final DeviceService devices;
    private final Readings readings;
    private final RateLimits limits;
    private final Clock clock;

    IngestController(DeviceService devices, Readings readings, RateLimits limits, Clock clock) {
        this.limits = limits;
        this.devices = devices;
        this.readings = readings;
        this.clock = clock;
    }

    @PostMapping("/ingest")
    ResponseEntity<Map<String, Object>> take(
            HttpServletRequest request,
            @RequestHeader(name = HttpHeaders.AUTHORIZATION, required = false) @Nullable String authorization,
            @RequestHeader(name = HttpHeaders.CONTENT_TYPE, defaultValue = "") String type)
            throws IOException {
        String address = request.getRemoteAddr();
        Optional<Device> device = authorization == null || !authorization.startsWith(BEARER)
                ? Optional.empty()
                : devices.byToken(authorization.substring(BEARER.length()).trim());
        RateLimits.Left left = device.map(d -> limits.asked(d.id())).orElseGet(() -> limits.refused(address));
        if (!left.allowed()) {
            return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                    .header(HttpHeaders.RETRY_AFTER, Long.toString(left.seconds()))
                    .body(Map.of(
                            "refused",
                            "too often; send again in " + left.seconds() + " s, several readings in one body"));
        }
        if (device.isEmpty()) {
            return refused(
                    HttpStatus.UNAUTHORIZED,
                    "no such token; add the device on the Shelf and send Authorization: Bearer <token>");
        }
        boolean csv = type.startsWith("text/csv");
        if (!csv && !type.startsWith("application/json") && !type.startsWith("application/x-ndjson")) {
            return refused(HttpStatus.UNSUPPORTED_MEDIA_TYPE, "send application/json, one object a line, or text/csv");
        }
        byte[] body = request.getInputStream().readNBytes(MOST_BYTES + 1);
        if (body.length > MOST_BYTES) {
            return refused(HttpStatus.CONTENT_TOO_LARGE, "a body is at most " + MOST_BYTES + " bytes");
        }
        try {
            List<DeviceReading> read = new IngestReader(device.get().kind(), clock.instant())
                    .read(new String(body, StandardCharsets.UTF_8), csv);
            int fresh = readings.take(device.get(), read);
            return ResponseEntity.ok(Map.of("stored", fresh, "known", read.size() - fresh));
        } catch (IngestReader.Malformed e) {
            return refused(HttpStatus.BAD_REQUEST, e.getMessage());
        }
    }

    private static ResponseEntity<Map<String, Object>> refused(HttpStatus status, @Nullable String why) {
        return ResponseEntity.status(status).body(Map.of("refused", why == null ? status.getReasonPhrase() : why));
    }
}
