package io.causticon.core.problem;

import java.util.List;

/**
 * One fault in what was entered.
 *
 * @param key what is wrong
 * @param field where it stands, as the form names it; empty when it is about the whole
 * @param values what the message needs, in the order that {@link ProblemKey} tells
 */
public record Problem(ProblemKey key, String field, List<Object> values) {

    public Problem {
        values = List.copyOf(values);
    }

    public static Problem at(String field, ProblemKey key, Object... values) {
        return new Problem(key, field, List.of(values));
    }

    public Problem movedTo(String otherField) {
        return new Problem(key, otherField, values);
    }
}
