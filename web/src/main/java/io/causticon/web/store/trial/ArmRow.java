package io.causticon.web.store.trial;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One of the things that a trial compares: a batch, or one part of it. */
@Entity
@Table(name = "trial_arm")
class ArmRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    UUID trialId = new UUID(0, 0);
    int place;

    /** Null before it is begun. */
    @Nullable
    UUID batchId;

    /** As it is kept; null where it was a batch from the beginning. */
    @Nullable
    String plan;

    /** Arms of one pot are begun together. */
    int pot;

    /** Empty for a whole batch. */
    String portion = "";

    String name = "";

    @Override
    public UUID getId() {
        return id;
    }
}
