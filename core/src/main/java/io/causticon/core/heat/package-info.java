/**
 * Heat in the lye pot, bodies that cool, the loaf that warms itself. One class per published relation. May use {@code formula}, {@code mould},
 * {@code substance}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.heat;

import org.jspecify.annotations.NullMarked;
