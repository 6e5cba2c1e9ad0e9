/**
 * What leaves the screen: the typefaces of what is printed, and drawings as files of their own. May use {@code shared}.
 */
@NullMarked
package io.causticon.web.print;

import org.jspecify.annotations.NullMarked;
