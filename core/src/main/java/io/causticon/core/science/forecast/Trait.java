package io.causticon.core.science.forecast;

import io.causticon.core.wording.Phrase;

/**
 * One thing that can be said of a bar from its recipe.
 *
 * @param name what is judged
 * @param verdict how it will be, in a few words
 * @param reason why, with its numbers
 * @param change what would change it
 */
public record Trait(String name, Phrase verdict, Phrase reason, Phrase change) {}
