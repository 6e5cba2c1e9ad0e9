package io.causticon.web.practice;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A case somebody practises on, and what came of it. */
@Entity
@Table(name = "practice_case")
class PracticeRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    /** The name that she signs in with. */
    String maker = "";

    String level = "";
    long seed;

    /** Ids of what it has, then those of what brought it, as they were drawn; a later program may draw another batch from the same seed. */
    String drawn = "";

    Instant begunAt = Instant.EPOCH;

    /** A line each. */
    String moves = "";

    @Nullable Instant finishedAt;

    /** Ids of conditions, parted by blanks. */
    String named = "";

    boolean held;
    String remedy = "";
    double certainty;
    boolean wasRight;
    boolean hazardReleased;
    int falseAlarms;
    boolean heldInVain;
    int needless;
    int points;
    String formKey = "";

    @Override
    public UUID getId() {
        return id;
    }
}
