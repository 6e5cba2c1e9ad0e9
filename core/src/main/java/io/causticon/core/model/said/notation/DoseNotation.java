package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.Locale;

/**
 * Doses as they are typed: {@code 30 g}, {@code 3 %}, {@code 2 tsp}, {@code 1 tsp/500 g}, {@code 1 tbsp per lb},
 * {@code 20 drops}.
 */
public final class DoseNotation {

    private static final Pattern SPOONS = Pattern.compile("(" + NumberNotation.PATTERN
            + ")\\s*(tsp|tbsp|teaspoons?|tablespoons?|spoons?)\\.?\\s*(?:(?:/|per)\\s*(.+))?");
    private static final Pattern DROPS = Pattern.compile("(" + NumberNotation.PATTERN + ")\\s*drops?");
    private static final int TEASPOONS_PER_TABLESPOON = 3;
    private static final double GRAMS_PER_KILOGRAM = 1000;

    private DoseNotation() {}

    /**
     * @param field where the text stands
     * @param text what was typed
     * @param units what a bare number means
     * @throws ProblemsException if it is no dose
     */
    public static Dose read(String field, String text, Units units) {
        String plain = TypedText.quantity(field, text).toLowerCase(Locale.ROOT);
        Matcher spoons = SPOONS.matcher(plain);
        if (spoons.matches()) {
            double teaspoons = NumberNotation.read(field, spoons.group(1))
                    * (spoons.group(2).startsWith("tb") || spoons.group(2).startsWith("table")
                            ? TEASPOONS_PER_TABLESPOON
                            : 1);
            String per = spoons.group(3);
            return per == null
                    ? new Dose(Dose.Way.TEASPOONS, teaspoons)
                    : new Dose(
                            Dose.Way.TEASPOONS_PER_KILOGRAM,
                            teaspoons * GRAMS_PER_KILOGRAM / perGrams(field, per, units));
        }
        Matcher drops = DROPS.matcher(plain);
        if (drops.matches()) {
            return new Dose(Dose.Way.DROPS, NumberNotation.read(field, drops.group(1)));
        }
        if (plain.endsWith("%")) {
            return Dose.ofFats(NumberNotation.percent(field, plain));
        }
        return Dose.mass(MassNotation.read(field, text, units));
    }

    /** The same dose as it would be typed. */
    public static String write(Dose dose, Units units) {
        return switch (dose.way()) {
            case MASS -> MassNotation.write(Mass.grams(dose.value()), units);
            case OF_FATS -> NumberNotation.write(Share.fraction(dose.value()).inPercent(), 3) + " %";
            case TEASPOONS -> NumberNotation.write(dose.value(), 2) + " tsp";
            case TEASPOONS_PER_KILOGRAM -> NumberNotation.write(dose.value(), 2) + " tsp/kg";
            case DROPS -> NumberNotation.write(dose.value(), 0) + " drops";
        };
    }

    private static double perGrams(String field, String per, Units units) {
        String amount = Character.isDigit(per.charAt(0)) ? per : "1 " + per;
        double grams = MassNotation.read(field, amount, units).grams();
        if (grams <= 0) {
            throw ProblemsException.of(field, ProblemKey.TOO_LOW, "A mass", Mass.grams(grams), Mass.ZERO);
        }
        return grams;
    }
}
