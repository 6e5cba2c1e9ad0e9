/**
 * What can stand in a batch's log: one descriptor for each kind of entry, with its kept name, its words, its shorthand, the phrases that mean it
 * and its mark on the strip; and the quick line, which reads them. May use {@code vocabulary}, {@code diagnosis}, {@code notation}, {@code observation},
 * {@code formula}, {@code substance}, {@code problem}, {@code wording}, {@code quantity}.
 *
 * <p>A new kind is three files: its record in {@code Entry}, its descriptor in the list of its family here, its example in the test of them all.
 */
@NullMarked
package io.causticon.core.entry;

import org.jspecify.annotations.NullMarked;
