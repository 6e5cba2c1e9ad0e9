package io.causticon.core.diagnosis;

/**
 * Something worth looking at next.
 *
 * @param finding what would be looked for
 * @param information expected information about the hazards, bits
 * @param likely how likely it is found, 0 to 1
 * @param about the condition that the outcomes are told for
 * @param ifFound probability of that condition, were it found
 * @param ifNot probability of that condition, were it not
 */
public record NextLook(
        Finding finding, double information, double likely, Condition about, double ifFound, double ifNot) {}
