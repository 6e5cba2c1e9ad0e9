/**
 * What was seen, not seen and not looked at: findings read from a log, measurements with their errors, the history of
 * each sign, silence.
 */
@MayUse({
    "model.finding",
    "model.log",
    "model.plan",
    "quantity",
    "science.diagnosis.network",
    "science.facts",
    "science.formula",
    "science.making",
    "wording"
})
@NullMarked
package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
