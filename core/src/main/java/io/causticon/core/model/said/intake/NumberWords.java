package io.causticon.core.model.said.intake;

import io.causticon.core.model.said.notation.BrokenNumbers;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Amounts as people write them: {@code twelve and a half ounces}, {@code 4 1/4 oz}, {@code 3½ oz}, {@code zwölf Unzen};
 * as a decimal and a unit of ours.
 */
final class NumberWords {

    private static final Map<String, Integer> NUMBERS = new HashMap<>();
    private static final Map<String, String> UNITS = Map.ofEntries(
            Map.entry("gramm", "g"),
            Map.entry("gr", "g"),
            Map.entry("grams", "g"),
            Map.entry("kilogramm", "kg"),
            Map.entry("kilo", "kg"),
            Map.entry("unze", "oz"),
            Map.entry("unzen", "oz"),
            Map.entry("ounce", "oz"),
            Map.entry("ounces", "oz"),
            Map.entry("pfund", "lb"),
            Map.entry("pound", "lb"),
            Map.entry("pounds", "lb"),
            Map.entry("lbs", "lb"),
            Map.entry("prozent", "%"),
            Map.entry("percent", "%"));
    private static final Pattern MIXED = Pattern.compile("^(?:(\\d+)[\\s-]+)?(\\d+)\\s*/\\s*(\\d+)(.*)$");
    private static final int TENS = 10;
    private static final int HUNDRED = 100;
    private static final String ARTICLE = "an?|eine?r?";

    static {
        String[] english =
                ("zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen"
                                + " sixteen seventeen eighteen nineteen twenty")
                        .split(" ");
        String[] german =
                ("null ein zwei drei vier f\u00fcnf sechs sieben acht neun zehn elf zw\u00f6lf dreizehn vierzehn"
                                + " f\u00fcnfzehn sechzehn siebzehn achtzehn neunzehn zwanzig")
                        .split(" ");
        for (int i = 0; i < english.length; i++) {
            NUMBERS.put(english[i], i);
            NUMBERS.put(german[i], i);
        }
        NUMBERS.put("a", 1);
        NUMBERS.put("an", 1);
        NUMBERS.put("eine", 1);
        NUMBERS.put("einer", 1);
        String[] tens = "thirty forty fifty sixty seventy eighty ninety".split(" ");
        for (int i = 0; i < tens.length; i++) {
            NUMBERS.put(tens[i], (i + 3) * TENS);
        }
        NUMBERS.put("hundred", HUNDRED);
        NUMBERS.put("hundert", HUNDRED);
    }

    private NumberWords() {}

    /** The amount with digits and a short unit; as it stands where it is not understood. */
    static String digits(String amount) {
        String text =
                BrokenNumbers.spelled(amount.strip().toLowerCase(Locale.ROOT).replaceAll("[\\s\u00a0]+", " "));
        Matcher mixed = MIXED.matcher(text);
        if (mixed.matches() && !mixed.group(3).matches("0+")) {
            double whole = mixed.group(1) == null ? 0 : Double.parseDouble(mixed.group(1));
            text = plain(whole + Double.parseDouble(mixed.group(2)) / Double.parseDouble(mixed.group(3))) + " "
                    + mixed.group(4).strip();
        } else if (!text.isEmpty() && Character.isLetter(text.charAt(0))) {
            text = words(text);
        }
        return unit(text.strip());
    }

    private static String unit(String text) {
        int at = text.length();
        while (at > 0
                && (Character.isLetter(text.charAt(at - 1)) || text.charAt(at - 1) == '.' && at == text.length())) {
            at--;
        }
        String unit = text.substring(at).replaceAll("\\.$", "");
        return UNITS.containsKey(unit) ? text.substring(0, at).strip() + " " + UNITS.get(unit) : text;
    }

    /** {@code twelve and a half ounces}. What is no number from the first word on stays as it is. */
    private static String words(String text) {
        double sum = 0;
        boolean any = false;
        String[] words = text.split("[ -]");
        int at = 0;
        for (; at < words.length; at++) {
            String word = words[at];
            Integer number = NUMBERS.get(word);
            boolean fraction = at + 1 < words.length
                    && (words[at + 1].matches("half|halbe|halb|quarter|viertel"))
                    && NUMBERS.getOrDefault(word, 0) == 1;
            if (fraction) {
                sum += words[++at].startsWith("h") ? 0.5 : 0.25;
            } else if (word.matches("half|halbe|halb")) {
                sum += 0.5;
            } else if (word.matches("three|drei")
                    && at + 1 < words.length
                    && words[at + 1].matches("quarters|viertel")) {
                at++;
                sum += 0.75;
            } else if (word.endsWith("einhalb")
                    && NUMBERS.containsKey(word.substring(0, word.length() - "einhalb".length()))) {
                sum += NUMBERS.get(word.substring(0, word.length() - "einhalb".length())) + 0.5;
            } else if (number != null && number == HUNDRED && sum < TENS) {
                sum = Math.max(1, sum) * number;
            } else if (number != null && any && word.matches(ARTICLE)) {
                continue;
            } else if (number != null && (!any || number < room(sum))) {
                sum += number;
            } else if (number != null) {
                // "two fifty": whatever is meant, it is not their sum.
                return text;
            } else if (!any || !word.matches("and|und|of")) {
                break;
            }
            any = true;
        }
        return any ? plain(sum) + " " + String.join(" ", java.util.Arrays.copyOfRange(words, at, words.length)) : text;
    }

    /** What may still follow: fifty leaves room for seven, and nothing leaves room behind seven. */
    private static int room(double sum) {
        if (sum != Math.rint(sum) || sum % TENS != 0) {
            return 0;
        }
        return sum % HUNDRED == 0 ? HUNDRED : sum >= 2 * TENS ? TENS : 0;
    }

    private static String plain(double value) {
        return value == Math.rint(value)
                ? String.valueOf((long) value)
                : String.format(Locale.ROOT, "%.4f", value).replaceAll("0+$", "");
    }
}
