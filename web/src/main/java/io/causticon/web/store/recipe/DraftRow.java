package io.causticon.web.store.recipe;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A recipe under way. */
@Entity
@Table(name = "recipe_draft")
class DraftRow {

    @Id
    UUID id = UUID.randomUUID();

    String maker = "";

    @Nullable
    UUID recipeId;

    String name = "";
    String form = "";
    String page = "";
    Instant changedAt = Instant.EPOCH;
}
