/**
 * Fits the shares of a recipe's fats to what the maker wants, within her limits, and tells what each change buys. May use
 * {@code making}, {@code cure}, {@code formula} and below.
 */
@NullMarked
package io.causticon.core.fit;

import org.jspecify.annotations.NullMarked;
