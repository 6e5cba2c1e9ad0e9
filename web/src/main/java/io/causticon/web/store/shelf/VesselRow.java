package io.causticon.web.store.shelf;

import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.web.shared.Kept;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;

/** A jug or bowl with its own mass, for tares that were not taken. */
@Entity
@Table(name = "vessel")
class VesselRow {

    /** g. */
    private static final Interval POSSIBLE = Interval.between(0, ShelfForm.HEAVIEST_VESSEL.grams());

    @Id
    private UUID id = UUID.randomUUID();

    private String name = "";
    private double grams;

    private String material = VesselMaterial.STAINLESS_STEEL.name();

    private boolean retired;

    protected VesselRow() {}

    VesselRow(Vessel vessel) {
        change(vessel);
    }

    void change(Vessel vessel) {
        this.name = vessel.name();
        this.grams = vessel.mass().grams();
        this.material = vessel.material().name();
        this.retired = false;
    }

    String id() {
        return id.toString();
    }

    String name() {
        return name;
    }

    /** Empty if what stands here cannot be a vessel. */
    Optional<Vessel> vessel() {
        return Kept.choice(VesselMaterial.class, material)
                .filter(m -> POSSIBLE.contains(grams))
                .map(m -> new Vessel(name, m, Mass.grams(grams)));
    }

    boolean retired() {
        return retired;
    }

    void bringBack() {
        retired = false;
    }

    void retire() {
        this.retired = true;
    }
}
