/**
 * What is decided before a batch is begun: its fats, alkali, liquid, additives, pouring, vessels; and the masses that
 * follow from each other whichever was given.
 */
@MayUse({"model.mould", "model.substance", "problem", "quantity"})
@NullMarked
package io.causticon.core.model.plan;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
