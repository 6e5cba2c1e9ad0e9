package io.causticon.web.store.recipe;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** One version of a recipe. Written once, never changed. */
@Entity
@Table(name = "recipe_version")
class VersionRow {

    @Id
    UUID id = UUID.randomUUID();

    UUID recipeId = new UUID(0, 0);
    int number;

    String plan = "";

    Instant createdAt = Instant.EPOCH;
    String createdBy = "";
}
