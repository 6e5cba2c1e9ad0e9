/**
 * All batches by age, and what is due.
 */
@MayUse({"places.trial", "shared", "shared.words", "store.account", "store.batch", "store.dates"})
@NullMarked
package io.causticon.web.places.rack;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
