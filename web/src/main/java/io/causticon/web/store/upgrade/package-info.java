/**
 * What a newer program does once to data that an older one kept.
 */
@MayUse({"shared", "shared.start"})
@NullMarked
package io.causticon.web.store.upgrade;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
