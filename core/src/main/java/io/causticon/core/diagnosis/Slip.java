package io.causticon.core.diagnosis;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.wording.Phrase;

/**
 * One slip at the scale, or none, with what follows from it.
 *
 * @param kind what sort of slip
 * @param words what happened
 * @param arithmetic what the superfat becomes and why
 * @param superfat superfat as a fraction, were it so
 * @param excess P(excess alkali), were it so
 * @param probability how likely it is among all slips weighed, after the tests, 0 to 1
 */
public record Slip(
        Kind kind, Phrase words, Phrase arithmetic, Estimate superfat, double excess, double probability) {

    /** Sorts of slips. */
    public enum Kind {
        NONE,
        LOGGED_DIFFERENCE,
        SWAPPED,
        LEFT_OUT,
        DOUBLED,
        TARE_NOT_TAKEN,
        UNIT_MISTAKEN,
        LYE_OVER,
        LYE_TWICE,
        ACID_NOT_ADDED,
        PURER_ALKALI,
        UNKNOWN
    }
}
