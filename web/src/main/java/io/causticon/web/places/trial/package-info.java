/**
 * Trials: a question, arms that are there or planned and made for it, panels at equal ages, what they come to, what
 * they found for later plans.
 */
@MayUse({
    "places.plan",
    "shared",
    "shared.print",
    "store.account",
    "store.batch",
    "store.recipe",
    "store.shelf",
    "store.trial"
})
@NullMarked
package io.causticon.web.places.trial;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
