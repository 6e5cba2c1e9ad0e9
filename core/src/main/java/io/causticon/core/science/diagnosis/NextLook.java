package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.science.diagnosis.network.Condition;
import java.time.Duration;

/**
 * Something worth looking at next.
 *
 * @param finding what would be looked for
 * @param worth how much better the batch is then decided on than it would be now, less the effort: minutes of a maker's
 *     time
 * @param delay how long until its answer is there: until the batch is old enough, and what the look itself takes
 * @param likely how likely it is found, 0 to 1
 * @param about the condition that the outcomes are told for
 * @param ifFound probability of that condition, were it found
 * @param ifNot probability of that condition, were it not
 */
public record NextLook(
        Finding finding, double worth, Duration delay, double likely, Condition about, double ifFound, double ifNot) {}
