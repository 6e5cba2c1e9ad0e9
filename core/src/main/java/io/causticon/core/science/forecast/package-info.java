/**
 * What a batch will do, put together from the models: the batter, the loaf, the bar.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "quantity",
    "science.cure",
    "science.facts",
    "science.formula",
    "science.loaf",
    "science.making",
    "wording"
})
@NullMarked
package io.causticon.core.science.forecast;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
