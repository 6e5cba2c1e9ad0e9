/**
 * All batches by age, and what is due. May use {@code dates}, {@code trial}, {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.rack;

import org.jspecify.annotations.NullMarked;
