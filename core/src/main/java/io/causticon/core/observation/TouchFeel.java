package io.causticon.core.observation;

/** What a pressed bar says. */
public enum TouchFeel {
    FIRM,
    SOFT,
    STICKY
}
