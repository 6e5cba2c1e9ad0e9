package io.causticon.web.shelf;

import io.causticon.core.mould.Mould;
import io.causticon.core.mould.MouldKind;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A mould on the shelf; measures in mm, water in ml. */
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
    private @Nullable Double water;
    private boolean retired;

    protected MouldRow() {}

    MouldRow(Mould mould) {
        change(mould);
    }

    void change(Mould mould) {
        this.name = mould.name();
        this.kind = mould.kind();
        this.length = mould.length();
        this.width = mould.width();
        this.height = mould.height();
        this.cavities = mould.cavities();
        this.water = mould.water();
        this.retired = false;
    }

    Mould mould() {
        return new Mould(name, kind, length, width, height, cavities, water);
    }

    boolean retired() {
        return retired;
    }

    void retire() {
        this.retired = true;
    }
}
