/**
 * What leaves the screen: the typefaces of what is printed, and drawings as files of their own.
 */
@MayUse("shared")
@NullMarked
package io.causticon.web.shared.print;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
