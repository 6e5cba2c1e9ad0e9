package io.causticon.core.diagnosis;

import java.util.OptionalDouble;

/**
 * Why a batch has a condition.
 *
 * @param words what happened
 * @param arithmetic what follows from it, with its numbers; may be empty
 * @param probability how likely among the causes weighed, if that can be said
 */
public record Cause(String words, String arithmetic, OptionalDouble probability) {}
