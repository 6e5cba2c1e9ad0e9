/**
 * From a maker's own words to the findings they may mean: ways of saying each, the spellings and kindred words of
 * several dialects of the trade, and a search over them.
 */
@MayUse("model.finding")
@NullMarked
package io.causticon.core.model.said.vocabulary;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
