/**
 * Lines of a log in the words that every place, document and printed sheet says them in.
 */
@MayUse("shared")
@NullMarked
package io.causticon.web.shared.words;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
