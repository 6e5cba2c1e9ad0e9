/**
 * Slips at the scale that explain a superfat that signs speak for: a tare, a fat left out, one swapped for another,
 * lye weighed twice.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "quantity",
    "science.diagnosis.network",
    "science.facts",
    "wording"
})
@NullMarked
package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
