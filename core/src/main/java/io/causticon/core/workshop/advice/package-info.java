/**
 * What to do with the hands when a batch goes wrong.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "quantity",
    "science.facts",
    "science.forecast",
    "science.formula",
    "science.loaf",
    "science.making",
    "science.pots",
    "wording",
    "workshop.preflight"
})
@NullMarked
package io.causticon.core.workshop.advice;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
