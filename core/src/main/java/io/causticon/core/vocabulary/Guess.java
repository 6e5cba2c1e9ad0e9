package io.causticon.core.vocabulary;

import io.causticon.core.diagnosis.Finding;

/**
 * A finding that words may mean.
 *
 * @param finding which
 * @param score how well the words fit, against other guesses for the same words: of no unit
 */
public record Guess(Finding finding, double score) {}
