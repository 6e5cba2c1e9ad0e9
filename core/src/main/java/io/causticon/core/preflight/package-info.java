/**
 * What will bite in a combination of formula, mould, room and workshop, with the reason and changes of one tap. One hidden class a family
 * of bites. May use {@code forecast}, {@code making}, {@code formula} and below.
 */
@NullMarked
package io.causticon.core.preflight;

import org.jspecify.annotations.NullMarked;
