package io.causticon.core.model.said.entry;

/** Where an entry is drawn on the strip of its batch. */
public enum OnStrip {
    /** Not at all: its log line is enough. */
    NOWHERE,
    /** A point of a curve. */
    CURVE,
    /** A short stroke without words. */
    TICK,
    /** A line with words, among what was done. */
    EVENT,
    /** A sign with words, among the tests: nothing wrong. */
    CALM,
    /** A sign with words, among the tests: to be weighed with the rest. */
    OPEN,
    /** A sign with words, among the tests: a hazard. */
    ALARM,
    /** A sign with words, among the tests: the batch is held. */
    HELD;

    public boolean isTest() {
        return compareTo(CALM) >= 0;
    }
}
