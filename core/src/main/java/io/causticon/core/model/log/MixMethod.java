package io.causticon.core.model.log;

/** What the batter is mixed with. */
public enum MixMethod {
    /** A stick blender in short bursts, stirred by hand between. */
    STICK,
    /** A stand mixer. */
    STAND_MIXER,
    /** A whisk. */
    WHISK,
    /** A spoon, for an hour or so. */
    HAND,
    /** A closed bottle that is shaken. */
    BOTTLE
}
