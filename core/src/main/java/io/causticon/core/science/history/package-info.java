/**
 * What a workshop made over the years, what became of it, and which change came before which defect.
 */
@MayUse({"model.log", "model.mould", "model.plan", "model.substance", "quantity", "science.cure", "science.facts"})
@NullMarked
package io.causticon.core.science.history;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
