/**
 * Reads a recipe from a note, a line an ingredient, as it lies beside the scale.
 */
@MayUse({"model.said.notation", "model.substance", "problem", "quantity"})
@NullMarked
package io.causticon.core.model.said.note;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
