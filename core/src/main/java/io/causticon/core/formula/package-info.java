/**
 * From a list of fats to the alkali, liquid and superfat of a batch. May use {@code mould}, {@code substance}, {@code quantity}, {@code problem}.
 */
@NullMarked
package io.causticon.core.formula;

import org.jspecify.annotations.NullMarked;
