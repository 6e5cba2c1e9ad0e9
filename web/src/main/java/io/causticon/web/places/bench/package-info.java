/**
 * The live batch, one thing at a time.
 */
@MayUse({"shared", "shared.words", "store.account", "store.batch", "store.device", "store.shelf"})
@NullMarked
package io.causticon.web.places.bench;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
