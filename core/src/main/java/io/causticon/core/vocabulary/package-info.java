/**
 * From a maker's own words to the findings they may mean: ways of saying each, the spellings and kindred words of several dialects of the trade, and
 * a search over them. May use {@code diagnosis}.
 */
@NullMarked
package io.causticon.core.vocabulary;

import org.jspecify.annotations.NullMarked;
