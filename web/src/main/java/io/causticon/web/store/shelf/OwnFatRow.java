package io.causticon.web.store.shelf;

import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;

/** A fat that the tables do not hold, with the values of its supplier's certificate. */
@Entity
@Table(name = "own_fat")
class OwnFatRow {

    @Id
    String id = "";

    String name = "";
    String likeId = "";
    double saponification;
    double iodine;
    boolean animal;
    boolean retired;

    /** Empty if what stands here cannot be a fat. */
    Optional<Fat> fat() {
        return Catalogue.standard()
                .findFat(likeId)
                .filter(f -> ShelfForm.SAPONIFICATION.contains(saponification) && ShelfForm.IODINE.contains(iodine))
                .map(f -> f.ownLikeness(id, name, saponification, iodine, animal));
    }
}
