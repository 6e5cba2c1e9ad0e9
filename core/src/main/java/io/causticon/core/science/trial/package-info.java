/**
 * Soap made to find something out: how arms are made from one plan, in what plans differ, in which order judges meet
 * the arms, what their grades come to and what that is worth.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "problem",
    "quantity",
    "science.formula",
    "wording"
})
@NullMarked
package io.causticon.core.science.trial;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
