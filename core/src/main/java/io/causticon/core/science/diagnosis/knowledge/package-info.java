/**
 * What is known of each family of conditions, one hidden class a family, each line with its strength and its reason.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "quantity",
    "science.diagnosis.network",
    "science.facts",
    "science.formula",
    "wording"
})
@NullMarked
package io.causticon.core.science.diagnosis.knowledge;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
