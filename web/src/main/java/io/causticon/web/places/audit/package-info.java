/**
 * Who did what, when, from which device; and every amendment of a log with what it said before.
 */
@MayUse({"shared", "store.account", "store.audit"})
@NullMarked
package io.causticon.web.places.audit;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
