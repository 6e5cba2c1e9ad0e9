/**
 * What follows from a plan: fatty acids, amounts of batter and of each jug, portions, costs, and what is wrong with a
 * plan.
 */
@MayUse({"model.mould", "model.plan", "model.substance", "problem", "quantity"})
@NullMarked
package io.causticon.core.science.formula;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
