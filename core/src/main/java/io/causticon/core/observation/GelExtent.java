package io.causticon.core.observation;

/** How far gel was seen to go. */
public enum GelExtent {
    NONE,
    PARTIAL,
    FULL
}
