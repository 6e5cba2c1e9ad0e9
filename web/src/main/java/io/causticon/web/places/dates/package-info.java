/**
 * Dates: what is due and when, in a calendar too; and backwards from a day on which bars are to be ready.
 */
@MayUse({"places.batch", "places.trial", "shared", "store.account", "store.batch", "store.dates", "store.recipe"})
@NullMarked
package io.causticon.web.places.dates;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
