package io.causticon.core.model.log;

/** What the soap does when it is tried in its mould. */
public enum MouldLook {
    /** A side that is pulled comes away clean. */
    LETS_GO,
    /** It clings, or tears. */
    CLINGS,
    /** An edge that is pressed keeps the dent. */
    DENTS,
    /** An edge that is pressed stays as it is. */
    FIRM
}
