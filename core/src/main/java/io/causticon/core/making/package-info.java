/**
 * From lye-in to the pour: how long a batter stays workable, what is learned of it, what goes in when, and what each ingredient did. May use
 * {@code observation}, {@code formula}, {@code mould}, {@code substance}, {@code problem}, {@code wording}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.making;

import org.jspecify.annotations.NullMarked;
