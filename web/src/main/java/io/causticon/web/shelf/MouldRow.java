package io.causticon.web.shelf;

import io.causticon.core.formula.Mould;
import io.causticon.core.formula.MouldKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;

/** A mould on the shelf; measures in mm. */
@Entity
@Table(name = "mould")
class MouldRow {

    @Id
    private UUID id = UUID.randomUUID();

    private String name = "";

    @Enumerated(EnumType.STRING)
    private MouldKind kind = MouldKind.WOODEN_LOAF;

    private double length;
    private double width;
    private double height;
    private int cavities;

    protected MouldRow() {}

    MouldRow(Mould mould) {
        this.name = mould.name();
        this.kind = mould.kind();
        this.length = mould.length();
        this.width = mould.width();
        this.height = mould.height();
        this.cavities = mould.cavities();
    }

    Mould mould() {
        return new Mould(name, kind, length, width, height, cavities);
    }
}
