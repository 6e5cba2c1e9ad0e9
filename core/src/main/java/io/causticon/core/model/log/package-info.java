/**
 * The log of a batch: sealed entry types, amendments that keep what stood before. A batch is its log.
 */
@MayUse({"model.plan", "model.substance", "problem", "quantity"})
@NullMarked
package io.causticon.core.model.log;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
