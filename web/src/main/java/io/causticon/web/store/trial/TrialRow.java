package io.causticon.web.store.trial;

import io.causticon.core.model.plan.Aspect;
import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A question asked of soap. */
@Entity
@Table(name = "trial")
class TrialRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    String question = "";
    String factor = "";
    String factorKind = Aspect.Factor.OTHER.name();

    @Nullable
    UUID recipeId;

    boolean coded;
    String madeBy = "";
    Instant madeAt = Instant.EPOCH;
    String formKey = "";
    boolean putAway;

    @Override
    public UUID getId() {
        return id;
    }
}
