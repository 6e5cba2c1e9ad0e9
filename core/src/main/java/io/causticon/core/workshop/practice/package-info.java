/**
 * Practice on batches that never were: what a learner may do and what that costs, what it comes to, what an ideal one
 * would have done; and drills of first aid.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.plan",
    "model.substance",
    "quantity",
    "science.diagnosis",
    "science.diagnosis.evidence",
    "science.diagnosis.knowledge",
    "science.diagnosis.network",
    "science.draw",
    "science.facts",
    "science.formula",
    "science.instruments",
    "science.making",
    "wording"
})
@NullMarked
package io.causticon.core.workshop.practice;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
