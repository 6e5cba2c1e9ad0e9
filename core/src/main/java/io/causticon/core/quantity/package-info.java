/**
 * Masses, temperatures, shares and values with an uncertainty; what they are fitted with, and how dear answers are kept. May use nothing of ours.
 */
@NullMarked
package io.causticon.core.quantity;

import org.jspecify.annotations.NullMarked;
