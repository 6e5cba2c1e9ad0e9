package io.causticon.web.store.batch;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A picture of a batch, made anew on arrival so that nothing the camera wrote into it is kept. */
@Entity
@Table(name = "photo")
class PhotoRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    UUID batchId = new UUID(0, 0);

    @Lob
    byte[] image = {};

    @Lob
    byte[] thumbnail = {};

    int width;
    int height;
    Instant createdAt = Instant.EPOCH;

    @Override
    public UUID getId() {
        return id;
    }
}
