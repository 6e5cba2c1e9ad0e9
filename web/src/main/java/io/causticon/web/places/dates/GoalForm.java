package io.causticon.web.places.dates;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.workshop.dates.ReadyBy;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.DateTimeParseException;
import java.time.format.ResolverStyle;
import java.time.temporal.ChronoField;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What is typed of a goal: so many bars of a recipe, ready by a day. */
record GoalForm(
        @Nullable String bars,
        @Nullable String by,
        @Nullable String recipe,
        @Nullable String hours) {

    private static final int MOST_BARS = 5000;
    private static final double MOST_HOURS = 16;
    private static final double USUAL_HOURS = 4;

    /** Nobody plans soap for later. */
    private static final int MOST_YEARS = 5;

    GoalForm {
        bars = bars == null ? "" : bars.trim();
        by = by == null ? "" : by.trim();
        recipe = recipe == null ? "" : recipe.trim();
        hours = hours == null ? "" : hours.trim();
    }

    boolean isEmpty() {
        return bars.isEmpty() && by.isEmpty() && recipe.isEmpty();
    }

    /** Reads what can be; what cannot be is told. */
    Optional<ReadyBy.Goal> read(LocalDate today, Problems problems) {
        int wanted = count(problems);
        LocalDate day = day(today, problems);
        double bench = bench(problems);
        return problems.isEmpty() ? Optional.of(new ReadyBy.Goal(wanted, day, today, bench)) : Optional.empty();
    }

    Optional<UUID> recipeId() {
        try {
            return Optional.of(UUID.fromString(recipe));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private int count(Problems problems) {
        if (bars.isEmpty()) {
            problems.add("bars", ProblemKey.MISSING);
        } else if (!bars.matches("\\d{1,6}")) {
            problems.add("bars", ProblemKey.NOT_A_NUMBER, bars);
        } else if (Integer.parseInt(bars) < 1) {
            problems.add("bars", ProblemKey.TOO_LOW, "bars", 0, 1);
        } else if (Integer.parseInt(bars) > MOST_BARS) {
            problems.add("bars", ProblemKey.TOO_HIGH, "bars", Integer.parseInt(bars), MOST_BARS);
        } else {
            return Integer.parseInt(bars);
        }
        return 1;
    }

    private LocalDate day(LocalDate today, Problems problems) {
        if (by.isEmpty()) {
            problems.add("by", ProblemKey.MISSING);
            return today;
        }
        Optional<LocalDate> read = day(by, today);
        if (read.isEmpty() || read.get().isAfter(today.plusYears(MOST_YEARS))) {
            problems.add("by", ProblemKey.NOT_A_DAY, by);
        } else if (read.get().isBefore(today)) {
            problems.add("by", ProblemKey.DAY_IS_OVER, by);
        }
        return read.orElse(today);
    }

    /** "2026-12-12", "12 December", "12 Dec 2026", "Dec 12": without a year the next one. */
    static Optional<LocalDate> day(String typed, LocalDate today) {
        for (String pattern : List.of(
                "d MMM",
                "d MMMM",
                "MMM d",
                "MMMM d",
                "uuuu-M-d",
                "d MMM uuuu",
                "d MMMM uuuu",
                "MMM d uuuu",
                "MMMM d uuuu",
                "d.M.uuuu")) {
            DateTimeFormatterBuilder builder =
                    new DateTimeFormatterBuilder().parseCaseInsensitive().appendPattern(pattern);
            boolean year = pattern.contains("u");
            DateTimeFormatter format = (year ? builder : builder.parseDefaulting(ChronoField.YEAR, today.getYear()))
                    .toFormatter(Locale.ENGLISH)
                    .withResolverStyle(ResolverStyle.STRICT);
            try {
                LocalDate day = LocalDate.parse(typed.replace(",", " ").replaceAll("\\s+", " "), format);
                return Optional.of(!year && day.isBefore(today) ? day.plusYears(1) : day);
            } catch (DateTimeParseException e) {
                // The next way to write it.
            }
        }
        return Optional.empty();
    }

    private double bench(Problems problems) {
        if (hours.isEmpty()) {
            return USUAL_HOURS;
        }
        if (!hours.matches("\\d{1,3}([.,]\\d{1,2})?")) {
            problems.add("hours", ProblemKey.NOT_A_NUMBER, hours);
            return USUAL_HOURS;
        }
        double read = Double.parseDouble(hours.replace(',', '.'));
        if (read <= 0 || read > MOST_HOURS) {
            problems.add(
                    "hours",
                    read <= 0 ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    "hours at the bench",
                    read,
                    read <= 0 ? 0 : MOST_HOURS);
        }
        return read;
    }
}
