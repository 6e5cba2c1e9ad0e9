/**
 * What every place needs: how values are written, how problems are worded, errors, the clock. Knows no place.
 */
@MayUse({})
@NullMarked
package io.causticon.web.shared;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
