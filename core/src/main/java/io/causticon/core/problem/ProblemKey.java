package io.causticon.core.problem;

/** What can be wrong with something entered. The wording is in the message files of whoever shows it. */
public enum ProblemKey {
    /** Nothing stands where something must. Values: none. */
    MISSING,
    /** Cannot be read as a number. Values: what was typed. */
    NOT_A_NUMBER,
    /** A unit that is not known, or not one for this quantity. Values: the unit, what was typed. */
    UNKNOWN_UNIT,
    /** Below what is possible. Values: the thing, its value, the limit. */
    TOO_LOW,
    /** Above what is possible. Values: the thing, its value, the limit. */
    TOO_HIGH,
    /**
     * Above what is possible, but possible in the other unit. Values: the thing, its value, the limit, what it would
     * be.
     */
    TOO_HIGH_FOR_CELSIUS,
    /** Too long a text. Values: its length, the longest allowed. */
    TOO_LONG,
    /** Shares that ought to make a whole. Values: their sum. */
    SHARES_DO_NOT_SUM,
    /** So little that a scale shows nothing of it. Values: the thing, its mass, the scale's step. */
    SCALE_SHOWS_NOTHING,
    /** A recipe without fat. Values: none. */
    NO_FATS,
    NO_SCRAPS,
    /** A trial that compares nothing. Values: how many arms there are. */
    TOO_FEW_ARMS,
    /** A trial without a control. Values: the names of its arms. */
    NO_CONTROL,
    /** A code that no batch has. Values: what was typed. */
    NO_SUCH_CODE,
    /** One judge twice in a panel. Values: who, at what age. */
    JUDGED_ALREADY,
    /** No arm may be washed with now. Values: none. */
    NOTHING_TO_JUDGE,
    NO_GRADE,
    /** A substance of another kind than is compared. Values: its name, what it is, what is compared. */
    ANOTHER_KIND,
    /** A substance that is not known, with names that are. Values: what was typed, those names. */
    SUBSTANCE_MAYBE,
    /** A trial with one arm to make. Values: none. */
    ONE_ARM,
    /** An arm that no recipe can be made of. Values: its name. */
    NO_PLAN_OF_ARM,
    TOO_MUCH_ALKALI,
    NOT_SO_MUCH_LEFT,
    WOULD_BE_LYE_HEAVY,
    /** The same substance twice. Values: its name. */
    TWICE,
    /** A substance that the catalogue does not hold. Values: what was asked for. */
    UNKNOWN_SUBSTANCE,
    /** More alkali than the water can dissolve. Values: lye, water, concentration, the limit. */
    LYE_CANNOT_DISSOLVE,
    /** No liquid is there when the lye goes in. Values: none. */
    NOTHING_DISSOLVES_LYE,
    /** Spoons of something that is not spooned. Values: its name. */
    NOT_SPOONED,
    /**
     * A line of a drawing that dips below the one under it. Values: the upper, the lower, where in mm from the left.
     */
    LINES_CROSS,
    /** A line of a drawing that leaves the mould. Values: the line, its height in mm, the mould's height in mm. */
    ABOVE_THE_MOULD,
    /** A line that is not flat in a mould whose section changes. Values: the line. */
    NOT_FLAT,
    /** Too many of something. Values: how many, the most. */
    TOO_MANY,
    /** A length that cannot be read. Values: what was typed. */
    NOT_A_LENGTH,
    NOT_A_LINE,
    /** A share where only a mass makes sense. Values: what was typed. */
    NEEDS_A_TOTAL,
    /** Something is still used. Values: by what. */
    STILL_USED,
    /** A cost was asked of something whose price is not known. Values: its name. */
    UNKNOWN_PRICE,
    /** A fit without anything that is wanted. Values: none. */
    NOTHING_WANTED,
    /** No proposal meets the limits. Values: none. */
    LIMITS_EXCLUDE_ALL,
    /**
     * More lye than the fats take, where it would be made at once. Values: the superfat, the chance that it is below
     * none.
     */
    LYE_IN_EXCESS,
    /** Only what is on the bench is given up. Values: none. */
    NOT_ON_THE_BENCH,
    /** Something without how much. Values: its name. */
    NO_AMOUNT,
    /**
     * A mass of lye that leaves far less than no superfat. Values: the lye, the superfat, the lye that leaves a usual
     * one.
     */
    LYE_TOO_MUCH,
    /**
     * A mass of lye that leaves far more fat than a soap has. Values: the lye, the superfat, the lye that leaves a
     * usual one.
     */
    LYE_TOO_LITTLE,
    /** Parts of one whole said in two ways. Values: none. */
    BY_MASS_OR_BY_PARTS,
    /** A fixed mass where the mould decides on the size. Values: none. */
    MASS_AGAINST_THE_MOULD,
    /** A size by cups of a batter that is not divided into equal cups. */
    CUPS_FIRST,
    /** The liquid takes up alkali faster than it brings water. Values: none. */
    LIQUID_WITHOUT_WATER,
    /** A last day that is over already: the day. */
    DAY_IS_PAST,
    /** After now. Values: the moment. */
    IN_THE_FUTURE,
    /** Before the batch was begun. Values: the moment, when it began. */
    BEFORE_THE_BATCH,
    /** A moment that cannot be read. Values: what was typed. */
    NOT_A_TIME,
    /** Somebody amended it meanwhile. Values: who, what it says now. */
    AMENDED_MEANWHILE,
    /**
     * Somebody kept a later version of a recipe meanwhile. Values: who, its number, the number it was changed from
     * here.
     */
    NEWER_VERSION,
    /** A choice that is not offered. Values: what was asked for. */
    NOT_A_CHOICE,
    /** A hazard that is not ruled out stands against it. Values: the hazard's name, its probability. */
    NOT_RELEASED,
    /** A file that is not a picture that can be read. Values: its name. */
    NOT_A_PICTURE,
    /** A name somebody else has. Values: the name. */
    NAME_TAKEN,
    /** Words that are too few to serve. Values: length, the least. */
    TOO_SHORT,
    /** Two entries that ought to be the same and are not. Values: none. */
    NOT_THE_SAME,
    /** The old secret is wrong. Values: none. */
    WRONG_PASSWORD,
    /** One of the passwords that are guessed first. Values: none. */
    COMMON_PASSWORD,
    /** A password made of the maker's or the workshop's name. Values: none. */
    OWN_NAME,
    /** Wrong ones came before, and too many. Values: seconds to wait. */
    TOO_MANY_TRIES,
    /** A device made no passkey for this workshop, or too late. Values: none. */
    NOT_A_PASSKEY,
    /** So many passkeys belong to somebody already. Values: the most. */
    TOO_MANY_PASSKEYS,
    /** A passkey is to be asked for where there is none. Values: none. */
    NO_PASSKEY,
    /** Not what the terminal shows. Values: none. */
    WRONG_CODE,
    /** The last owner must stay. Values: none. */
    LAST_OWNER,
    /** A form that was sent once already came again with other words. Values: none. */
    FORM_USED,
    /** A deed that is not amended. Values: none. */
    NOT_AMENDED,
    /** A hold is not taken back but released. Values: none. */
    ONLY_RELEASED,
    /** Words that take more bytes than can be kept. Values: bytes, the most. */
    TOO_MANY_BYTES,
    /** A picture with too many pixels. Values: millions of them, the most. */
    TOO_MANY_PIXELS,
    /** A titration in another unit than per cent. Values: what was typed. */
    NOT_PER_CENT,
    /** Words that name no bars. Values: what was typed. */
    NOT_BARS,
    /** Something seen that is not known. Values: what was typed. */
    UNKNOWN_FINDING,
    /** A line that says nothing that is known. Values: the line. */
    NOT_UNDERSTOOD,
    /** The same, and with a word more it would. Values: the line, what it may have been. */
    NOT_UNDERSTOOD_MAYBE,
    /** Something follows that could be a line of its own. Values: that. */
    TWO_THINGS,
    /** Words that may be a sign of a hazard and would be kept as words. Values: none. */
    SPEAKS_OF_BURNING,
    /** Bars of a held batch that would be given to somebody. Values: none. */
    HELD_NOT_GIVEN,
    /** Bars that are set apart and would be given to somebody. Values: why they are. */
    APART_NOT_GIVEN,
    /** Bars of a batch that is not cut. Values: how many, none. */
    NOT_CUT_YET,
    /** More bars than are left. Values: how many, how many are left. */
    NOT_SO_MANY_BARS,
    /** A number without a unit that may be which bar or how much. Values: the number. */
    BAR_OR_MASS,
    /** A fraction without a unit, where one thinks in grams. Values: what was typed. */
    BROKEN_OF_WHAT,
    /** A line that says something else than what its form is for, or more. Values: the line. */
    NOT_UNDERSTOOD_HERE,
    /** A number that was left out. Values: what it is. */
    NO_NUMBER,
    /** A day that cannot be read. Values: what was typed. */
    NOT_A_DAY,
    /** A day that is over. Values: what was typed. */
    DAY_IS_OVER,
    /** A deed without its reason. Values: none. */
    WHY,
    /** A batch that cannot be worked out. Values: none. */
    NOT_WORKED_OUT
}
