package io.causticon.web.store.shelf;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A bottle or bag as it was bought.
 *
 * @param kind of which table its substance is
 * @param substance id of the substance
 * @param label what stands on it
 * @param saponification the supplier's certificate, mg KOH per g; null without
 * @param perKilogram price of a kilogram in the workshop's money; null when it was not said
 * @param useBy last day it should be used; null when none is known
 */
public record Lot(
        UUID id,
        LotKind kind,
        String substance,
        String label,
        @Nullable Double saponification,
        @Nullable BigDecimal perKilogram,
        @Nullable LocalDate useBy) {

    public boolean isPast(LocalDate today) {
        return useBy != null && useBy.isBefore(today);
    }
}
