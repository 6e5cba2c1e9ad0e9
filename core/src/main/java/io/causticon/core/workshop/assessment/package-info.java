/**
 * The judgement of a batch: one value that says where it is in its life, whether it may be used and why not, what a
 * release wants, what is in doubt, its dates and masses, and what is worth doing next. Whoever tells anything of a
 * batch reads it here.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.plan",
    "model.said.entry",
    "model.substance",
    "quantity",
    "science.diagnosis",
    "science.diagnosis.evidence",
    "science.diagnosis.network",
    "science.facts",
    "wording",
    "workshop.dates"
})
@NullMarked
package io.causticon.core.workshop.assessment;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
