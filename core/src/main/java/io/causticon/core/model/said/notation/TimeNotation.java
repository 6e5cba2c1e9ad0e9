package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/**
 * Moments as they are typed: {@code 14:05} (today, or the batch's day when the batch is older), {@code 5 min ago},
 * {@code +35m} and {@code day 9} (since the batch was begun), {@code 2026-11-20 14:05}.
 */
public final class TimeNotation {

    /** A clock that runs a little ahead of ours is not the future. */
    private static final Duration AHEAD = Duration.ofMinutes(2);

    /** A clock that shows no seconds may show the minute in which the batch was begun. */
    private static final Duration WITHIN_THE_MINUTE = Duration.ofMinutes(1);

    private static final Pattern CLOCK = Pattern.compile("\\d{1,2}:\\d{2}(?::\\d{2})?");
    private static final Pattern DATE =
            Pattern.compile("(\\d{4}-\\d{2}-\\d{2})(?:[ tT](\\d{1,2}:\\d{2}(?::\\d{2})?))?");
    private static final Pattern AGO =
            Pattern.compile("(?:[-\u2212]\\s*)?(\\d+(?:[.,]\\d+)?)\\s*(s|min|m|h|d)(?:\\s+ago)?");
    private static final Pattern SINCE = Pattern.compile("\\+\\s*(\\d+(?:[.,]\\d+)?)\\s*(s|min|m|h|d)");
    private static final Pattern DAY = Pattern.compile("(?:day|d)\\s*(\\d+(?:[.,]\\d+)?)(?:\\s+(\\d{1,2}:\\d{2}))?");

    private TimeNotation() {}

    /**
     * @param field where the text stands
     * @param text what was typed
     * @param begun when the batch was begun
     * @param now this moment
     * @param zone the workshop's time zone
     * @throws ProblemsException if it is no moment, before the batch or in the future
     */
    public static Instant read(String field, String text, Instant begun, Instant now, ZoneId zone) {
        Instant at;
        try {
            at = moment(TypedText.quantity(field, text), begun, now, zone);
        } catch (DateTimeException | ArithmeticException e) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_TIME, text.trim());
        }
        if (at == null) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_TIME, text.trim());
        }
        if (at.isBefore(begun) && at.plus(WITHIN_THE_MINUTE).isAfter(begun)) {
            return begun;
        }
        check(field, at, begun, now);
        return at;
    }

    /** Whether this tells how long ago something was, and so means another moment each time that it is read. */
    public static boolean isAgo(String text) {
        return text.length() <= TypedText.LONGEST_QUANTITY
                && AGO.matcher(text.trim()).matches();
    }

    /** @throws ProblemsException if the moment is before the batch or in the future */
    public static void check(String field, Instant at, Instant begun, Instant now) {
        if (at.isAfter(now.plus(AHEAD))) {
            throw ProblemsException.of(field, ProblemKey.IN_THE_FUTURE, at);
        }
        if (at.isBefore(begun)) {
            throw ProblemsException.of(field, ProblemKey.BEFORE_THE_BATCH, at, begun);
        }
    }

    private static @Nullable Instant moment(String text, Instant begun, Instant now, ZoneId zone) {
        Matcher since = SINCE.matcher(text);
        if (since.matches()) {
            return begun.plusMillis((long) (1000 * number(since.group(1)) * seconds(since.group(2))));
        }
        Matcher ago = AGO.matcher(text);
        if (ago.matches()) {
            return now.minusMillis((long) (1000 * number(ago.group(1)) * seconds(ago.group(2))))
                    .truncatedTo(ChronoUnit.SECONDS);
        }
        Matcher day = DAY.matcher(text);
        if (day.matches()) {
            return onDay(day, begun, zone);
        }
        Matcher date = DATE.matcher(text);
        if (date.matches()) {
            LocalTime time = date.group(2) == null ? LocalTime.NOON : clock(date.group(2));
            return LocalDate.parse(date.group(1)).atTime(time).atZone(zone).toInstant();
        }
        return CLOCK.matcher(text).matches() ? atClock(clock(text), begun, now, zone) : null;
    }

    private static Instant onDay(Matcher day, Instant begun, ZoneId zone) {
        double days = number(day.group(1));
        if (day.group(2) == null) {
            return begun.plusMillis((long) (days * Duration.ofDays(1).toMillis()));
        }
        LocalDate date = LocalDate.ofInstant(begun, zone).plusDays((long) days);
        return date.atTime(clock(day.group(2))).atZone(zone).toInstant();
    }

    /**
     * Today's clock; if that is still to come or the batch was begun on an earlier day, the first such time after its
     * beginning.
     */
    private static Instant atClock(LocalTime time, Instant begun, Instant now, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        LocalDate first = LocalDate.ofInstant(begun, zone);
        LocalDateTime guess = (first.isBefore(today) ? first : today).atTime(time);
        Instant at = guess.atZone(zone).toInstant();
        boolean pastMidnight = at.isBefore(begun) && first.isBefore(today);
        return pastMidnight ? guess.plusDays(1).atZone(zone).toInstant() : at;
    }

    private static LocalTime clock(String text) {
        return LocalTime.parse(text.indexOf(':') == 1 ? "0" + text : text);
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    private static double seconds(String unit) {
        return switch (unit) {
            case "s" -> 1;
            case "h" -> 3600;
            case "d" -> 86_400;
            default -> 60;
        };
    }
}
