/**
 * Moulds and what is drawn in them: volumes, fill, layers under drawn lines, cuts. Lengths in mm, areas in mm2, volumes
 * in ml.
 */
@MayUse({"problem", "quantity"})
@NullMarked
package io.causticon.core.model.mould;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
