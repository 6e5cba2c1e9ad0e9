package io.causticon.core.science.diagnosis;

import io.causticon.core.wording.Phrase;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Why a batch has a condition.
 *
 * @param words what happened
 * @param arithmetic what follows from it, with its numbers; may be empty
 * @param check the cheapest check that tells it from the next; empty where there is none
 * @param probability how likely among the causes weighed, if that can be said
 */
public record Cause(Phrase words, Phrase arithmetic, Optional<Phrase> check, OptionalDouble probability) {}
