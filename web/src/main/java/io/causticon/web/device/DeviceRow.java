package io.causticon.web.device;

import io.causticon.core.observation.Spot;
import io.causticon.web.batch.BatchId;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A device; of its token only the hash is kept. */
@Entity
@Table(name = "device")
class DeviceRow {

    @Id
    UUID id = UUID.randomUUID();

    String name = "";

    @Enumerated(EnumType.STRING)
    DeviceKind kind = DeviceKind.THERMOMETER;

    String tokenHash = "";
    boolean simulated;
    @Nullable UUID batchId;

    @Enumerated(EnumType.STRING)
    @Nullable Spot spot;

    @Nullable Integer everySeconds;
    @Nullable Double onChange;
    long lastSequence;
    boolean retired;

    Device device() {
        return new Device(id, name, kind, simulated, batchId == null ? null : new BatchId(batchId), spot, everySeconds, onChange, lastSequence);
    }
}
