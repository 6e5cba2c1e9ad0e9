package io.causticon.core.wording;

/**
 * A value in a sentence that is written as it was read, not rounded as estimates are.
 *
 * @param value a temperature or a number
 * @param digits places after the point for a number; temperatures are written as instruments show them
 */
public record Exactly(Object value, int digits) {

    /** Without places, or as the instrument shows it. */
    public Exactly(Object value) {
        this(value, 0);
    }
}
