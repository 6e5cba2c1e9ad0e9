package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Named;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Which bars are meant by "bar 3", "bars 2, 5 and 8", "3 bars", "the cream bar" or "bar 3 of cream", after what was
 * seen on them.
 */
final class BarsSaid {

    private static final Pattern NUMBERED = Pattern.compile(
            "^\\s*,?\\s*(?:(?:on|with|of|in|from)\\s+)?bars?\\s+(?:no\\.?\\s*|#\\s*)?(\\d{1,5}(?:\\s*(?:-|,|to\\b|and\\b|&|\\+)\\s*\\d{1,5})*)(?:$|[\\s,.;:])",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern COUNTED = Pattern.compile(
            "^\\s*,?\\s*(?:(?:on|with|of|in|from)\\s+)?(?:(\\d{1,5})|(one|two|three|four|five|six))\\s+(?:other\\s+)?bars?(?:$|[\\s,.;:])",
            Pattern.CASE_INSENSITIVE);
    /** Not "in the pot": only names that this batch knows are portions. */
    private static final Pattern PORTION_FIRST = Pattern.compile(
            "^\\s*,?\\s*(?:on|with|of|in|from)\\s+(?:the\\s+)?(" + Quotes.QUOTED
                    + "|[\\p{L}\\p{N}'"
                    + " ()-]+?)(?:\\s+(bar|cup|layer|soap|portion)s?)?(?:\\s+(\\d{1,4}))?(?:$|[,.;:]|\\s+(?:near|at|in|on|today|again|to|for|because)\\b)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern PORTION_AFTER = Pattern.compile(
            "^\\s*(?:of|from)\\s+(?:the\\s+)?(" + Quotes.QUOTED
                    + "|[\\p{L}\\p{N}'"
                    + " ()-]+?)(?:\\s+(?:bar|cup|layer|soap|portion)s?)?(?:$|[,.;:]|\\s+(?:to|for|at|because)\\b)",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern CONTINUES =
            Pattern.compile("^\\s*(?::|(?:of|from|to|for|because)\\b)", Pattern.CASE_INSENSITIVE);
    private static final List<String> WORDS = List.of("one", "two", "three", "four", "five", "six");
    private static final Pattern PART = Pattern.compile("(\\d+)(?:\\s*(?:-|to)\\s*(\\d+))?", Pattern.CASE_INSENSITIVE);

    /** What was said, and the words after it. */
    record Said(@Nullable Bars bars, String rest) {}

    private BarsSaid() {}

    /** Reads from the start; without bars all of it is rest. */
    static Said read(String text, QuickContext context) {
        Said said = read(text);
        if (said.bars() == null) {
            Matcher first = PORTION_FIRST.matcher(text);
            if (first.find()) {
                Optional<Named> portion = context.portion(Quotes.taken(first.group(1)));
                if (portion.isPresent()) {
                    int end = Math.max(first.end(1), Math.max(first.end(2), first.end(3)));
                    Bars bars = first.group(3) == null
                            ? Bars.some(1)
                            : sound(Bars.numbered(Integer.valueOf(first.group(3))));
                    // What stands after "bar" or "bars" is no part of it.
                    int plural = first.group(3) == null && end < text.length() && text.charAt(end) == 's' ? 1 : 0;
                    return new Said(bars.of(portion.get()), text.substring(end + plural));
                }
            }
            return said;
        }
        Matcher after = PORTION_AFTER.matcher(said.rest());
        if (after.find()) {
            Optional<Named> portion = context.portion(Quotes.taken(after.group(1)));
            if (portion.isPresent()) {
                return new Said(said.bars().of(portion.get()), said.rest().substring(after.end(1)));
            }
        }
        return said;
    }

    private static Said read(String text) {
        Matcher numbered = NUMBERED.matcher(text);
        if (numbered.find()) {
            String list = numbered.group(1);
            String rest = text.substring(numbered.end(1));
            if (list.contains(",")
                    && !rest.isBlank()
                    && !CONTINUES.matcher(rest).find()) {
                // "bar 3, 15 min later" is one bar.
                list = list.substring(0, list.indexOf(','));
            }
            return new Said(numbered(list), text.substring(numbered.start(1) + list.length()));
        }
        Matcher counted = COUNTED.matcher(text);
        if (counted.find()) {
            int count = counted.group(1) != null
                    ? Integer.parseInt(counted.group(1))
                    : 1 + WORDS.indexOf(Patterns.lower(counted.group(2)));
            int end = counted.end() > 0 && text.charAt(counted.end() - 1) == ':' ? counted.end() - 1 : counted.end();
            return new Said(sound(Bars.some(count)), text.substring(end));
        }
        return new Said(null, text);
    }

    /** What a field for bars alone holds: "3", "2, 5 and 8", "3 bars"; empty for none or for what is none. */
    static Optional<Bars> alone(String text) {
        String typed = text.trim();
        Said said = read(
                Character.isDigit(typed.isEmpty() ? ' ' : typed.charAt(0))
                                && !Patterns.lower(typed).contains("bar")
                        ? "bars " + typed
                        : typed);
        return said.rest().isBlank() ? Optional.ofNullable(said.bars()) : Optional.empty();
    }

    private static Bars numbered(String list) {
        TreeSet<Integer> numbers = new TreeSet<>();
        Matcher part = PART.matcher(list);
        while (part.find()) {
            int from = Integer.parseInt(part.group(1));
            int to = part.group(2) == null ? from : Integer.parseInt(part.group(2));
            sound(Bars.numbered(from, to));
            for (int n = Math.min(from, to); n <= Math.max(from, to); n++) {
                numbers.add(n);
            }
        }
        return Bars.numbered(numbers.toArray(Integer[]::new));
    }

    private static Bars sound(Bars bars) {
        // An entry that carries them tells what cannot be.
        EntryCheck.of(bars).throwIfAny();
        return bars;
    }

    /** How it is typed, with a space before it; nothing when there is none. */
    static String typed(@Nullable Bars bars, Pen pen) {
        return bars == null ? "" : said(bars) + pen.name(" of ", bars.portion());
    }

    private static String said(Bars bars) {
        String list = bars.numbers().stream().map(String::valueOf).collect(Collectors.joining(", "));
        return list.isEmpty()
                ? " on " + bars.count() + (bars.count() == 1 ? " bar" : " bars")
                : (bars.count() == 1 ? " on bar " : " on bars ") + list;
    }

    /** With a space before it: " 6 bars", " bars 2, 5 of cream". */
    static String plain(Bars bars) {
        return said(bars).replaceFirst("^ on", "")
                + (bars.portion() == null ? "" : " of " + bars.portion().name());
    }

    /** A phrase with the bars after it. */
    static Phrase after(Phrase phrase, @Nullable Bars bars) {
        return bars == null
                ? phrase
                : Phrase.of(
                        "{}{}{}",
                        phrase,
                        said(bars),
                        bars.portion() == null ? "" : " of " + bars.portion().name());
    }
}
