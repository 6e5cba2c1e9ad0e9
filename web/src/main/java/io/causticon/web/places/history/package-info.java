/**
 * What was made over the years as small charts, and which change came before which defect.
 */
@MayUse({"shared", "shared.print", "store.account", "store.batch"})
@NullMarked
package io.causticon.web.places.history;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
