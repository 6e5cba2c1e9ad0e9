/**
 * What makers type: quantities with or without units, and the quick line of the bench. May use {@code observation} and below.
 */
@NullMarked
package io.causticon.core.notation;

import org.jspecify.annotations.NullMarked;
