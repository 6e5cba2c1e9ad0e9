/**
 * Diagnosis: what is seen, what it is, what to look at next; hold and release.
 */
@MayUse({"places.batch", "shared", "shared.print", "store.account", "store.batch", "store.casebook", "store.shelf"})
@NullMarked
package io.causticon.web.places.casebook;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
