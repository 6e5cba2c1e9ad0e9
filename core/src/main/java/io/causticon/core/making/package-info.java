/**
 * How long a batter stays workable. May use {@code formula} and below.
 */
@NullMarked
package io.causticon.core.making;

import org.jspecify.annotations.NullMarked;
