/**
 * What happens in the pots before lye and fats meet: how hot the lye gets, how both cool, when they meet. One class per
 * published relation.
 */
@MayUse({"model.log", "model.plan", "model.substance", "quantity", "science.facts", "science.formula"})
@NullMarked
package io.causticon.core.science.pots;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
