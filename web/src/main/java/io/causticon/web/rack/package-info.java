/**
 * All batches by age, and what is due. May use {@code batch}, {@code casebook}, {@code shared}, {@code account}.
 */
@NullMarked
package io.causticon.web.rack;

import org.jspecify.annotations.NullMarked;
