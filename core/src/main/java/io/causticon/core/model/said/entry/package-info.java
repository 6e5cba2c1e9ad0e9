/**
 * What can stand in a batch's log: one descriptor for each kind of entry, with its kept name, its words, its shorthand,
 * the phrases that mean it and its mark on the strip; and the quick line, which reads them.
 *
 * <p>A new kind is three files: its record in {@code Entry}, its descriptor in the list of its family here, its example
 * in the test of them all.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.plan",
    "model.said.notation",
    "model.said.vocabulary",
    "model.substance",
    "problem",
    "quantity",
    "wording"
})
@NullMarked
package io.causticon.core.model.said.entry;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
