/**
 * Practice: cases that never were a batch, drills of first aid, and how somebody gets on. May use {@code casebook}, {@code batch}, {@code account},
 * {@code shared}.
 */
@NullMarked
package io.causticon.web.practice;

import org.jspecify.annotations.NullMarked;
