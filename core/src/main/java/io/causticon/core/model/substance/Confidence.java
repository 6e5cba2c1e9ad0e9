package io.causticon.core.model.substance;

/** How far a row of data is to be trusted. */
enum Confidence {
    HIGH,
    MEDIUM,
    LOW
}
