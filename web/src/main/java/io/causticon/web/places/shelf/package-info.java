/**
 * What stands on the workshop's shelf: moulds, vessels, own fats and fragrances, lots.
 */
@MayUse({"shared", "store.account", "store.batch", "store.shelf"})
@NullMarked
package io.causticon.web.places.shelf;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
