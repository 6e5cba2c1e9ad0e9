package io.causticon.web.store.dates;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

/** The private address of somebody's calendar; of its token only the hash is kept. */
@Entity
@Table(name = "calendar_feed")
class FeedRow {

    @Id
    String account = "";

    String tokenHash = "";
    Instant madeAt = Instant.EPOCH;
}
