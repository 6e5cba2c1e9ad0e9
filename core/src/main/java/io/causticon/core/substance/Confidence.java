package io.causticon.core.substance;

/** How far a row of data is to be trusted. */
enum Confidence {
    HIGH,
    MEDIUM,
    LOW
}
