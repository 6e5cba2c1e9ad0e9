package io.causticon.core.science.diagnosis.network;

import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.Optional;
import java.util.function.Function;

/**
 * A fact of the batch that makes a condition likelier or less so before anything is seen.
 *
 * @param condition which
 * @param weight how much, in decibans
 * @param says the fact in words if it holds, nothing if it does not hold or is not known
 * @param reason why it matters
 */
public record FactShift(
        Condition condition, double weight, Function<BatchFacts, Optional<Phrase>> says, Phrase reason) {}
