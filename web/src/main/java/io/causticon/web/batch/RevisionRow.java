package io.causticon.web.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One revision of one line of a log. Written once, never changed. */
@Entity
@Table(name = "log_revision")
class RevisionRow {

    @Id
    UUID id = UUID.randomUUID();

    UUID batchId = new UUID(0, 0);
    UUID lineId = new UUID(0, 0);
    int revision;
    Instant happenedAt = Instant.EPOCH;
    Instant recordedAt = Instant.EPOCH;
    String recordedBy = "";
    String kind = "";

    String entry = "";

    boolean withdrawn;
    @Nullable String clientKey;
}
