package io.causticon.core.science.diagnosis.network;

/**
 * How two conditions stand to one another.
 *
 * @param kind what the first is to the second
 * @param first a condition
 * @param second another
 * @param strength how often the first brings the second about, 0 to 1; nothing for other kinds
 */
record Relation(Kind kind, Condition first, Condition second, double strength) {

    /** What the first is to the second. */
    enum Kind {
        /** Never both. */
        EXCLUDES,
        /** Where the first is, the second is. */
        IS_A_KIND_OF,
        /** The first can cause the second. */
        BRINGS_ABOUT,
        /** They speak of one measurement, and know nothing else of one another. */
        MEASURED_TOGETHER
    }
}
