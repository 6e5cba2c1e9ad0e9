/**
 * Recipes, their versions and what is under way on a plan.
 */
@MayUse({"shared", "store.account", "store.batch"})
@NullMarked
package io.causticon.web.store.recipe;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
