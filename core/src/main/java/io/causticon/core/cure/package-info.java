/**
 * Drying bars and the date they are ready. May use {@code observation}, {@code formula}, {@code mould}, {@code substance},
 * {@code wording}, {@code problem}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.cure;

import org.jspecify.annotations.NullMarked;
