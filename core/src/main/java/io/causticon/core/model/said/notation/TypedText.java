package io.causticon.core.model.said.notation;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;

/** A text as it was typed into one field, before anything of it is read: there, and no longer than it can be. */
final class TypedText {

    /** Nobody needs more for a quantity, a moment or a dose. */
    static final int LONGEST_QUANTITY = 80;

    /** Forty corners of a line with their distances. */
    static final int LONGEST_LINE = 800;

    private TypedText() {}

    /**
     * @return the text without space around it
     * @throws ProblemsException if it is empty or too long
     */
    static String of(String field, String text, int longest) {
        if (text.length() > longest) {
            throw ProblemsException.of(field, ProblemKey.TOO_LONG, text.length(), longest);
        }
        String plain = text.trim();
        if (plain.isEmpty()) {
            throw ProblemsException.of(field, ProblemKey.MISSING);
        }
        return plain;
    }

    static String quantity(String field, String text) {
        return of(field, text, LONGEST_QUANTITY);
    }
}
