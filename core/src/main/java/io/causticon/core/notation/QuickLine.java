package io.causticon.core.notation;

import io.causticon.core.observation.Entry;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads the shorthand of the bench: {@code lye 43.5}, {@code light}, {@code blend 20}, {@code ph 9.5 strip}, {@code olive 504 g no tare}, {@code day 9 see thick crust}.
 * A moment may stand first, after an {@code @} or as {@code day 9}; several things may stand in a row, parted by semicolons; words that mean
 * nothing else are a note.
 */
public final class QuickLine {

    public static final int LONGEST = 500;

    private static final String FIELD = "quick";
    private static final Pattern TIME = Pattern.compile(
            "^(?:@\\s*(?<at>\\+\\s*[\\d.,]+\\s*(?:s|min|m|h|d)|\\d{4}-\\d{2}-\\d{2}(?:[ T]\\d{1,2}:\\d{2}(?::\\d{2})?)?"
                    + "|[\\d.,]+\\s*(?:s|min|m|h|d)\\s+ago|(?:day|d)\\s*[\\d.,]+(?:\\s+\\d{1,2}:\\d{2})?|\\d{1,2}:\\d{2}(?::\\d{2})?)"
                    + "|(?<day>day\\s*[\\d.,]+(?:\\s+\\d{1,2}:\\d{2})?))\\s*[,:]?\\s+",
            Pattern.CASE_INSENSITIVE);

    private QuickLine() {}

    /**
     * How a line was understood.
     *
     * @param entries what it says, in order; empty if there are problems
     * @param at when, if the line said so
     * @param problems what cannot be taken
     */
    public record Reading(
            List<Entry> entries, Optional<Instant> at, List<Problem> problems) {}

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
        for (String part : rest.split(";")) {
            if (!part.isBlank()) {
                readPart(part.trim(), context, entries, problems);
            }
        }
        if (entries.isEmpty() && problems.isEmpty()) {
            problems.add(FIELD, ProblemKey.MISSING);
        }
        return new Reading(problems.isEmpty() ? entries : List.of(), at, problems.all());
    }

    private static void readPart(String part, QuickContext context, List<Entry> entries, Problems problems) {
        try {
            for (Phrase phrase : Phrases.ALL) {
                Optional<Phrase.Match> match = phrase.match(part, context);
                if (match.isPresent()) {
                    entries.add(match.get().entry());
                    String rest = match.get().rest().trim();
                    if (!rest.isEmpty()) {
                        entries.add(new Entry.Noted(rest));
                    }
                    return;
                }
            }
            entries.add(new Entry.Noted(part));
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
        }
    }
}
