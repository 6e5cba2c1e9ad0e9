/**
 * The shelf as it is kept: vessels, lots, moulds, own fats and fragrances.
 */
@MayUse({"shared", "store.batch"})
@NullMarked
package io.causticon.web.store.shelf;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
