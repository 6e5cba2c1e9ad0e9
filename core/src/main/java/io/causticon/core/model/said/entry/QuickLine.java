package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.said.notation.BrokenNumbers;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Reads the shorthand of the bench: {@code lye 43.5}, {@code light}, {@code blend 20}, {@code ph 9.5 strip},
 * {@code olive 504 g no tare}, {@code day 9 see thick crust}. A moment may stand first, after an {@code @} or as
 * {@code day 9}; several things may stand in a row, parted by semicolons; words that mean nothing else are a note.
 */
public final class QuickLine {

    /** The longest words that an entry holds, with what stands before them. */
    public static final int LONGEST = EntryCheck.LONGEST_WORDS + 100;

    private static final String FIELD = "quick";
    private static final Pattern TIME = Pattern.compile(
            "^(?:@\\s*(?P<at>\\+\\s*[\\d.,]+\\s*(?:s|min|m|h|d)|\\d{4}-\\d{2}-\\d{2}(?:["
                + " T]\\d{1,2}:\\d{2}(?::\\d{2})?)?"
                + "|[\\d.,]+\\s*(?:s|min|m|h|d)\\s+ago|(?:day|d)\\s*[\\d.,]+(?:\\s+\\d{1,2}:\\d{2})?|\\d{1,2}:\\d{2}(?::\\d{2})?)"
                + "|(?P<day>day\\s*[\\d.,]+(?:\\s+\\d{1,2}:\\d{2})?))\\s*[,:]?\\s+",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern BURNING = Pattern.compile(
            "\\b(?:burn\\w*|sting\\w*|stung|zap\\w*|tingl\\w*|smart(?:s|ed|ing)|blister\\w*|itch\\w*|raw skin|sore"
                    + " hands)\\b",
            Pattern.CASE_INSENSITIVE);
    /** A number behind everything else is part of something that was not understood, and no words. */
    private static final Pattern ANOTHER_NUMBER = Pattern.compile("[-+]?\\d[\\d.,/ ]*");

    private static final Pattern JUST = Pattern.compile("^" + WordKinds.JUST_A_NOTE, Pattern.CASE_INSENSITIVE);

    private static final List<Way> WAYS = EntryKinds.ways().toList();

    private QuickLine() {}

    /**
     * How a line was understood.
     *
     * @param entries what it says, in order; empty if there are problems
     * @param at when, if the line said so
     * @param problems what cannot be taken
     */
    public record Reading(List<Entry> entries, Optional<Instant> at, List<Problem> problems) {

        static final Reading NOTHING = new Reading(List.of(), Optional.empty(), List.of());
    }

    /**
     * Which bars a field of their own names: "3", "2, 5 and 8", "3 bars", "cream bar 3".
     *
     * @param field at which a problem stands
     * @return null when nothing is typed
     * @throws ProblemsException if it names none
     */
    public static @Nullable Bars bars(String field, String typed, QuickContext context) {
        String text = typed.strip();
        if (text.isEmpty() || BarsSaid.alone(text).isPresent()) {
            return bars(field, typed);
        }
        BarsSaid.Said said = BarsSaid.read(text, context);
        BarsSaid.Said of = said.bars() == null ? BarsSaid.read("of " + text, context) : said;
        if (of.bars() == null || !of.rest().isBlank()) {
            throw ProblemsException.of(field, ProblemKey.NOT_BARS, text);
        }
        return of.bars();
    }

    /** The same where no portion is known. */
    public static @Nullable Bars bars(String field, String typed) {
        if (typed.isBlank()) {
            return null;
        }
        return BarsSaid.alone(typed).orElseThrow(() -> ProblemsException.of(field, ProblemKey.NOT_BARS, typed.strip()));
    }

    public static Reading read(String text, QuickContext context) {
        Problems problems = new Problems();
        if (text.length() > LONGEST) {
            problems.add(FIELD, ProblemKey.TOO_LONG, text.length(), LONGEST);
            return new Reading(List.of(), Optional.empty(), problems.all());
        }
        if (text.isBlank()) {
            problems.add(FIELD, ProblemKey.MISSING);
            return new Reading(List.of(), Optional.empty(), problems.all());
        }
        Optional<Instant> at = Optional.empty();
        String rest = text.trim();
        Matcher time = TIME.matcher(rest + " ");
        if (time.find()) {
            String said = time.group("at") == null ? time.group("day") : time.group("at");
            rest = rest.substring(Math.min(time.end(), rest.length())).trim();
            try {
                at = Optional.of(TimeNotation.read(FIELD, said, context.begun(), context.now(), context.zone()));
            } catch (ProblemsException e) {
                problems.addAll(e.problems());
            }
        }
        List<Entry> entries = new ArrayList<>();
        for (String part : Quotes.parts(rest)) {
            if (!part.isBlank()) {
                readPart(part.trim(), context, entries, problems);
            }
        }
        if (entries.isEmpty() && problems.isEmpty()) {
            problems.add(FIELD, ProblemKey.MISSING);
        }
        return new Reading(problems.isEmpty() ? entries : List.of(), at, problems.all());
    }

    /** The same line with all of it but its time kept as words; empty where it says several things. */
    public static Optional<String> asWords(String text) {
        if (Quotes.parts(text).size() > 1) {
            return Optional.empty();
        }
        String line = text.trim();
        int words = afterTheTime(line);
        return Optional.of(line.substring(0, words) + "note " + line.substring(words));
    }

    /**
     * What a line that was not understood may have been meant to tell of the soap; nothing where it says several
     * things, or nothing like it.
     */
    public static List<Suggestion> suggestions(String text) {
        if (text.length() > LONGEST || Quotes.parts(text).size() > 1) {
            return List.of();
        }
        String line = text.trim();
        int words = afterTheTime(line);
        return Sightings.suggestions(line.substring(words)).stream()
                .map(s -> new Suggestion(s.words(), line.substring(0, words) + s.line()))
                .toList();
    }

    private static int afterTheTime(String line) {
        Matcher time = TIME.matcher(line + " ");
        return time.find() ? Math.min(time.end(), line.length()) : 0;
    }

    private static void readPart(String typed, QuickContext context, List<Entry> entries, Problems problems) {
        String part = BrokenNumbers.spelled(typed);
        try {
            for (Way way : WAYS) {
                // A half is spelled out to be counted; words are kept as they were typed.
                Optional<Way.Match> match = way.match(part, context)
                        .map(m -> m.entry() instanceof Entry.Noted && !part.equals(typed)
                                ? way.match(typed, context).orElse(m)
                                : m);
                if (match.isPresent()) {
                    entries.add(match.get().entry());
                    String rest = match.get().rest().trim();
                    if (!rest.isEmpty() && context.findings().containsKey(part.toLowerCase(Locale.ROOT))) {
                        // A thick crust is no thick trace.
                        throw notUnderstood(part, context);
                    }
                    if (rest.startsWith("%") || ANOTHER_NUMBER.matcher(rest).matches()) {
                        // Five per cent of something is no five grams of it, and "lye 43 1/2" is not 43.
                        throw notUnderstood(part, context);
                    }
                    askWhetherAnother(rest, context);
                    boolean asWords = JUST.matcher(part).find();
                    if (match.get().entry() instanceof Entry.Noted note && !asWords) {
                        ask(note.text());
                    }
                    if (!rest.isEmpty()) {
                        entries.add(noted(rest));
                    }
                    return;
                }
            }
            entries.add(ofPortion(part, context).orElseThrow(() -> notUnderstood(part, context)));
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
        }
    }

    /** A test with the portion in front of it, as in "goat lather 4" or "cream bar 83.2 g"; empty for anything else. */
    private static Optional<Entry> ofPortion(String part, QuickContext context) {
        int space = part.indexOf(' ');
        while (space > 0) {
            Optional<Named> portion = context.portion(part.substring(0, space));
            if (portion.isPresent()) {
                String moved = part.substring(space).trim() + " of "
                        + Quotes.around(portion.get().name());
                return WAYS.stream()
                        .flatMap(way -> way.match(moved, context).stream())
                        .filter(m -> EntryKinds.of(m.entry()).tells() == Tells.TESTS
                                && m.rest().isBlank())
                        .map(Way.Match::entry)
                        .findFirst();
            }
            space = part.indexOf(' ', space + 1);
        }
        return Optional.empty();
    }

    /** What nobody said is meant as words is asked about, with what it may have been. */
    private static ProblemsException notUnderstood(String part, QuickContext context) {
        ask(part);
        List<String> maybe = Stream.of("add ", "weigh ", "see ")
                .map(word -> word + part)
                .filter(line -> isKnown(line, context))
                .toList();
        return maybe.isEmpty()
                ? ProblemsException.of(FIELD, ProblemKey.NOT_UNDERSTOOD, part)
                : ProblemsException.of(FIELD, ProblemKey.NOT_UNDERSTOOD_MAYBE, part, String.join(", ", maybe));
    }

    private static boolean isKnown(String line, QuickContext context) {
        try {
            return WAYS.stream()
                    .anyMatch(p -> p.match(line, context)
                            .filter(m -> !(m.entry() instanceof Entry.Noted))
                            .filter(m -> !(m.entry() instanceof Entry.Added added)
                                    || context.names()
                                            .plannedAdditive(added.what().name())
                                            .isPresent())
                            .isPresent());
        } catch (ProblemsException e) {
            return false;
        }
    }

    /** Two things in one line, with nothing between them: the second is not kept as mere words. */
    private static void askWhetherAnother(String rest, QuickContext context) {
        String second = rest.replaceFirst("^(?:and\\b|[,.+&])\\s*", "");
        for (Way way : WAYS) {
            Optional<Way.Match> match = second.isEmpty() ? Optional.empty() : way.match(second, context);
            if (match.isPresent()
                    && !(match.get().entry() instanceof Entry.Noted)
                    && (match.get().rest().isBlank()
                            || second.substring(
                                            0,
                                            second.length() - match.get().rest().length())
                                    .matches(".*\\d.*"))) {
                throw ProblemsException.of(FIELD, ProblemKey.TWO_THINGS, second);
            }
        }
    }

    private static Entry noted(String words) {
        ask(words);
        return new Entry.Noted(words);
    }

    /** @throws ProblemsException if words that are about to be kept as words may be a sign of a hazard */
    private static void ask(String words) {
        if (speaksOfBurning(words)) {
            throw ProblemsException.of(FIELD, ProblemKey.SPEAKS_OF_BURNING);
        }
    }

    /** Whether words speak of burning, stinging or zapping: then they are asked about, never filed. */
    public static boolean speaksOfBurning(String words) {
        return BURNING.matcher(words).find();
    }
}
