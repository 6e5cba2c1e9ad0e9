package io.causticon.web.store.practice;

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
public class PracticeRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    /** The name that she signs in with. */
    String maker = "";

    String level = "";
    long seed;

    /**
     * Ids of what it has, then those of what brought it, as they were drawn; a later program may draw another batch
     * from the same seed.
     */
    String drawn = "";

    Instant begunAt = Instant.EPOCH;

    /** A line each. */
    String moves = "";

    @Nullable
    Instant finishedAt;

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

    PracticeRow() {}

    @Override
    public UUID getId() {
        return id;
    }

    public UUID id() {
        return id;
    }

    public String level() {
        return level;
    }

    public long seed() {
        return seed;
    }

    public Instant begunAt() {
        return begunAt;
    }

    public boolean wasRight() {
        return wasRight;
    }

    public boolean hazardReleased() {
        return hazardReleased;
    }

    public int points() {
        return points;
    }

    public @Nullable Instant finishedAt() {
        return finishedAt;
    }
}
