package io.causticon.web.store.recipe;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A recipe; what it says is in its versions. */
@Entity
@Table(name = "recipe")
class RecipeRow {

    @Id
    UUID id = UUID.randomUUID();

    String name = "";
    Instant createdAt = Instant.EPOCH;
    boolean retired;
}
