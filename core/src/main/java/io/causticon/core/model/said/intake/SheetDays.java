package io.causticon.core.model.said.intake;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.ResolverStyle;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Days in a column of somebody's own table: in figures, in which a day and a month may be taken for one another, or
 * with the month in words, English or German.
 */
public final class SheetDays {

    /** How days in figures can stand. */
    public static final List<TimeShape> SHAPES =
            List.of(TimeShape.ISO, TimeShape.YEAR_FIRST, TimeShape.DAY_FIRST, TimeShape.MONTH_FIRST);

    private static final List<DateTimeFormatter> IN_WORDS = Stream.of(Locale.ENGLISH, Locale.GERMAN)
            .flatMap(l -> Stream.of(
                            "d[.] MMMM uuuu",
                            "d[.] MMM uuuu",
                            "d-MMM-uuuu",
                            "MMMM d[,] uuuu",
                            "MMM d[,] uuuu",
                            "d-MMM-uu",
                            "d MMM uu")
                    .map(p -> words(p, l)))
            .toList();

    private SheetDays() {}

    private static DateTimeFormatter words(String pattern, Locale locale) {
        return new DateTimeFormatterBuilder()
                .parseCaseInsensitive()
                .appendPattern(pattern)
                .toFormatter(locale)
                .withResolverStyle(ResolverStyle.STRICT);
    }

    /**
     * How the days of a column can be read, all of them.
     *
     * @param cells empty ones are left out
     * @return more than one where a day may be taken for a month and it makes a difference; none where no shape reads
     *     all of them
     */
    public static List<TimeShape> shapes(List<String> cells) {
        List<String> said =
                cells.stream().map(String::strip).filter(c -> !c.isEmpty()).toList();
        List<TimeShape> all = SHAPES.stream()
                .filter(s -> said.stream().allMatch(c -> read(c, s).isPresent()))
                .toList();
        // Where all come to the same days, the first will do.
        boolean same = all.stream()
                        .map(s -> said.stream().map(c -> read(c, s)).toList())
                        .distinct()
                        .count()
                <= 1;
        return same ? all.stream().limit(1).toList() : all;
    }

    /** The day of a cell, whatever time of day stands behind it; empty where it is none of this shape. */
    public static Optional<LocalDate> read(String cell, TimeShape shape) {
        String text = cell.strip().replaceAll("\\s+", " ");
        Optional<LocalDate> named =
                IN_WORDS.stream().flatMap(f -> parsed(text, f).stream()).findFirst();
        return named.or(() -> shape.read(
                                text + " 12:00",
                                ZoneOffset.UTC,
                                LocalDate.EPOCH.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC))
                        .map(i -> LocalDate.ofInstant(i, ZoneOffset.UTC)))
                .or(() -> shape.read(
                                text,
                                ZoneOffset.UTC,
                                LocalDate.EPOCH.atTime(LocalTime.NOON).toInstant(ZoneOffset.UTC))
                        .map(i -> LocalDate.ofInstant(i, ZoneOffset.UTC)));
    }

    private static Optional<LocalDate> parsed(String text, DateTimeFormatter format) {
        try {
            return Optional.of(LocalDate.parse(text, format));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }
}
