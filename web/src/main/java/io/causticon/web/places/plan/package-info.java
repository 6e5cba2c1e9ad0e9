/**
 * Recipes and what follows from them while they are typed.
 */
@MayUse({"shared", "store.account", "store.batch", "store.recipe", "store.shelf"})
@NullMarked
package io.causticon.web.places.plan;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
