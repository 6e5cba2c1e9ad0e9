/**
 * From what was seen, felt, measured and logged to what the bar has, why, and what to look at next. The knowledge
 * itself is in the package beneath.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.plan",
    "model.substance",
    "quantity",
    "science.diagnosis.evidence",
    "science.diagnosis.network",
    "science.diagnosis.slips",
    "science.facts",
    "wording"
})
@NullMarked
package io.causticon.core.science.diagnosis;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
