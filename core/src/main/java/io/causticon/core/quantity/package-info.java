/**
 * Masses, temperatures, shares and values with an uncertainty. Depends on nothing else of ours.
 */
@NullMarked
package io.causticon.core.quantity;

import org.jspecify.annotations.NullMarked;
