/**
 * Fats, liquids and additives: what is known of them, with its source and confidence, and the theory that checks it.
 */
@MayUse("quantity")
@NullMarked
package io.causticon.core.model.substance;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
