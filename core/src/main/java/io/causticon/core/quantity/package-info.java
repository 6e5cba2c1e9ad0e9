/**
 * Masses, temperatures, shares and values with an uncertainty. May use nothing of ours.
 */
@NullMarked
package io.causticon.core.quantity;

import org.jspecify.annotations.NullMarked;
