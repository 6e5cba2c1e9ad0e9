/**
 * The days of a batch: when it is ready, by which day it must be begun, what is due.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "science.cure",
    "science.diagnosis.evidence",
    "science.facts",
    "science.formula"
})
@NullMarked
package io.causticon.core.workshop.dates;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
