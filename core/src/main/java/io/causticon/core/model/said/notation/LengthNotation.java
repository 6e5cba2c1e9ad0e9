package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.util.Locale;

/** Lengths as they are typed, read in mm: {@code 85}, {@code 8.5 cm}, {@code 3 3/8 in}, {@code 3⅜ in}, {@code 3.4"}. */
public final class LengthNotation {

    private static final double MILLIMETRES_PER_INCH = 25.4;
    private static final double MILLIMETRES_PER_CENTIMETRE = 10;
    private static final Pattern FRACTION = Pattern.compile("(?:(\\d+)\\s+)?(\\d+)/(\\d+)\\s*(?:in|inch|inches|\")");
    private static final Pattern PLAIN =
            Pattern.compile("(" + NumberNotation.PATTERN + ")\\s*(mm|cm|in|inch|inches|\")?\\.?");

    private LengthNotation() {}

    /** @throws ProblemsException if it is no length */
    public static double readMillimetres(String field, String text) {
        String plain = BrokenNumbers.spelled(TypedText.quantity(field, text).toLowerCase(Locale.ROOT));
        Matcher fraction = FRACTION.matcher(plain);
        if (fraction.matches() && !fraction.group(3).matches("0+")) {
            double whole = fraction.group(1) == null ? 0 : Double.parseDouble(fraction.group(1));
            return MILLIMETRES_PER_INCH
                    * (whole + Double.parseDouble(fraction.group(2)) / Double.parseDouble(fraction.group(3)));
        }
        Matcher one = PLAIN.matcher(plain);
        if (!one.matches()) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_LENGTH, text.trim());
        }
        double number = NumberNotation.read(field, one.group(1));
        String unit = one.group(2) == null ? "mm" : one.group(2);
        return switch (unit) {
            case "mm" -> number;
            case "cm" -> number * MILLIMETRES_PER_CENTIMETRE;
            default -> number * MILLIMETRES_PER_INCH;
        };
    }
}
