package io.causticon.web.store.batch;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import java.time.Instant;
import java.util.Optional;

/**
 * Soap that is kept to be melted down again.
 *
 * @param id names it
 * @param batch the batch that it is of; empty where it is of none here
 * @param code the code of that batch; empty without one
 * @param name as it is called, with its batch
 * @param colour by which it is sorted
 * @param kept how much was put aside
 * @param left how much of that no batch has taken
 * @param keptAt when the last of it was put aside
 * @param superfat of it, a fraction
 * @param mainFat id of the fat that it is mostly made of, where there is no batch that would tell; else empty
 */
public record Scrap(
        String id,
        Optional<BatchId> batch,
        String code,
        String name,
        String colour,
        Mass kept,
        Mass left,
        Instant keptAt,
        Estimate superfat,
        String mainFat) {}
