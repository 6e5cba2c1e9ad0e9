/**
 * Labels in true millimetres, as PDF and SVG: for the rack, with a code that leads to the batch, and for bars, with
 * what they are made of.
 */
@MayUse({"places.network", "shared", "shared.print", "store.account", "store.batch"})
@NullMarked
package io.causticon.web.exchange.label;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
