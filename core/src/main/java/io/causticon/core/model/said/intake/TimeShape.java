package io.causticon.core.model.said.intake;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.time.temporal.ChronoField;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * How a table tells time. A day and a month that can be taken for one another are two shapes: which is meant is for
 * whoever knows the file.
 */
public enum TimeShape {
    /** With its distance from UTC. */
    ISO_WITH_OFFSET("2026-11-28T14:05:00Z"),
    ISO("2026-11-28 14:05", "uuuu-M-d"),
    YEAR_FIRST("2026/11/28 14:05", "uuuu/M/d", "uuuu.M.d"),
    DAY_FIRST("28/11/2026 14:05", "d/M/uuuu", "d.M.uuuu", "d-M-uuuu", "d/M/uu", "d.M.uu"),
    MONTH_FIRST("11/28/2026 2:05 PM", "M/d/uuuu", "M-d-uuuu", "M/d/uu"),
    /** Seconds since 1970. */
    EPOCH_SECONDS("1795874700"),
    EPOCH_MILLIS("1795874700000"),
    /** Counted from a beginning that the file does not tell. */
    SECONDS("3600, since its beginning"),
    MINUTES("60, since its beginning"),
    HOURS("1, since its beginning"),
    CLOCK("1:00:00, since its beginning");

    private static final int PIVOT = 2000;
    private static final double SECONDS_A_MINUTE = 60;
    private static final double SECONDS_AN_HOUR = 3600;
    private static final double MILLIS = 1000;

    /** 1990 and 2100 in seconds since 1970: what lies between can be a moment. */
    private static final double EARLIEST = 631_152_000.0;

    private static final double LATEST = 4_102_444_800.0;

    private final String example;
    private final List<DateTimeFormatter> formats;

    TimeShape(String example, String... days) {
        this.example = example;
        this.formats = Stream.of(days)
                .flatMap(
                        d -> Stream.of("H:mm:ss", "H:mm", "h:mm:ss a", "h:mm a").map(t -> format(d, t)))
                .toList();
    }

    private static DateTimeFormatter format(String day, String time) {
        DateTimeFormatterBuilder builder = new DateTimeFormatterBuilder().parseCaseInsensitive();
        if (day.endsWith("uuuu") || day.startsWith("uuuu")) {
            builder.appendPattern(day);
        } else {
            builder.appendPattern(day.substring(0, day.length() - 2)).appendValueReduced(ChronoField.YEAR, 2, 2, PIVOT);
        }
        return builder.appendPattern(" " + time).toFormatter(Locale.ROOT).withResolverStyle(ResolverStyle.STRICT);
    }

    /** How it looks. */
    public String example() {
        return example;
    }

    /** Whether it counts from a beginning that has to be told. */
    public boolean isSinceBeginning() {
        return this == SECONDS || this == MINUTES || this == HOURS || this == CLOCK;
    }

    /** Whether it wants a time zone. */
    public boolean isLocal() {
        return !formats.isEmpty();
    }

    /**
     * Reads a cell, or a day's and a time's cell with a space between.
     *
     * @param zone of the instrument's clock, for shapes that do not tell
     * @param beginning what shapes that count are counted from
     * @return empty if it is not of this shape
     */
    public Optional<Instant> read(String cell, ZoneId zone, Instant beginning) {
        String text = isLocal() || this == ISO_WITH_OFFSET ? tidy(cell) : cell.strip();
        try {
            return switch (this) {
                case ISO_WITH_OFFSET ->
                    Optional.of(OffsetDateTime.parse(text.replace(' ', 'T')).toInstant());
                case EPOCH_SECONDS -> epoch(text, 1);
                case EPOCH_MILLIS -> epoch(text, MILLIS);
                case SECONDS -> since(text, 1, beginning);
                case MINUTES -> since(text, SECONDS_A_MINUTE, beginning);
                case HOURS -> since(text, SECONDS_AN_HOUR, beginning);
                case CLOCK -> clock(text).map(beginning::plus);
                default -> local(text).map(t -> t.atZone(zone).toInstant());
            };
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static final Pattern SPACES = Pattern.compile("[\\s\u00a0]+");
    private static final Pattern WITH_T = Pattern.compile("\\d{4}-\\d\\d?-\\d\\d?T\\d[\\d:.,]*");
    private static final Pattern FRACTION = Pattern.compile("(\\d:\\d\\d:\\d\\d)[.,]\\d+");
    private static final Pattern COMMA = Pattern.compile("^(\\S+), ");

    /** One space, no T between a day and a time where no offset follows. */
    private static String tidy(String cell) {
        String text = SPACES.matcher(cell.strip()).replaceAll(" ");
        return WITH_T.matcher(text).matches() ? text.replace('T', ' ') : text;
    }

    private Optional<LocalDateTime> local(String text) {
        String whole = COMMA.matcher(FRACTION.matcher(text).replaceAll("$1")).replaceFirst("$1 ");
        for (DateTimeFormatter format : formats) {
            try {
                return Optional.of(LocalDateTime.parse(whole, format));
            } catch (DateTimeException e) {
                // Another may fit.
            }
        }
        return Optional.empty();
    }

    private static Optional<Instant> epoch(String text, double perSecond) {
        OptionalDouble number = Decimals.read(text);
        double seconds = number.orElse(0) / perSecond;
        return seconds > EARLIEST && seconds < LATEST
                ? Optional.of(Instant.ofEpochMilli(Math.round(seconds * MILLIS)))
                : Optional.empty();
    }

    private static Optional<Instant> since(String text, double secondsEach, Instant beginning) {
        OptionalDouble number = Decimals.read(text);
        return number.isPresent() && number.getAsDouble() >= 0
                ? Optional.of(beginning.plusMillis(Math.round(number.getAsDouble() * secondsEach * MILLIS)))
                : Optional.empty();
    }

    private static Optional<Duration> clock(String text) {
        if (!text.matches("\\d{1,4}:\\d\\d(:\\d\\d)?([.,]\\d+)?")) {
            return Optional.empty();
        }
        String[] parts = text.replaceFirst("[.,]\\d+$", "").split(":");
        Duration time = Duration.ofHours(Long.parseLong(parts[0])).plusMinutes(Long.parseLong(parts[1]));
        return Optional.of(parts.length > 2 ? time.plusSeconds(Long.parseLong(parts[2])) : time);
    }

    /** A day alone, as some tables have it beside a column of times. */
    static boolean isDay(String cell) {
        return cell.strip().matches("\\d{1,4}[-/.]\\d{1,2}[-/.]\\d{2,4}");
    }

    static boolean isTimeOfDay(String cell) {
        return cell.strip().matches("(?i)\\d{1,2}:\\d\\d(:\\d\\d([.,]\\d+)?)?( ?[ap]m)?");
    }
}
