/**
 * The looks and signs that can be logged: their kept names, words, scale, day, and what takes the looking.
 */
@MayUse({})
@NullMarked
package io.causticon.core.model.finding;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
