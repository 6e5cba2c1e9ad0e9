package io.causticon.core.observation;

/** What is asked about a line before it is taken; the answer is kept with the line. */
public enum DoubtKind {
    /** A mass that is far from what the plan has. */
    FAR_FROM_PLAN,
    /** Something that the plan does not have. */
    NOT_IN_PLAN,
    /** A temperature that is odd where it was read. */
    ODD_TEMPERATURE,
    /** The same thing once more. */
    TWICE,
    /** Fats that never went on the scale while others did. */
    FATS_LEFT_OUT,
    /** Lye into fats that are too hot, or that nobody read. */
    HOT_OR_UNREAD_FATS,
    /** The full pot, before the lye is in it. */
    POT_BEFORE_LYE,
    /** Tested or looked at before there was soap. */
    BEFORE_THERE_WAS_SOAP,
    /** Tested on skin before that tells anything. */
    TOO_EARLY,
    /** A test on skin of what is in its mould. */
    IN_THE_MOULD,
    /** A look at something that can only be seen earlier. */
    TOO_LATE,
    /** A bar that there is not. */
    NO_SUCH_BAR
}
