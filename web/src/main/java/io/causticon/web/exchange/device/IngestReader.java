package io.causticon.web.exchange.device;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceReading;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads what a device sends: lines of JSON or lines of comma-separated values. */
public final class IngestReader {

    static final int MOST_READINGS = 500;
    private static final Duration CLOCKS_DIFFER = Duration.ofMinutes(5);
    private static final Duration OLDEST = Duration.ofDays(2);
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final DeviceKind kind;
    private final Instant now;

    IngestReader(DeviceKind kind, Instant now) {
        this.kind = kind;
        this.now = now;
    }

    /** What cannot be read, told to whoever built the device. */
    static final class Malformed extends RuntimeException {

        private static final long serialVersionUID = 1L;

        Malformed(int line, String words) {
            super("line " + line + ": " + words);
        }
    }

    /** @throws Malformed naming the first line that cannot be read; nothing of such a body is taken */
    List<DeviceReading> read(String body, boolean csv) {
        List<DeviceReading> readings = new ArrayList<>();
        int number = 0;
        for (String line : body.split("\\R")) {
            number++;
            if (line.isBlank()
                    || csv && number == 1 && line.toLowerCase(Locale.ROOT).startsWith("seq")) {
                continue;
            }
            if (readings.size() == MOST_READINGS) {
                throw new Malformed(number, "more than " + MOST_READINGS + " readings in one body");
            }
            readings.add(csv ? csv(line, number) : json(line, number));
        }
        if (readings.isEmpty()) {
            throw new Malformed(1, "no reading");
        }
        return readings;
    }

    private DeviceReading csv(String line, int number) {
        String[] cells = line.split(",", -1);
        if (cells.length < 2 || cells.length > 4) {
            throw new Malformed(number, "wants seq,value[,unit[,at]]");
        }
        return reading(
                number,
                cells[0].trim(),
                cells[1].trim(),
                cells.length > 2 ? cells[2].trim() : "",
                cells.length > 3 ? cells[3].trim() : "");
    }

    private DeviceReading json(String line, int number) {
        try {
            JsonNode node = JSON.readTree(line);
            if (node == null || !node.isObject()) {
                throw new Malformed(number, "wants an object such as {\"seq\":1,\"value\":43.5}");
            }
            return reading(number, text(node, "seq"), text(node, "value"), text(node, "unit"), text(node, "at"));
        } catch (JacksonException e) {
            throw new Malformed(number, "is not JSON");
        }
    }

    private static String text(JsonNode node, String field) {
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? "" : value.isValueNode() ? value.asString() : "?";
    }

    private DeviceReading reading(int line, String sequence, String value, String unit, String at) {
        long number;
        double read;
        try {
            number = Long.parseLong(sequence);
            read = Double.parseDouble(value);
        } catch (NumberFormatException e) {
            throw new Malformed(line, "seq wants a whole number and value a number");
        }
        if (number < 0 || !Double.isFinite(read)) {
            throw new Malformed(line, "seq must not be negative and value must be finite");
        }
        double base = inBase(line, read, unit);
        if (!kind.possible().contains(base)) {
            throw new Malformed(line, "value " + value + " is outside what a " + kind.words() + " can read");
        }
        return new DeviceReading(number, base, moment(line, at));
    }

    private double inBase(int line, double value, String unit) {
        return switch (kind.name() + " " + unit.toUpperCase(Locale.ROOT)) {
            case "THERMOMETER ",
                    "THERMOMETER C",
                    "SCALE ",
                    "SCALE G",
                    "PH_PEN ",
                    "PH_PEN PH",
                    "BLENDER ",
                    "BLENDER S" -> value;
            case "THERMOMETER F" -> Temperature.fahrenheit(value).celsius();
            case "SCALE KG" -> value * 1000;
            case "SCALE OZ" -> Mass.ounces(value).grams();
            default -> throw new Malformed(line, "unit " + unit + " is not one of a " + kind.words());
        };
    }

    private Instant moment(int line, String at) {
        if (at.isEmpty()) {
            return now;
        }
        try {
            Instant moment = Instant.parse(at);
            if (moment.isAfter(now.plus(CLOCKS_DIFFER)) || moment.isBefore(now.minus(OLDEST))) {
                throw new Malformed(
                        line, "at " + at + " is more than five minutes ahead or two days ago; set the device's clock");
            }
            return moment.isAfter(now) ? now : moment;
        } catch (DateTimeParseException e) {
            throw new Malformed(line, "at wants ISO 8601 such as 2026-11-24T18:05:00Z");
        }
    }
}
