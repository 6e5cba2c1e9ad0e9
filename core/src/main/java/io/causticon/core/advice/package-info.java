/**
 * What to do with the hands when a batch goes wrong. May use {@code forecast}, {@code preflight}, {@code making}, {@code loaf}, {@code pots}, {@code observation}, {@code formula},
 * {@code mould}, {@code substance}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.advice;

import org.jspecify.annotations.NullMarked;
