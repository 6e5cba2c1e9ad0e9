package io.causticon.core.model.said.entry;

/**
 * From whom a kind of line is taken. Each kind says it where it is described, and cannot be described without; what is
 * for a person is taken from nobody else, whatever a token or a device is allowed.
 */
public enum Authority {
    /**
     * What somebody looks at, decides or answers for, standing before it: a hold, a release, that gloves are on, what a
     * batch is for.
     */
    PERSON,
    /** What is typed, and what a program may write down for a person. */
    PROGRAM,
    /** What an instrument reads by itself. */
    INSTRUMENT;

    /**
     * Whether a line of this kind is taken from such a hand: a person may log all, an instrument only what it reads.
     */
    public boolean isTakenFrom(Authority hand) {
        return hand.ordinal() <= ordinal();
    }
}
