package io.causticon.evaluation;

/**
 * What a maker is asked to do, in words that a drawn batch understands: it must know nothing of who asks.
 *
 * @param what is to be done
 * @param finding that is to be looked for; empty for none
 */
record Asked(What what, String finding) {

    /** Ways to look. */
    enum What {
        CUT,
        WASH,
        TITRATE,
        LOOK
    }
}
