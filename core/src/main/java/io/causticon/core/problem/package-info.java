/**
 * Faults in what was entered: a key, the place it stands at, and the values that make its message. Depends on {@code quantity} alone;
 * wording belongs to whoever shows it.
 */
@NullMarked
package io.causticon.core.problem;

import org.jspecify.annotations.NullMarked;
