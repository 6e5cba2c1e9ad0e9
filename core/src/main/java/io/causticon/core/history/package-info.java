/**
 * What a workshop made over the years, what became of it, and which change came before which defect. May use {@code cure}, {@code observation},
 * {@code formula}, {@code mould}, {@code substance}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.history;

import org.jspecify.annotations.NullMarked;
