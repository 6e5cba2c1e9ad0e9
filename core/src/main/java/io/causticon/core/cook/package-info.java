/**
 * Soap that is cooked before it is moulded: what goes into the pot and what after the cook, how far it is, how much water left. May use
 * {@code loaf}, {@code observation}, {@code formula}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.cook;

import org.jspecify.annotations.NullMarked;
