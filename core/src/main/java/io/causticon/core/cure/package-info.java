/**
 * Drying bars and the date they are ready. May use {@code observation} and below.
 */
@NullMarked
package io.causticon.core.cure;

import org.jspecify.annotations.NullMarked;
