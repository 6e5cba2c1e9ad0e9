package io.causticon.web.store.arrival;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Something that was brought in from elsewhere. */
@Entity
@Table(name = "arrival")
public class ArrivalRow extends NewRow<UUID> {

    @Id
    UUID id = UUID.randomUUID();

    /** One of {@link Kind}. */
    String kind = Kind.DOCUMENTS.name();

    /** The batch it is about; null where it is about none. */
    @Nullable
    UUID about;

    /** What the file was called. */
    String source = "";

    /** What it is called here, until it is taken. */
    String file = "";

    String byName = "";
    Instant seenAt = Instant.EPOCH;

    /** One of {@link State}. */
    String state = State.SEEN.name();

    @Nullable
    Instant takenAt;

    @Nullable
    Instant undoneAt;

    String undoneBy = "";

    /** What came of it, in a sentence. */
    String told = "";

    /** What came. */
    public enum Kind {
        DOCUMENTS,
        /** Readings of a probe. */
        PROBE,
        /** Recipes or batches in somebody's own table. */
        SHEET
    }

    /** How far it has come. */
    enum State {
        /** It waits to be taken; nothing of it is kept. */
        SEEN,
        TAKEN,
        UNDONE,
        /** It was never taken. */
        LEFT
    }

    ArrivalRow() {}

    @Override
    public UUID getId() {
        return id;
    }

    boolean is(State other) {
        return state.equals(other.name());
    }

    public UUID id() {
        return id;
    }

    public String source() {
        return source;
    }

    public String told() {
        return told;
    }

    public @Nullable UUID about() {
        return about;
    }
}
