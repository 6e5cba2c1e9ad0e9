/**
 * Soap made to find something out: how arms are made from one plan, in what plans differ, in which order judges meet the arms, what their grades come
 * to and what that is worth. May use {@code formula}, {@code mould}, {@code observation}, {@code problem}, {@code quantity}, {@code substance},
 * {@code wording}.
 */
@NullMarked
package io.causticon.core.trial;

import org.jspecify.annotations.NullMarked;
