/**
 * Practice on batches that never were: what a learner may do and what that costs, what it comes to, what an ideal one would have done; and drills of first
 * aid. May use {@code diagnosis}, {@code diagnosis.knowledge}, {@code draw}, {@code formula},
 * {@code instruments}, {@code making}, {@code observation}, {@code quantity}, {@code substance}, {@code wording}.
 */
@NullMarked
package io.causticon.core.practice;

import org.jspecify.annotations.NullMarked;
