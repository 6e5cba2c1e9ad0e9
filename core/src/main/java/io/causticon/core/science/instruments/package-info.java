/**
 * What instruments without fault would show on a batch: stand-ins for devices follow it.
 */
@MayUse({
    "model.log",
    "model.plan",
    "quantity",
    "science.facts",
    "science.formula",
    "science.loaf",
    "science.making",
    "science.pots"
})
@NullMarked
package io.causticon.core.science.instruments;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
