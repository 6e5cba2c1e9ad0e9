/**
 * The network that judges: conditions and their causes, links and their strengths as leak probabilities, exact
 * inference by clusters, belief after evidence.
 */
@MayUse({"model.finding", "quantity", "science.facts", "wording"})
@NullMarked
package io.causticon.core.science.diagnosis.network;

import io.causticon.core.MayUse;
import org.jspecify.annotations.NullMarked;
