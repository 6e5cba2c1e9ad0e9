/**
 * Faults in what was entered: a key, the place it stands at, and the values that make its message; wording belongs to
 * whoever shows it.
 */
@MayUse({})
@NullMarked
package io.causticon.core.problem;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
