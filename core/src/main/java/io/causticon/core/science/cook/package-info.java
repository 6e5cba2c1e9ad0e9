/**
 * Soap that is cooked before it is moulded: what goes into the pot and what after the cook, how far it is, how much
 * water left.
 */
@MayUse({"model.log", "model.plan", "quantity", "science.facts", "science.formula", "science.loaf", "wording"})
@NullMarked
package io.causticon.core.science.cook;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
