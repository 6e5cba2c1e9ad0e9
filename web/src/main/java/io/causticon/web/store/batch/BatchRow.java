package io.causticon.web.store.batch;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/**
 * A batch with the plan it was made from. Each line of its log moves its version alone: the plan is not written again
 * for that.
 */
@Entity
@DynamicUpdate
@Table(name = "batch")
class BatchRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    String code = "";
    String name = "";

    @Nullable
    UUID recipeId;

    int version;

    /** Counts what was written to its log. */
    int logVersion;

    String plan = "";

    Instant begunAt = Instant.EPOCH;
    Instant createdAt = Instant.EPOCH;
    String createdBy = "";

    @Nullable
    String clientKey;

    @Override
    public UUID getId() {
        return id;
    }
}
