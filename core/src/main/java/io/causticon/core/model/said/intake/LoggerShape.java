package io.causticon.core.model.said.intake;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How a table of an instrument is read.
 *
 * @param delimiter between its cells
 * @param heading number of the line that names its columns, counted from 0; -1 where none does
 * @param time column of the moment, or of its day, counted from 0
 * @param clock column of the time where the day stands in another; -1 where one column tells both
 * @param shape how the moment is written
 * @param zone of the instrument's clock
 * @param beginning what moments are counted from, for shapes that count
 * @param value column of the temperature
 * @param scale in which it is
 * @param spot where it was measured
 */
public record LoggerShape(
        char delimiter,
        int heading,
        int time,
        int clock,
        TimeShape shape,
        ZoneId zone,
        Instant beginning,
        int value,
        Scale scale,
        MeasurementPoint spot) {

    /** Of a temperature. */
    public enum Scale {
        CELSIUS,
        FAHRENHEIT,
        KELVIN;

        private static final double ZERO_CELSIUS = 273.15;

        Temperature temperature(double degrees) {
            return switch (this) {
                case CELSIUS -> Temperature.celsius(degrees);
                case FAHRENHEIT -> Temperature.fahrenheit(degrees);
                case KELVIN -> Temperature.celsius(degrees - ZERO_CELSIUS);
            };
        }
    }

    /** A temperature at a moment. */
    public record Reading(Instant at, Temperature temperature) {}

    /** What a line says: a reading, or why there is none. */
    public record Line(Optional<Reading> reading, String problem) {

        static Line none(String problem) {
            return new Line(Optional.empty(), problem);
        }
    }

    /** Reads a line below the heading. */
    public Line read(List<String> cells) {
        String when = cell(cells, time) + (clock >= 0 ? " " + cell(cells, clock) : "");
        String what = cell(cells, value);
        if (what.isBlank()) {
            return Line.none("it has no temperature");
        }
        Optional<Instant> at = shape.read(when, zone, beginning);
        if (at.isEmpty()) {
            return Line.none("\"" + shortened(when.strip()) + "\" is no moment like " + shape.example());
        }
        OptionalDouble number = Decimals.read(what);
        if (number.isEmpty()) {
            return Line.none("\"" + shortened(what.strip()) + "\" is no temperature");
        }
        Temperature temperature;
        try {
            temperature = scale.temperature(number.getAsDouble());
        } catch (RuntimeException e) {
            return Line.none("\"" + shortened(what.strip()) + "\" is no temperature that there can be");
        }
        return spot.possibleCelsius().contains(temperature.celsius())
                ? new Line(Optional.of(new Reading(at.get(), temperature)), "")
                : Line.none("\"" + shortened(what.strip()) + "\" cannot be there");
    }

    private static String cell(List<String> cells, int at) {
        return at >= 0 && at < cells.size() ? cells.get(at) : "";
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "\u2026";
    }
}
