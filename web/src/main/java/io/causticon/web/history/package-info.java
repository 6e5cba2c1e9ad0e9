/**
 * What was made over the years as small charts, and which change came before which defect. May use {@code batch}, {@code account}, {@code print}, {@code shared}.
 */
@NullMarked
package io.causticon.web.history;

import org.jspecify.annotations.NullMarked;
