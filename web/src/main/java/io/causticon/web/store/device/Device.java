package io.causticon.web.store.device;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.web.store.batch.BatchId;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A device of the workshop.
 *
 * @param simulated whether it is a stand-in that ships with the application
 * @param batch the batch it watches; null when it lies on the shelf
 * @param spot where a thermometer is held; null for others
 * @param everySeconds logs a reading when the last one is this old; null without such a rule
 * @param onChange logs a reading that differs this much from the last, in the device's base unit; null without such a
 *     rule
 * @param forgottenTo numbers up to this were taken in before and are forgotten
 */
public record Device(
        UUID id,
        String name,
        DeviceKind kind,
        boolean simulated,
        @Nullable BatchId batch,
        @Nullable MeasurementPoint spot,
        @Nullable Integer everySeconds,
        @Nullable Double onChange,
        long forgottenTo) {}
