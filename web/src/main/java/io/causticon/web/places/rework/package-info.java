/**
 * Soap that is melted down again: what there is of it, what comes of it, and the batch that it becomes.
 */
@MayUse({"places.casebook", "shared", "store.account", "store.batch", "store.shelf"})
@NullMarked
package io.causticon.web.places.rework;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
