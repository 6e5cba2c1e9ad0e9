/**
 * Sentences with quantities in them, so that whoever shows them can write the quantities in the maker's units. May use nothing of ours.
 */
@NullMarked
package io.causticon.core.wording;

import org.jspecify.annotations.NullMarked;
