/**
 * Batches that never were: drawn by plain frequencies with what is wrong with them, to try the diagnosis and makers on. What draws does not know what the
 * diagnosis goes by, or that would be judged by its own opinion. May use {@code formula}, {@code observation}, {@code quantity}, {@code substance}.
 */
@NullMarked
package io.causticon.core.draw;

import org.jspecify.annotations.NullMarked;
