package io.causticon.core.model.said.intake;

import io.causticon.core.model.log.MeasurementPoint;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Guesses how a table of an instrument is to be read from its first lines: where its columns are named, which tell time
 * and temperature, in which shape and scale. What cannot be told from the table alone, as a day and a month under
 * thirteen, is told by what is known of the batch: the shape that lies in its days is taken first. A guess is shown and
 * can be corrected.
 */
public final class LoggerGuess {

    /** Delimiters that instruments use. */
    public static final List<Character> DELIMITERS = List.of(',', ';', '\t', '|');

    private static final int LOOKED_AT = 40;

    /** More than this in a workshop's soap is Fahrenheit, or not soap. */
    private static final double HOTTER_THAN_CELSIUS = 125;

    private static final double KELVIN_FROM = 250;
    private static final int STEADY = 3;

    private static final Map<MeasurementPoint, List<String>> SPOTS = Map.of(
            MeasurementPoint.CORE, List.of("core", "loaf", "mould", "mold", "kern", "middle", "centre", "center"),
            MeasurementPoint.ROOM, List.of("room", "air", "ambient", "raum", "umgebung", "luft"),
            MeasurementPoint.LYE, List.of("lye", "lauge", "naoh"),
            MeasurementPoint.FATS, List.of("fat", "oil", "fett", "\u00f6l"),
            MeasurementPoint.BATTER, List.of("batter", "pot", "leim", "topf"));

    private static final List<String> TEMPERATURE = List.of(
            "temp",
            "\u00b0c",
            "\u00b0f",
            "celsius",
            "fahrenheit",
            "probe",
            "sensor",
            "f\u00fchler",
            "channel",
            "kanal");

    private static final List<String> TIME =
            List.of("time", "date", "zeit", "datum", "stamp", "elapsed", "moment", "heure", "hora", "fecha");
    private static final List<String> OTHER =
            List.of("humid", "feucht", "rh", "batt", "volt", "dew", "tau", "count", "nr", "no.", "#", "index");

    private LoggerGuess() {}

    /** What is known of the batch that the table is of. */
    public record Known(Instant begun, Instant now, ZoneId zone, boolean fahrenheit) {}

    /**
     * How the lines are divided.
     *
     * @param cut divides a line into cells at a delimiter
     */
    public static char delimiter(List<String> lines, Function<Character, List<List<String>>> cut) {
        return DELIMITERS.stream()
                .max(Comparator.comparingInt(d -> steadiness(cut.apply(d))))
                .filter(d -> steadiness(cut.apply(d)) > 0)
                .orElse(lines.stream().anyMatch(l -> l.indexOf(';') >= 0) ? ';' : ',');
    }

    /** How many of the last lines have as many cells as the last, of two or more. */
    private static int steadiness(List<List<String>> rows) {
        if (rows.isEmpty()) {
            return 0;
        }
        int width = rows.get(rows.size() - 1).size();
        int same = 0;
        for (int i = rows.size() - 1; i >= 0 && rows.get(i).size() == width; i--) {
            same++;
        }
        return width < 2 ? 0 : same * 10 + Math.min(width, 9);
    }

    /**
     * Guesses.
     *
     * @param rows the first lines, divided; all that is before them is there
     * @return empty where no column can be a time beside one that can be a temperature
     */
    public static Optional<LoggerShape> of(char delimiter, List<List<String>> rows, Known known) {
        int first = firstOfData(rows, known);
        if (first < 0) {
            return Optional.empty();
        }
        List<List<String>> data = rows.subList(first, Math.min(rows.size(), first + LOOKED_AT));
        int heading = first > 0 && rows.get(first - 1).size() >= 2 ? first - 1 : -1;
        List<String> names = heading < 0
                ? List.of()
                : rows.get(heading).stream()
                        .map(n -> n.toLowerCase(Locale.ROOT))
                        .toList();
        Optional<Moment> moment = moment(data, names, known);
        if (moment.isEmpty()) {
            return Optional.empty();
        }
        Set<Integer> taken =
                new HashSet<>(List.of(moment.get().time(), moment.get().clock()));
        return value(data, names, taken)
                .map(v -> new LoggerShape(
                        delimiter,
                        heading,
                        moment.get().time(),
                        moment.get().clock(),
                        moment.get().shape(),
                        known.zone(),
                        known.begun(),
                        v,
                        scale(data, names, v, known),
                        spot(names, v)));
    }

