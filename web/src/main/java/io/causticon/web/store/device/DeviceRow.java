package io.causticon.web.store.device;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.web.shared.Kept;
import io.causticon.web.store.batch.BatchId;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A device; of its token only the hash is kept. */
@Entity
@Table(name = "device")
class DeviceRow {

    @Id
    UUID id = UUID.randomUUID();

    String name = "";

    String kind = DeviceKind.THERMOMETER.name();

    String tokenHash = "";
    boolean simulated;

    @Nullable
    UUID batchId;

    @Nullable
    String spot;

    @Nullable
    Integer everySeconds;

    @Nullable
    Double onChange;

    long lastSequence;
    boolean retired;

    /** Empty if what stands here cannot be a device. */
    Optional<Device> device() {
        return Kept.choice(DeviceKind.class, kind)
                .map(k -> new Device(
                        id,
                        name,
                        k,
                        simulated,
                        batchId == null ? null : new BatchId(batchId),
                        spot == null
                                ? null
                                : Kept.choice(MeasurementPoint.class, spot).orElse(null),
                        everySeconds != null && everySeconds > 0 ? everySeconds : null,
                        onChange != null && onChange > 0 ? onChange : null,
                        lastSequence));
    }
}
