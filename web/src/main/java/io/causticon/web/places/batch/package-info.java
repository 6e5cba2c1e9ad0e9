/**
 * Batches, their logs and the strip of their life.
 */
@MayUse({"shared", "shared.print", "shared.words", "store.account", "store.batch"})
@NullMarked
package io.causticon.web.places.batch;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
