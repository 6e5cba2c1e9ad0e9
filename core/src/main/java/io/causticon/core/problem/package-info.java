/**
 * Faults in what was entered: a key, the place it stands at, and the values that make its message; wording belongs to whoever shows it. May use
 * nothing of ours.
 */
@NullMarked
package io.causticon.core.problem;

import org.jspecify.annotations.NullMarked;
