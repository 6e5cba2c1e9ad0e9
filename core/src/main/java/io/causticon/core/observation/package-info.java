/**
 * The log of a batch: sealed entry types, amendments that keep what stood before, and the facts that follow from the log. A batch is its log.
 * May use {@code formula}, {@code mould}, {@code substance}, {@code problem}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.observation;

import org.jspecify.annotations.NullMarked;
