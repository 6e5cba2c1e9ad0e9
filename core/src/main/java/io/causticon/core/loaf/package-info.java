/**
 * The loaf that warms itself and gives its heat to the room. May use {@code pots}, {@code formula}, {@code mould}, {@code substance},
 * {@code quantity}.
 */
@NullMarked
package io.causticon.core.loaf;

import org.jspecify.annotations.NullMarked;
