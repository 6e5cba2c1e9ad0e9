/**
 * Planned makings and the feeds of calendars as they are kept.
 */
@MayUse({"shared", "store.account", "store.recipe"})
@NullMarked
package io.causticon.web.store.dates;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
