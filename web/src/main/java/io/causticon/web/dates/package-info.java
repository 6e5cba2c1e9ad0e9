/**
 * Dates: what is due and when, in a calendar too; and backwards from a day on which bars are to be ready. May use {@code plan}, {@code trial}, {@code batch},
 * {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.dates;

import org.jspecify.annotations.NullMarked;
