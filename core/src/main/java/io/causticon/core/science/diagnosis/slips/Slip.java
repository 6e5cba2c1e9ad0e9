package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.wording.Phrase;
import java.util.Optional;

/**
 * One slip at the scale, or none, with what follows from it.
 *
 * @param kind what sort of slip
 * @param words what happened
 * @param arithmetic what the superfat becomes and why
 * @param superfat superfat as a fraction, were it so
 * @param excess P(excess alkali), were it so
 * @param check the cheapest check that tells it from the one that is next; empty where there is nothing to tell apart
 * @param probability how likely it is among all slips weighed, after the tests, 0 to 1
 */
public record Slip(
        Kind kind,
        Phrase words,
        Phrase arithmetic,
        Estimate superfat,
        double excess,
        Optional<Phrase> check,
        double probability) {

    /** Sorts of slips. */
    public enum Kind {
        NONE,
        LOGGED_DIFFERENCE,
        SWAPPED,
        LEFT_OUT,
        DOUBLED,
        TARE_NOT_TAKEN,
        UNIT_MISTAKEN,
        MISREAD,
        SECOND_WEIGHING,
        LYE_OVER,
        LYE_SHORT,
        LYE_TWICE,
        WRONG_ALKALI,
        ACID_NOT_ADDED,
        PURER_ALKALI,
        UNKNOWN
    }
}
