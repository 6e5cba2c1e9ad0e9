/**
 * Moulds and what is drawn in them: volumes, fill, layers under drawn lines, cuts. Lengths in mm, areas in mm2, volumes in ml. May use
 * {@code problem}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.mould;

import org.jspecify.annotations.NullMarked;
