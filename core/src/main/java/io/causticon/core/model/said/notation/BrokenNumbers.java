package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import java.util.Map;

/** Fractions as kitchens have them: {@code 8 1/2}, {@code 3/4}, {@code 8½}. */
public final class BrokenNumbers {

    /** Halves to sixteenths. */
    private static final Pattern FRACTION =
            Pattern.compile("(?:(\\d{1,3}(?:,\\d{3})+|\\d{1,5})[ -]+)?\\b(\\d{1,2})/(2|3|4|8|16)\\b");

    /** Each in one character. */
    private static final Map<String, String> SIGNS = Map.of(
            "\u00bd", "1/2",
            "\u00bc", "1/4",
            "\u00be", "3/4",
            "\u2153", "1/3",
            "\u2154", "2/3",
            "\u215b", "1/8",
            "\u215c", "3/8",
            "\u215d", "5/8",
            "\u215e", "7/8");

    private BrokenNumbers() {}

    /** With {@code 8½} as {@code 8 1/2}; everything else as it is. */
    public static String spelled(String text) {
        String spelled = text;
        for (Map.Entry<String, String> sign : SIGNS.entrySet()) {
            if (spelled.contains(sign.getKey())) {
                spelled = spelled.replaceAll("(\\d)" + sign.getKey(), "$1 " + sign.getValue())
                        .replace(sign.getKey(), sign.getValue());
            }
        }
        return spelled;
    }

    /** With {@code 8 1/2} and {@code 8½} as {@code 8.5}; what is no fraction of one stays as it is. */
    static String decimal(String typed) {
        String text = spelled(typed);
        Matcher fraction = FRACTION.matcher(text);
        StringBuilder plain = new StringBuilder();
        while (fraction.find()) {
            String before = text.substring(0, fraction.start()).stripTrailing();
            int over = Integer.parseInt(fraction.group(2));
            int under = Integer.parseInt(fraction.group(3));
            int whole = fraction.group(1) == null
                    ? 0
                    : Integer.parseInt(fraction.group(1).replace(",", ""));
            // 1 000 1/2 is not ten and a half.
            boolean alone = before.isEmpty()
                    || !Character.isDigit(before.charAt(before.length() - 1))
                            && !before.endsWith(",")
                            && !before.endsWith(".");
            fraction.appendReplacement(
                    plain,
                    over < under && alone
                            ? NumberNotation.exactly(whole + (double) over / under)
                            : Matcher.quoteReplacement(fraction.group()));
        }
        fraction.appendTail(plain);
        return plain.toString();
    }
}
