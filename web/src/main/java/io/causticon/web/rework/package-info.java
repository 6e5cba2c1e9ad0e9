/**
 * Soap that is melted down again: what there is of it, what comes of it, and the batch that it becomes. May use {@code casebook}, {@code shelf},
 * {@code batch}, {@code account}, {@code shared}.
 */
@NullMarked
package io.causticon.web.rework;

import org.jspecify.annotations.NullMarked;
