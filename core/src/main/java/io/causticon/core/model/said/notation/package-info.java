/**
 * What makers type: quantities with or without units.
 */
@MayUse({"model.log", "model.mould", "model.plan", "problem", "quantity"})
@NullMarked
package io.causticon.core.model.said.notation;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
