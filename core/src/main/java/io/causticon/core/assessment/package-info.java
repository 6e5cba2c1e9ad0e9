/**
 * The judgement of a batch: one value that says where it is in its life, whether it may be used and why not, what a release wants, what is in doubt, its
 * dates and masses, and what is worth doing next. Whoever tells anything of a batch reads it here. May use {@code entry}, {@code cure},
 * {@code diagnosis}, {@code observation}, {@code formula}, {@code substance}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.assessment;

import org.jspecify.annotations.NullMarked;
