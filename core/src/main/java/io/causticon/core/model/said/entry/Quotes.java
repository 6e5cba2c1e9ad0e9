package io.causticon.core.model.said.entry;

import com.google.re2j.Pattern;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Words between quotation marks, which mean nothing but themselves. A mark within is doubled. */
final class Quotes {

    /** A quoted text, for use in a pattern. */
    static final String QUOTED = "\"(?:[^\"]|\"\")*\"";

    private static final Pattern BARE = Pattern.compile("[\\p{L}][\\p{L}' ()-]*");
    private static final char MARK = '"';

    private Quotes() {}

    static boolean isBare(String name) {
        return BARE.matches(name);
    }

    static String around(String text) {
        return MARK + text.replace("\"", "\"\"") + MARK;
    }

    /** What was said, without the marks if it stands between them. */
    static String taken(String text) {
        String plain = text.trim();
        boolean quoted = plain.length() > 1
                && plain.charAt(0) == MARK
                && plain.charAt(plain.length() - 1) == MARK
                && closes(plain);
        return quoted ? plain.substring(1, plain.length() - 1).replace("\"\"", "\"") : plain;
    }

    static @Nullable String takenOrNull(@Nullable String text) {
        return text == null ? null : taken(text);
    }

    /**
     * The parts of a line between semicolons; one within quotation marks parts nothing. A mark that is not closed is an
     * inch.
     */
    static List<String> parts(String line) {
        List<String> parts = new ArrayList<>();
        int from = 0;
        int at = 0;
        while (at < line.length()) {
            char c = line.charAt(at);
            int end = c == MARK && (at == 0 || line.charAt(at - 1) == ' ') ? end(line, at) : at;
            if (c == ';') {
                parts.add(line.substring(from, at));
                from = at + 1;
            }
            at = end + 1;
        }
        parts.add(line.substring(from));
        return parts;
    }

    private static boolean closes(String quoted) {
        return end(quoted, 0) == quoted.length() - 1;
    }

    /** Where the text that begins with a mark here ends; here, if nothing closes it. */
    private static int end(String line, int mark) {
        for (int at = mark + 1; at < line.length(); at++) {
            if (line.charAt(at) == MARK) {
                if (at + 1 < line.length() && line.charAt(at + 1) == MARK) {
                    at++;
                } else {
                    return at;
                }
            }
        }
        return mark;
    }
}
