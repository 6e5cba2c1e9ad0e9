/**
 * From lye-in to the pour: how long a batter stays workable, what is learned of it, what goes in when, and what each
 * ingredient did.
 */
@MayUse({
    "model.log",
    "model.mould",
    "model.plan",
    "model.substance",
    "problem",
    "quantity",
    "science.facts",
    "science.formula",
    "wording"
})
@NullMarked
package io.causticon.core.science.making;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
