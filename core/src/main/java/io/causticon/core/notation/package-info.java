/**
 * What makers type: quantities with or without units. May use {@code observation}, {@code formula}, {@code mould}, {@code problem},
 * {@code quantity}.
 */
@NullMarked
package io.causticon.core.notation;

import org.jspecify.annotations.NullMarked;