    /** The first line from which on the lines look alike: a moment and a number in each. */
    private static int firstOfData(List<List<String>> rows, Known known) {
        for (int i = 0; i < rows.size(); i++) {
            if (IntStream.range(i, Math.min(rows.size(), i + STEADY)).allMatch(r -> isData(rows.get(r), known))) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isData(List<String> row, Known known) {
        long numbers = row.stream().filter(c -> Decimals.read(c).isPresent()).count();
        boolean moment = row.stream()
                .anyMatch(c -> TimeShape.isDay(c)
                        || shapes(List.of(c), known).stream()
                                .anyMatch(s -> !s.isSinceBeginning() || s == TimeShape.CLOCK));
        return moment && numbers >= 1 || numbers >= 2;
    }

    private record Moment(int time, int clock, TimeShape shape) {}

    private static Optional<Moment> moment(List<List<String>> data, List<String> names, Known known) {
        List<Moment> found = new ArrayList<>();
        int width = data.stream().mapToInt(List::size).max().orElse(0);
        for (int c = 0; c < width; c++) {
            List<String> cells = column(data, c);
            if (cells.stream().allMatch(TimeShape::isDay)
                    && c + 1 < width
                    && column(data, c + 1).stream().allMatch(TimeShape::isTimeOfDay)) {
                int day = c;
                List<String> both = data.stream()
                        .map(r -> at(r, day) + " " + at(r, day + 1))
                        .toList();
                likeliest(shapes(both, known), both, known).ifPresent(s -> found.add(new Moment(day, day + 1, s)));
            } else {
                int time = c;
                boolean other = isNamed(names, c, OTHER);
                likeliest(shapes(cells, known), cells, known)
                        .filter(s -> !s.isSinceBeginning() || s == TimeShape.CLOCK || !other && rises(cells))
                        .ifPresent(s -> found.add(new Moment(time, -1, named(s, names, time))));
            }
        }
        return found.stream()
                .min(Comparator.comparing((Moment m) -> m.shape().isSinceBeginning())
                        .thenComparing(m -> !isNamed(names, m.time(), TIME)));
    }

    /** Shapes that all cells can have. */
    private static List<TimeShape> shapes(List<String> cells, Known known) {
        return List.of(TimeShape.values()).stream()
                .filter(s -> !cells.isEmpty()
                        && cells.stream()
                                .allMatch(c ->
                                        s.read(c, known.zone(), known.begun()).isPresent()))
                .toList();
    }

    /** The one that lies in the days of the batch, or nearest to them. */
    private static Optional<TimeShape> likeliest(List<TimeShape> shapes, List<String> cells, Known known) {
        return shapes.stream()
                .min(Comparator.<TimeShape, Boolean>comparing(TimeShape::isSinceBeginning)
                        .thenComparing(s -> away(
                                s.read(cells.get(0), known.zone(), known.begun())
                                        .orElseThrow(),
                                known)));
    }

    private static Duration away(Instant at, Known known) {
        return at.isBefore(known.begun())
                ? Duration.between(at, known.begun())
                : at.isAfter(known.now()) ? Duration.between(known.now(), at) : Duration.ZERO;
    }

    /** Numbers that count from a beginning: what they count is in the heading. */
    private static TimeShape named(TimeShape shape, List<String> names, int column) {
        if (!shape.isSinceBeginning() || shape == TimeShape.CLOCK) {
            return shape;
        }
        String name = column < names.size() ? names.get(column) : "";
        if (name.matches(".*(\\bmin|minute).*")) {
            return TimeShape.MINUTES;
        }
        return name.matches(".*(\\bh\\b|hour|stunde|\\bstd).*") ? TimeShape.HOURS : TimeShape.SECONDS;
    }

    private static boolean rises(List<String> cells) {
        double before = Double.NEGATIVE_INFINITY;
        for (String cell : cells) {
            OptionalDouble now = Decimals.read(cell);
            if (now.isEmpty() || now.getAsDouble() <= before) {
                return false;
            }
            before = now.getAsDouble();
        }
        return cells.size() >= STEADY;
    }

    private static Optional<Integer> value(List<List<String>> data, List<String> names, Set<Integer> taken) {
        int width = data.stream().mapToInt(List::size).max().orElse(0);
        return IntStream.range(0, width)
                .boxed()
                .filter(c -> !taken.contains(c))
                .filter(c -> column(data, c).stream()
                                        .filter(v -> Decimals.read(v).isPresent())
                                        .count()
                                * 2
                        > data.size())
                .min(Comparator.comparing((Integer c) -> !isNamed(names, c, TEMPERATURE))
                        .thenComparing(c -> spotNamed(names, c) == null)
                        .thenComparing(c -> isNamed(names, c, OTHER))
                        .thenComparing(c -> c));
    }

    private static LoggerShape.Scale scale(List<List<String>> data, List<String> names, int column, Known known) {
        String name = column < names.size() ? names.get(column) : "";
        List<String> cells = column(data, column);
        Set<String> units = new HashSet<>(
                cells.stream().map(Decimals::unit).filter(u -> !u.isEmpty()).toList());
        if (units.contains("F") || name.matches(".*(\u00b0 ?f|fahrenheit|\\(f\\)|deg ?f|_f\\b|\\bf$).*")) {
            return LoggerShape.Scale.FAHRENHEIT;
        }
        if (units.contains("C") || name.matches(".*(\u00b0 ?c|celsius|\\(c\\)|deg ?c|_c\\b|\\bc$).*")) {
            return LoggerShape.Scale.CELSIUS;
        }
        double hottest = cells.stream()
                .map(Decimals::read)
                .filter(OptionalDouble::isPresent)
                .mapToDouble(OptionalDouble::getAsDouble)
                .max()
                .orElse(0);
        if (units.contains("K") || hottest > KELVIN_FROM) {
            return LoggerShape.Scale.KELVIN;
        }
        return hottest > HOTTER_THAN_CELSIUS || known.fahrenheit()
                ? LoggerShape.Scale.FAHRENHEIT
                : LoggerShape.Scale.CELSIUS;
    }

    private static MeasurementPoint spot(List<String> names, int column) {
        MeasurementPoint named = spotNamed(names, column);
        return named == null ? MeasurementPoint.CORE : named;
    }

    private static @Nullable MeasurementPoint spotNamed(List<String> names, int column) {
        return List.of(
                        MeasurementPoint.CORE,
                        MeasurementPoint.ROOM,
                        MeasurementPoint.LYE,
                        MeasurementPoint.BATTER,
                        MeasurementPoint.FATS)
                .stream()
                .filter(s -> isNamed(names, column, SPOTS.getOrDefault(s, List.of())))
                .findFirst()
                .orElse(null);
    }

    private static boolean isNamed(List<String> names, int column, List<String> words) {
        return column >= 0 && column < names.size() && words.stream().anyMatch(names.get(column)::contains);
    }

    private static List<String> column(List<List<String>> rows, int column) {
        return rows.stream().map(r -> at(r, column)).toList();
    }

    private static String at(List<String> row, int column) {
        return column < row.size() ? row.get(column) : "";
    }
}
