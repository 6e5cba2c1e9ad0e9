/**
 * Fits the shares of a recipe's fats to what the maker wants, within her limits, and tells what each change buys. May use {@code cure},
 * {@code making}, {@code formula}, {@code substance}, {@code problem}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.fit;

import org.jspecify.annotations.NullMarked;
