package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.Comparator;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What phrases are put together from. */
final class Patterns {

    /** Every problem of a quick line stands at this field. */
    static final String FIELD = "quick";

    /** What a fine scale shows at all. */
    private static final Mass LIGHTEST = Mass.grams(0.01);

    static final String NUMBER = "([-+]?\\d+(?:[.,]\\d+)*)";
    static final String DEGREES = "([-+]?\\d+(?:[.,]\\d+)?\\s*(?:\u00b0\\s*)?(?:[cf]\\b)?)";

    /** {@code 3/4}. */
    static final String FRACTION = "\\d{1,2}/\\d{1,2}";

    /** {@code 8}, {@code 8.5}, {@code 8 1/2}, {@code 8-1/2}. */
    static final String WHOLE_AND_MORE = "\\d+(?:[.,]\\d+)*(?:(?:\\s+|-)" + FRACTION + ")?";

    static final String OUNCES = "(?:oz|ounces?)";
    static final String POUNDS = "(?:lbs?|pounds?)";
    static final String ANY_MASS_UNIT = "(?:g|grams?|kg|kilos?|" + OUNCES + "|" + POUNDS + ")";

    private static final String MAYBE_BROKEN = "(?:" + WHOLE_AND_MORE + "|" + FRACTION + ")";

    /** A mass as it is typed, with or without its unit; pounds may be followed by ounces. */
    static final String AMOUNT =
            MAYBE_BROKEN + "\\s*" + ANY_MASS_UNIT + "?(?:\\s+" + MAYBE_BROKEN + "\\s*" + OUNCES + ")?";

    /** The same, plainly a mass. */
    static final String AMOUNT_WITH_UNIT =
            MAYBE_BROKEN + "\\s*" + ANY_MASS_UNIT + "(?:\\s+" + MAYBE_BROKEN + "\\s*" + OUNCES + ")?";

    /** A name of letters alone, or of anything between quotation marks. */
    static final String NAME = "(" + Quotes.QUOTED + "|[\\p{L}' -]+?)";

    /** A name that may hold figures. */
    static final String NAME_WITH_FIGURES = "(" + Quotes.QUOTED + "|[\\p{L}\\p{N}' -]+?)";

    private Patterns() {}

    /** Any word of a vocabulary, the longest first. */
    static String oneOf(Map<String, ?> vocabulary) {
        return "("
                + String.join(
                        "|",
                        vocabulary.keySet().stream()
                                .sorted(Comparator.comparingInt(String::length)
                                        .reversed()
                                        .thenComparing(Comparator.naturalOrder()))
                                .toList())
                + ")";
    }

    /** What a word of the vocabulary means; it came from {@link #oneOf}. */
    static <T> T meant(Map<String, T> vocabulary, String word) {
        T meaning = vocabulary.get(lower(word));
        if (meaning == null) {
            throw new IllegalStateException("Impossible state: matched " + word);
        }
        return meaning;
    }

    /** The first word of a vocabulary that means this: how it is written. */
    static <T> String word(Map<String, T> vocabulary, T meaning) {
        return vocabulary.entrySet().stream()
                .filter(e -> e.getValue().equals(meaning))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("Impossible state: no word means " + meaning));
    }

    static double within(String what, String number, Interval possible) {
        double value = NumberNotation.read(FIELD, number);
        if (value < possible.low()) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_LOW, what, value, possible.low());
        }
        if (value > possible.high()) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, what, value, possible.high());
        }
        return value;
    }

    /** A mass of something, as little as a scale for lye shows at least and no more than the most. */
    static Mass mass(String what, String typed, Mass most, QuickContext context) {
        return mass(what, typed, LIGHTEST, most, context);
    }

    /** A mass of something, from the least to the most. */
    static Mass mass(String what, String typed, Mass least, Mass most, QuickContext context) {
        Mass mass = read(typed, context);
        if (least.isMoreThan(mass)) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_LOW, what, mass, least);
        }
        if (mass.isMoreThan(most)) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, what, mass, most);
        }
        return mass;
    }

    /** A mass that may not have been said; whether there can be so much is looked at with the entry. */
    static @Nullable Mass mass(@Nullable String typed, QuickContext context) {
        return typed == null ? null : read(typed, context);
    }

    private static Mass read(String typed, QuickContext context) {
        // Nobody halves a gram: whoever types "water 1/2" on a scale of grams may mean half of the water.
        if (context.units().mass() == Units.MassUnit.GRAM
                && typed.contains("/")
                && typed.chars().noneMatch(Character::isLetter)) {
            throw ProblemsException.of(FIELD, ProblemKey.BROKEN_OF_WHAT, typed);
        }
        return MassNotation.read(FIELD, typed, context.units());
    }

    /** A temperature that may not have been said. */
    static @Nullable Temperature temperatureAt(MeasurementPoint spot, @Nullable String typed, QuickContext context) {
        return typed == null ? null : TemperatureNotation.readAt(spot, FIELD, typed, context.units());
    }

    static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }
}
