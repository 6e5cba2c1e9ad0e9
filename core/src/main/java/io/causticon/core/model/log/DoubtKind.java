package io.causticon.core.model.log;

/** What is asked about a line before it is taken; the answer is kept with the line. */
public enum DoubtKind {
    /** A mass that is far from what the plan has. */
    FAR_FROM_PLAN(true),
    /** Something that the plan does not have. */
    NOT_IN_PLAN(true),
    /** A temperature that is odd where it was read. */
    ODD_TEMPERATURE(true),
    /** The same thing once more. */
    TWICE(true),
    /** Fats that never went on the scale while others did. */
    FATS_LEFT_OUT(true),
    /** Lye into fats that are too hot, or that nobody read. */
    HOT_OR_UNREAD_FATS(false),
    /** The full pot, before the lye is in it. */
    POT_BEFORE_LYE(false),
    /** Tested or looked at before there was soap. */
    BEFORE_THERE_WAS_SOAP(false),
    /** Tested on skin before that tells anything. */
    TOO_EARLY(false),
    /** A test on skin of what is in its mould. */
    IN_THE_MOULD(false),
    /** A look at something that can only be seen earlier. */
    TOO_LATE(true),
    /** A bar that there is not. */
    NO_SUCH_BAR(true);

    private final boolean staysOpen;

    DoubtKind(boolean staysOpen) {
        this.staysOpen = staysOpen;
    }

    /**
     * Whether it stays open where nobody was asked. What could only be mended in its moment does not, nor a test that
     * counts for nothing: the gate asks for one that does.
     */
    public boolean staysOpen() {
        return staysOpen;
    }
}
