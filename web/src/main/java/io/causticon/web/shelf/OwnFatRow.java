package io.causticon.web.shelf;

import io.causticon.core.substance.Catalogue;
import io.causticon.core.substance.Fat;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

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

    Fat fat() {
        return Catalogue.standard().fat(likeId).ownLikeness(id, name, saponification, iodine, animal);
    }
}
