package io.causticon.web.store.batch;

import io.causticon.web.shared.NewRow;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** What a batch took of one kind of scraps. */
@Entity
@Table(name = "scrap_use")
class ScrapUseRow extends NewRow<String> {

    @Id
    String id = "";

    UUID batchId = new UUID(0, 0);

    /** Of the batch that took it. */
    String name = "";

    String scrapId = "";

    /** Id of the batch that the scrap is of; of the scrap where there is none. */
    String source = "";

    double grams;

    @Override
    public String getId() {
        return id;
    }
}
