/**
 * What will bite in a combination of formula, mould, room and workshop, with the reason and changes of one tap. One hidden class a family of risks.
 * May use {@code pots}, {@code cure}, {@code cook}, {@code making}, {@code loaf}, {@code formula}, {@code mould}, {@code substance}, {@code problem},
 * {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.preflight;

import org.jspecify.annotations.NullMarked;
