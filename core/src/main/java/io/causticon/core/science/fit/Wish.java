package io.causticon.core.science.fit;

/** What a maker may want of a recipe. */
public enum Wish {
    /** A fluid batter for a swirl. */
    SLOW_BATTER,
    /** Out of the mould within a day. */
    FIRM_IN_A_DAY,
    /** Few soaps of short acids, which strip skin. */
    MILD,
    /** Few acids that oxidise. */
    KEEPS,
    NO_ANIMAL,
    NO_PALM
}
