/**
 * Starting: the folder of the data, what keeps the application from starting, in plain words, and whether the file
 * still holds what it held. Knows no place.
 */
@MayUse({})
@NullMarked
package io.causticon.web.shared.start;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
