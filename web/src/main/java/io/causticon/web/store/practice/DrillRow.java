package io.causticon.web.store.practice;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** One run of a drill. */
@Entity
@Table(name = "practice_drill")
public class DrillRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    String maker = "";
    String drill = "";
    long seed;
    Instant begunAt = Instant.EPOCH;

    /** What was tapped, parted by blanks. */
    String tapped = "";

    @Nullable
    Instant finishedAt;

    int slips;
    int harmful;

    DrillRow() {}

    @Override
    public UUID getId() {
        return id;
    }

    public String drill() {
        return drill;
    }

    public long seed() {
        return seed;
    }

    public Instant begunAt() {
        return begunAt;
    }

    public int harmful() {
        return harmful;
    }

    public @Nullable Instant finishedAt() {
        return finishedAt;
    }
}
