package io.causticon.core.substance;

/** How far a row of data is to be trusted. */
public enum Confidence {
    HIGH,
    MEDIUM,
    LOW
}
