/**
 * Fits the shares of a recipe's fats to what the maker wants, within her limits, and tells what each change buys.
 */
@MayUse({"model.plan", "model.substance", "problem", "quantity", "science.cure", "science.formula", "science.making"})
@NullMarked
package io.causticon.core.science.fit;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
