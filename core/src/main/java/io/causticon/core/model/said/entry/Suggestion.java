package io.causticon.core.model.said.entry;

/**
 * What a line that was not understood may have meant.
 *
 * @param words what would be logged
 * @param line how it would be typed, at the moment that was typed
 */
public record Suggestion(String words, String line) {}
