package io.causticon.web.store.batch;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** Soap that is kept to be melted down again. */
@Entity
@Table(name = "scrap")
class ScrapRow extends NewRow<String> {

    @Id
    String id = "";

    @Nullable
    UUID batchId;

    String code = "";
    String name = "";
    String colour = "";
    double grams;
    Instant keptAt = Instant.EPOCH;

    /** A fraction, as it was known when the log of its batch was last written. */
    double superfat;

    /** One standard deviation of it. */
    double spread;

    /** Id of the fat that it is mostly made of, where there is no batch that would tell. */
    String mainFat = "";

    boolean retired;

    @Override
    public String getId() {
        return id;
    }
}
