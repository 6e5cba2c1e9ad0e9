package io.causticon.web.store.batch;

import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** What lists show of a batch. */
@Entity
@DynamicUpdate
@Table(name = "batch_summary")
class SummaryRow extends NewRow<UUID> {

    @Id
    UUID batchId = new UUID(0, 0);

    int logVersion;
    int madeWith;
    Instant madeAt = Instant.EPOCH;
    /** Why the batch cannot be worked with; empty for one that can. */
    String problem = "";

    String code = "";
    String name = "";
    Instant begunAt = Instant.EPOCH;

    /** By its name: one that nobody knows must not keep the others from being read. */
    String life = Life.BENCH.name();

    /** By its name, too. */
    String purpose = Purpose.MADE.name();

    /** The one word for it, by its name. */
    String state = "";

    /** What it hangs on beside its log, by {@link Fingerprint}. */
    String fingerprint = "";

    boolean held;

    @Nullable
    Instant heldSince;

    String heldBecause = "";
    Instant pouredAt = Instant.EPOCH;
    Instant unmouldedAt = Instant.EPOCH;
    Instant readyAt = Instant.EPOCH;

    @Nullable
    Instant nextDue;

    String tasks = "";
    String mould = "";
    double fatGrams;
    int bars;

    @Nullable
    Double lastBarGrams;

    @Nullable
    Double lyeCelsius;

    @Nullable
    Double fatsCelsius;

    boolean lyeIsIn;
    boolean wasPoured;
    String lyeVessel = "";
    String fatsVessel = "";
    /** What it is found by, in small letters. */
    String words = "";

    String leading = "";
    double leadingProbability;
    String hazard = "";
    double hazardProbability;
    String look = "";

    @Override
    public UUID getId() {
        return batchId;
    }
}
