package io.causticon.web.shelf;

import io.causticon.core.formula.Vessel;
import io.causticon.core.formula.VesselMaterial;
import io.causticon.core.quantity.Mass;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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

    @Enumerated(EnumType.STRING)
    private VesselMaterial material = VesselMaterial.STAINLESS_STEEL;

    private boolean retired;

    protected VesselRow() {}

    VesselRow(Vessel vessel) {
        change(vessel);
    }

    void change(Vessel vessel) {
        this.name = vessel.name();
        this.grams = vessel.mass().grams();
        this.material = vessel.material();
        this.retired = false;
    }

    Vessel vessel() {
        return new Vessel(name, material, Mass.grams(grams));
    }

    boolean retired() {
        return retired;
    }

    void retire() {
        this.retired = true;
    }
}
