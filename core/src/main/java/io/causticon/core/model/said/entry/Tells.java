package io.causticon.core.model.said.entry;

/** What an entry tells of a batch. */
public enum Tells {
    /** What went in, and how much. */
    WEIGHTS,
    /** Temperatures and baths of pots, mould and room. */
    TEMPERATURES,
    /** What the lye pot or the batter does. */
    POTS,
    /** What happens in and out of the mould. */
    MOULD,
    /** What was seen, felt or measured of the soap. */
    TESTS,
    /** Words and pictures. */
    WORDS,
    /** What its maker decided. */
    VERDICT,
    /** Nothing that can be understood. */
    NOTHING
}
