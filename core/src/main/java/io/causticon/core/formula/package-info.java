/**
 * From a list of fats to the alkali, liquid and superfat of a batch. May use {@code mould}, {@code substance}, {@code problem}, {@code quantity}.
 */
@NullMarked
package io.causticon.core.formula;

import org.jspecify.annotations.NullMarked;
