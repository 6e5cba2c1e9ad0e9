/**
 * Fats, liquids and additives: what is known of them, with its source and confidence, and the theory that checks it. May use {@code quantity}.
 */
@NullMarked
package io.causticon.core.substance;

import org.jspecify.annotations.NullMarked;
