package io.causticon.core.model.log;

/** What an ingredient did to a batter or to its bars. */
public enum Behaviour {
    /** Hurried the batter. */
    MOVED,
    /** Slowed the batter. */
    SLOWED,
    /** Made grains. */
    RICED,
    /** Made it solid in the pot. */
    SEIZED,
    /** Made curds. */
    CURDLED,
    /** Turned the bar brown. */
    BROWNED,
    /** Its colour turned to another. */
    MORPHED,
    /** Its scent or colour went away. */
    FADED
}
