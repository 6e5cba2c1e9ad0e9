package io.causticon.core.science.draw;

/** How a maker logs. */
public enum Logging {
    ALL_LOOKED_AT,
    NO_LABORATORY,
    ONLY_WHAT_IS_ODD
}
