/**
 * The loaf that warms itself and gives its heat to the room.
 */
@MayUse({
    "model.mould",
    "model.plan",
    "model.substance",
    "quantity",
    "science.formula",
    "science.making",
    "science.pots"
})
@NullMarked
package io.causticon.core.science.loaf;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
