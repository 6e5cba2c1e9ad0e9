package io.causticon.web.store.device;

import java.time.Instant;

/**
 * What a device read.
 *
 * @param sequence number that the device counts up; the same number is the same reading
 * @param value in the base unit of its kind: C, g or pH
 * @param at when it was measured
 */
public record DeviceReading(long sequence, double value, Instant at) {}
