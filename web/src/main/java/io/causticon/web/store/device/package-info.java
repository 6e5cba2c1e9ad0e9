/**
 * Devices and their readings as they are kept.
 */
@MayUse({"shared", "store.batch"})
@NullMarked
package io.causticon.web.store.device;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
