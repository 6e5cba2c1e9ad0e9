/**
 * From what was seen, felt, measured and logged to what the bar has, why, and what to look at next.
 * May use {@code observation} and below; the knowledge itself is in {@code diagnosis.knowledge}.
 */
@NullMarked
package io.causticon.core.diagnosis;

import org.jspecify.annotations.NullMarked;
