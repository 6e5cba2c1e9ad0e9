/**
 * Trials, their arms and panels as they are kept.
 */
@MayUse({"shared", "store.account", "store.batch"})
@NullMarked
package io.causticon.web.store.trial;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
