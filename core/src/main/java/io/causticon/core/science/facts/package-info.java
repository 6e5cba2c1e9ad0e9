/**
 * What a log tells of a batch, read against its plan: masses as weighed, the order of weighing, ages and stages,
 * parts.
 */
@MayUse({"model.log", "model.mould", "model.plan", "model.substance", "quantity", "science.formula"})
@NullMarked
package io.causticon.core.science.facts;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
