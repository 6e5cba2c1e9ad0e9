package io.causticon.web.store.shelf;

import io.causticon.web.shared.Kept;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A lot on the shelf. */
@Entity
@Table(name = "lot")
class LotRow {

    @Id
    UUID id = UUID.randomUUID();

    String kind = LotKind.FAT.name();

    String substance = "";
    String label = "";

    @Nullable
    Double saponification;

    @Nullable
    BigDecimal perKilogram;

    @Nullable
    LocalDate useBy;

    boolean retired;

    /** Empty if what stands here cannot be a lot. */
    Optional<Lot> lot() {
        return saponification != null && !ShelfForm.SAPONIFICATION.contains(saponification)
                ? Optional.empty()
                : Kept.choice(LotKind.class, kind)
                        .map(k -> new Lot(id, k, substance, label, saponification, perKilogram, useBy));
    }
}
