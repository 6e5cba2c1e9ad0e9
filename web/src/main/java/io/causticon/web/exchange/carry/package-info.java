/**
 * Carrying: what a workshop has written, out in open formats and in from elsewhere, looked at first and taken back as a
 * whole.
 */
@MayUse({
    "places.plan",
    "shared",
    "shared.print",
    "shared.words",
    "store.account",
    "store.arrival",
    "store.batch",
    "store.document",
    "store.recipe"
})
@NullMarked
package io.causticon.web.exchange.carry;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
