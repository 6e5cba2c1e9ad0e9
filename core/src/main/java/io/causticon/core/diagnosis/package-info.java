/**
 * From what was seen, felt, measured and logged to what the bar has, why, and what to look at next. The knowledge itself is in the package beneath.
 * May use {@code making}, {@code observation}, {@code mould}, {@code formula}, {@code substance}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.diagnosis;

import org.jspecify.annotations.NullMarked;
