/**
 * What instruments without fault would show on a batch: stand-ins for devices follow it. May use {@code pots}, {@code making}, {@code loaf},
 * {@code observation}, {@code formula}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.instruments;

import org.jspecify.annotations.NullMarked;
