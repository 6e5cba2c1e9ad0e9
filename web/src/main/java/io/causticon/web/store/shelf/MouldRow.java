package io.causticon.web.store.shelf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.problem.Problems;
import io.causticon.core.science.formula.PlanCheck;
import io.causticon.web.shared.Kept;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A mould on the shelf; measures in mm, water in ml. */
@Entity
@Table(name = "mould")
class MouldRow {

    @Id
    private UUID id = UUID.randomUUID();

    private String name = "";

    private String kind = MouldKind.WOODEN_LOAF.name();

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
        this.kind = mould.kind().name();
        this.length = mould.length();
        this.width = mould.width();
        this.height = mould.height();
        this.cavities = mould.cavities();
        this.water = mould.water();
        this.retired = false;
    }

    String name() {
        return name;
    }

    /** Empty if what stands here cannot be a mould. */
    Optional<Mould> mould() {
        Optional<Mould> mould =
                Kept.choice(MouldKind.class, kind).map(k -> new Mould(name, k, length, width, height, cavities, water));
        Problems problems = new Problems();
        PlanCheck.checkMould("mould", mould.orElse(null), problems);
        return mould.filter(m -> problems.isEmpty());
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
