/**
 * Labels in true millimetres, as PDF and SVG: for the rack, with a code that leads to the batch, and for bars, with what they are made of. May use
 * {@code network}, {@code batch}, {@code account}, {@code print}, {@code shared}.
 */
@NullMarked
package io.causticon.web.label;

import org.jspecify.annotations.NullMarked;
