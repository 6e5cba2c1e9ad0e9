package io.causticon.core.model.said.notation;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Share;
import java.math.BigDecimal;
import java.math.RoundingMode;

/** Numbers as they are typed: with a point or a comma for decimals, with commas or spaces between thousands. */
public final class NumberNotation {

    static final String PATTERN = "[-+\u2212]?\\d[\\d., \u00a0]*|[-+\u2212]?[.,]\\d+";

    private static final String THOUSANDS = "[-+]?[1-9]\\d{0,2}(,\\d{3})+(\\.\\d+)?";

    private static final String SPACED = "[-+]? ?[1-9]\\d{0,2}( \\d{3})*([.,]\\d+)?";

    private NumberNotation() {}

    /** @throws ProblemsException if it is empty or no number */
    public static double read(String field, String text) {
        String typed = TypedText.quantity(field, text)
                .replace('\u2212', '-')
                .replace('\u00a0', ' ')
                .trim();
        if (typed.contains(" ") && !typed.matches(SPACED)) {
            // "2 1" is two numbers, not twenty-one.
            throw ProblemsException.of(field, ProblemKey.NOT_A_NUMBER, text.trim());
        }
        String plain = typed.replace(" ", "");
        String pointed = plain.matches(THOUSANDS) ? plain.replace(",", "") : plain.replace(',', '.');
        try {
            double value = Double.parseDouble(pointed);
            if (Double.isFinite(value) && pointed.matches("[-+0-9.]+")) {
                return value;
            }
        } catch (NumberFormatException e) {
            // Told below in the maker's words.
        }
        throw ProblemsException.of(field, ProblemKey.NOT_A_NUMBER, text.trim());
    }

    /** A number as it would be typed, without needless zeros. */
    public static String write(double value, int digits) {
        String text = BigDecimal.valueOf(value)
                .setScale(digits, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
        return text.equals("-0") ? "0" : text;
    }

    /** A number with all its digits, so that reading it gives back the very same. */
    public static String exactly(double value) {
        String text = BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
        return text.equals("-0") ? "0" : text;
    }

    /** A share typed in per cent, with or without the sign. */
    public static Share percent(String field, String text) {
        return Share.percent(read(field, TypedText.quantity(field, text).replace("%", "")));
    }
}
