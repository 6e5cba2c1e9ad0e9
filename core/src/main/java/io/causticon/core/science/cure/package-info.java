/**
 * Drying bars and the date they are ready.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "problem",
    "quantity",
    "science.facts",
    "science.formula",
    "wording"
})
@NullMarked
package io.causticon.core.science.cure;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
