package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** Masses as they are typed: {@code 504}, {@code 1.2 kg}, {@code 1 lb 2 oz}, {@code 8 1/2 oz}. */
public final class MassNotation {

    private static final Pattern POUNDS_AND_OUNCES = Pattern.compile("(" + NumberNotation.PATTERN
            + ")\\s*(?:lbs?|pounds?|#)\\s*(" + NumberNotation.PATTERN + ")\\s*(?:oz|ounces?)?");
    private static final Pattern ONE_UNIT = Pattern.compile("(" + NumberNotation.PATTERN + ")\\s*([a-z\u00b0%]*)\\.?");

    private static final Map<Units.MassUnit, String> UNIT_WORDS =
            Map.of(Units.MassUnit.GRAM, " g", Units.MassUnit.OUNCE, " oz", Units.MassUnit.POUND, " lb");

    private MassNotation() {}

    /**
     * @param field where the text stands
     * @param text what was typed
     * @param units what a bare number means
     * @throws ProblemsException if it is no mass
     */
    public static Mass read(String field, String text, Units units) {
        String plain = BrokenNumbers.decimal(TypedText.quantity(field, text).toLowerCase(Locale.ROOT));
        Matcher both = POUNDS_AND_OUNCES.matcher(plain);
        if (both.matches()) {
            double pounds = NumberNotation.read(field, both.group(1));
            return Mass.ounces(pounds * Mass.OUNCES_PER_POUND + NumberNotation.read(field, both.group(2)));
        }
        Matcher one = ONE_UNIT.matcher(plain);
        if (!one.matches()) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_NUMBER, text.trim());
        }
        return inUnit(field, NumberNotation.read(field, one.group(1)), one.group(2), text.trim(), units);
    }

    /** A mass as it would be typed by somebody who thinks in these units; fine enough that lye comes back to 0.01 g. */
    public static String write(Mass mass, Units units) {
        return switch (units.mass()) {
            case GRAM -> NumberNotation.write(mass.grams(), 2);
            case OUNCE -> NumberNotation.write(mass.inOunces(), 4);
            case POUND -> NumberNotation.write(mass.inOunces() / Mass.OUNCES_PER_POUND, 5);
        };
    }

    /**
     * A mass with its unit, so that reading it gives back the very same: in these units where a few places do,
     * else in those that it was typed in; in grams with all its digits where none does.
     */
    public static String exactly(Mass mass, Units units) {
        for (Units written : List.of(units, Units.METRIC, Units.US)) {
            String text = write(mass, written) + UNIT_WORDS.get(written.mass());
            if (read("", text, written).equals(mass)) {
                return text;
            }
        }
        return NumberNotation.exactly(mass.grams()) + UNIT_WORDS.get(Units.MassUnit.GRAM);
    }

    private static Mass inUnit(String field, double number, String unit, String typed, Units units) {
        return switch (unit) {
            case "" -> bare(number, units);
            case "g", "gr", "gram", "grams" -> Mass.grams(number);
            case "kg", "kilo", "kilos" -> Mass.grams(number * 1000);
            case "oz", "ounce", "ounces" -> Mass.ounces(number);
            case "lb", "lbs", "pound", "pounds" -> Mass.ounces(number * Mass.OUNCES_PER_POUND);
            default -> throw ProblemsException.of(field, ProblemKey.UNKNOWN_UNIT, unit, typed);
        };
    }

    private static Mass bare(double number, Units units) {
        return switch (units.mass()) {
            case GRAM -> Mass.grams(number);
            case OUNCE -> Mass.ounces(number);
            case POUND -> Mass.ounces(number * Mass.OUNCES_PER_POUND);
        };
    }
}
