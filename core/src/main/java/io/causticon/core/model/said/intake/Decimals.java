package io.causticon.core.model.said.intake;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Numbers as instruments write them, with a point or a comma before their decimals, and a unit behind. */
final class Decimals {

    private static final Pattern NUMBER = Pattern.compile(
            "\\s*([-+\u2212]?\\d{1,13}(?:[.,]\\d{1,9})?(?:[eE][-+]?\\d{1,2})?)\\s*(?:\u00b0|deg\\.?)?\\s*([CcFfKk]?)\\s*");

    private static final int LONGEST_PLAIN = 18;

    private Decimals() {}

    /** The number in a cell; empty if there is none, or if there is something beside it. */
    static OptionalDouble read(String cell) {
        if (isPlain(cell)) {
            return OptionalDouble.of(Double.parseDouble(cell));
        }
        Matcher m = NUMBER.matcher(cell);
        if (!m.matches()) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(Double.parseDouble(m.group(1).replace(',', '.').replace('\u2212', '-')));
    }

    /** Digits with at most one point among them, as nearly all of ten million are. */
    private static boolean isPlain(String cell) {
        if (cell.isEmpty() || cell.length() > LONGEST_PLAIN) {
            return false;
        }
        int point = -1;
        for (int i = 0; i < cell.length(); i++) {
            char c = cell.charAt(i);
            if (c == '.' && point < 0 && i > 0) {
                point = i;
            } else if (c < '0' || c > '9') {
                return false;
            }
        }
        return point < cell.length() - 1;
    }

    /** Letter of the unit behind the number; empty if there is none. */
    static String unit(String cell) {
        Matcher m = NUMBER.matcher(cell);
        return m.matches() ? m.group(2).toUpperCase(Locale.ROOT) : "";
    }
}
