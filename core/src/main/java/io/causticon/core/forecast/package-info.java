/**
 * What a batch will do, put together from the models: the batter, the loaf, the bar. May use {@code cure}, {@code making}, {@code loaf},
 * {@code observation}, {@code formula}, {@code mould}, {@code substance}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.forecast;

import org.jspecify.annotations.NullMarked;
