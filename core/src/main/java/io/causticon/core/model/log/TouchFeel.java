package io.causticon.core.model.log;

/** What a pressed bar says. */
public enum TouchFeel {
    FIRM,
    SOFT,
    STICKY
}
