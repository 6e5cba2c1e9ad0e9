/**
 * Reads a recipe from a note, a line an ingredient, as it lies beside the scale. May use {@code notation}, {@code substance}, {@code problem},
 * {@code quantity}.
 */
@NullMarked
package io.causticon.core.note;

import org.jspecify.annotations.NullMarked;
