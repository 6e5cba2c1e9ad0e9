package io.causticon.web.shelf;

import io.causticon.core.quantity.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A jug or bowl with its own mass, for tares that were not taken. */
@Entity
@Table(name = "vessel")
class VesselRow {

    @Id
    private UUID id = UUID.randomUUID();

    private String name = "";
    private double grams;

    protected VesselRow() {}

    VesselRow(String name, Mass mass) {
        this.name = name;
        this.grams = mass.grams();
    }

    String name() {
        return name;
    }

    Mass mass() {
        return Mass.grams(grams);
    }
}
