package io.causticon.core.model.said.vocabulary;

import io.causticon.core.model.finding.Finding;

/**
 * A finding that words may mean.
 *
 * @param finding which
 * @param score how well the words fit, against other guesses for the same words: of no unit
 */
public record Guess(Finding finding, double score) {}
