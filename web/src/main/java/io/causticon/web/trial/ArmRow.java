package io.causticon.web.trial;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** One of the things that a trial compares: a batch, or one part of it. */
@Entity
@Table(name = "trial_arm")
class ArmRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    UUID trialId = new UUID(0, 0);
    int place;
    UUID batchId = new UUID(0, 0);

    /** Empty for a whole batch. */
    String portion = "";
    String name = "";

    @Override
    public UUID getId() {
        return id;
    }
}
