package io.causticon.web.store.dates;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;

/** A batch that is to be made on a day. */
@Entity
@Table(name = "planned_making")
class MakingRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    UUID recipeId = new UUID(0, 0);
    String name = "";
    LocalDate onDay = LocalDate.EPOCH;
    int bars;
    String goal = "";
    String madeBy = "";
    Instant madeAt = Instant.EPOCH;
    String formKey = "";
    boolean putAway;

    @Override
    public UUID getId() {
        return id;
    }
}
