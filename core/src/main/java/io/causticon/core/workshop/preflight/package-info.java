/**
 * What will bite in a combination of formula, mould, room and workshop, with the reason and changes of one tap. One
 * hidden class a family of risks.
 */
@MayUse({
    "model.mould",
    "model.plan",
    "model.substance",
    "problem",
    "quantity",
    "science.cook",
    "science.cure",
    "science.formula",
    "science.loaf",
    "science.making",
    "science.pots",
    "wording"
})
@NullMarked
package io.causticon.core.workshop.preflight;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
