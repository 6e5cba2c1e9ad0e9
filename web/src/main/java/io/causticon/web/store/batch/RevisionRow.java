package io.causticon.web.store.batch;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One revision of one line of a log. Written once, never changed. */
@Entity
@Table(name = "log_revision")
class RevisionRow extends NewRow<UUID> {

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

    /** Why it was taken back; empty when none was asked for. */
    String reason = "";

    /** What whoever wrote it was asked about, and said that it is so, by {@link Answers}. */
    String answered = "";

    @Nullable
    String clientKey;

    @Override
    public UUID getId() {
        return id;
    }
}
