/**
 * Signing in, and the settings of a maker and of the workshop.
 */
@MayUse({"security", "shared", "store.account"})
@NullMarked
package io.causticon.web.places.settings;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
