package io.causticon.core.model.said.note;

import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A recipe as it stands in a notebook: a line an ingredient, its amount before or behind its name.
 * {@code olive oil 400}, {@code 12 oz lard}, {@code lye 71}, {@code water 150}, {@code superfat 5 %}.
 *
 * @param lines those that say something, in their order
 */
public record RecipeNote(List<NotedLine> lines) {

    /** Lines of a note; nobody's recipe has more. */
    public static final int MOST_LINES = 60;

    private static final String UNIT = "(?:kgs?|kilos?|grams?|gr?|oz|ounces?|lbs?|pounds?|%|per ?cent)";
    private static final String NUMBER = "\\d+(?:[.,]\\d+)?";
    private static final String AMOUNT = NUMBER + "\\s*" + UNIT + "?\\.?(?:\\s*" + NUMBER + "\\s*(?:oz|ounces?)\\.?)?";
    private static final Pattern BEHIND =
            Pattern.compile("^(.*?\\p{L}.*?)[\\s:=,\\u2013-]+(" + AMOUNT + ")$", Pattern.CASE_INSENSITIVE);
    private static final Pattern BEFORE = Pattern.compile(
            "^(" + NUMBER + "\\s*" + UNIT + "\\.?(?:\\s*" + NUMBER + "\\s*(?:oz|ounces?)\\.?)?|" + NUMBER
                    + ")\\s+(?:of\\s+)?(.*\\p{L}.*)$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern BULLET = Pattern.compile("^[-*\\u2022\\u00b7]\\s+");

    private static final Set<String> SODIUM = Set.of("lye", "naoh", "sodium hydroxide", "caustic soda", "caustic");
    private static final Set<String> POTASSIUM = Set.of("koh", "potassium hydroxide", "caustic potash", "potash");
    private static final Set<String> SUPERFAT = Set.of("superfat", "sf", "super fat", "lye discount");
    private static final Set<String> CONCENTRATION = Set.of("lye concentration", "concentration");
    private static final Set<String> TOTAL =
            Set.of("total", "total fats", "total oils", "all fats", "fats", "oils", "together");

    public RecipeNote {
        lines = List.copyOf(lines);
    }

    /**
     * @param text what was typed, at most {@link #MOST_LINES} lines of it
     * @param units what a bare number means
     * @param catalogue the tables, and what the workshop has of its own
     */
    public static RecipeNote read(String text, Units units, Catalogue catalogue) {
        SubstanceNames names = SubstanceNames.of(catalogue);
        return new RecipeNote(text.lines()
                .map(line -> BULLET.matcher(line.strip()).replaceFirst(""))
                .filter(line -> !line.isBlank())
                .limit(MOST_LINES)
                .map(line -> line(line, units, names))
                .toList());
    }

    /** What somebody calls a substance, without how much of it. */
    public static NotedLine named(String called, Catalogue catalogue) {
        return line(called + " 1 g", called, "1 g", Units.METRIC, SubstanceNames.of(catalogue));
    }

    public boolean isUnderstood() {
        return lines.stream().allMatch(l -> l.problem().isEmpty());
    }

    /** Lines of one kind. */
    public List<NotedLine> of(What what) {
        return lines.stream().filter(l -> l.is(what)).toList();
    }

    /** What was weighed of one kind together; empty where nothing was. */
    public Optional<Mass> together(What what) {
        return of(what).stream().flatMap(l -> l.mass().stream()).reduce(Mass::plus);
    }

    /** The last percentage of one kind; empty where there is none. */
    public OptionalDouble percent(What what) {
        return of(what).stream().flatMapToDouble(l -> l.percent().stream()).reduce((earlier, later) -> later);
    }

    private static NotedLine line(String line, Units units, SubstanceNames names) {
        Matcher behind = BEHIND.matcher(line);
        NotedLine read = behind.matches() ? line(line, behind.group(1), behind.group(2), units, names) : null;
        if (read != null && read.problem().isEmpty()) {
            return read;
        }
        Matcher before = BEFORE.matcher(line);
        if (before.matches()) {
            return line(line, before.group(2), before.group(1), units, names);
        }
        return read != null ? read : line(line, line, "", units, names);
    }

    private static NotedLine line(String line, String called, String amount, Units units, SubstanceNames names) {
        String name = called.strip().replaceAll("[:=,]+$", "").strip();
        Optional<What> plain = plain(name.toLowerCase(Locale.ROOT));
        Optional<SubstanceNames.Substance> found = plain.isPresent() ? Optional.empty() : names.find(name);
        Optional<What> what = plain.or(() -> found.map(SubstanceNames.Substance::what));
        if (what.isEmpty()) {
            return told(line, name, amount, ProblemKey.UNKNOWN_SUBSTANCE, name, names.like(name));
        }
        if (amount.isBlank()) {
            return told(
                    line,
                    found.map(SubstanceNames.Substance::name).orElse(name),
                    amount,
                    ProblemKey.NO_AMOUNT,
                    name,
                    List.of());
        }
        try {
            boolean percent = amount.matches("(?i).*(%|per ?cent)\\.?")
                    || what.get() == What.SUPERFAT
                    || what.get() == What.CONCENTRATION;
            return new NotedLine(
                    line,
                    what,
                    found.map(SubstanceNames.Substance::id).orElse(""),
                    found.map(SubstanceNames.Substance::name).orElse(name),
                    percent ? Optional.empty() : Optional.of(MassNotation.read("note", amount, units)),
                    percent
                            ? OptionalDouble.of(
                                    NumberNotation.read("note", amount.replaceAll("(?i)\\s*(%|per ?cent)\\.?$", "")))
                            : OptionalDouble.empty(),
                    amount,
                    Optional.empty(),
                    List.of());
        } catch (ProblemsException e) {
            return new NotedLine(
                    line,
                    Optional.empty(),
                    "",
                    name,
                    Optional.empty(),
                    OptionalDouble.empty(),
                    amount,
                    e.problems().stream().findFirst(),
                    List.of());
        }
    }

    private static Optional<What> plain(String name) {
        return SODIUM.contains(name)
                ? Optional.of(What.SODIUM_HYDROXIDE)
                : POTASSIUM.contains(name)
                        ? Optional.of(What.POTASSIUM_HYDROXIDE)
                        : SUPERFAT.contains(name)
                                ? Optional.of(What.SUPERFAT)
                                : CONCENTRATION.contains(name)
                                        ? Optional.of(What.CONCENTRATION)
                                        : TOTAL.contains(name) ? Optional.of(What.TOTAL) : Optional.empty();
    }

    private static NotedLine told(
            String line, String name, String amount, ProblemKey key, String value, List<String> maybe) {
        return new NotedLine(
                line,
                Optional.empty(),
                "",
                name,
                Optional.empty(),
                OptionalDouble.empty(),
                amount,
                Optional.of(new Problem(key, "note", List.of(value))),
                maybe);
    }
}
