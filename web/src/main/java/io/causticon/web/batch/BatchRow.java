package io.causticon.web.batch;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A batch with the plan it was made from. */
@Entity
@Table(name = "batch")
class BatchRow {

    @Id
    UUID id = UUID.randomUUID();

    String code = "";
    String name = "";
    @Nullable UUID recipeId;
    int version;

    String plan = "";

    Instant begunAt = Instant.EPOCH;
    Instant createdAt = Instant.EPOCH;
    String createdBy = "";
    @Nullable String clientKey;
}
