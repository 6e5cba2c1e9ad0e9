package io.causticon.web.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A lot on the shelf. */
@Entity
@Table(name = "lot")
class LotRow {

    @Id
    UUID id = UUID.randomUUID();

    @Enumerated(EnumType.STRING)
    LotKind kind = LotKind.FAT;

    String substance = "";
    String label = "";
    @Nullable Double saponification;
    @Nullable BigDecimal perKilogram;
    @Nullable LocalDate useBy;
    boolean retired;

    Lot lot() {
        return new Lot(id, kind, substance, label, saponification, perKilogram, useBy);
    }
}
