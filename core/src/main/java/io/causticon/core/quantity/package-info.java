/**
 * Masses, temperatures, shares and values with an uncertainty; what they are fitted with, and how dear answers are
 * kept.
 */
@MayUse({})
@NullMarked
package io.causticon.core.quantity;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
