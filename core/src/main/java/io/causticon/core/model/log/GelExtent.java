package io.causticon.core.model.log;

/** How far gel was seen to go. */
public enum GelExtent {
    NONE,
    PARTIAL,
    FULL
}
