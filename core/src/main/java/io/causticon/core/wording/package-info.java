/**
 * Sentences with quantities in them, so that whoever shows them can write the quantities in the maker's units.
 */
@MayUse({})
@NullMarked
package io.causticon.core.wording;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
