package io.causticon.web.shared;

/**
 * What stands round every page.
 *
 * @param workshop its name
 * @param account what she who is signed in signs in with; empty where nobody is
 * @param person who is signed in
 * @param theme {@code day} or {@code night}
 * @param units her units in short
 * @param inGrams whether she weighs in grams, and not in ounces or pounds: examples beside a field are in her units
 * @param inCelsius whether she reads degrees Celsius, and not Fahrenheit
 * @param canWrite whether she may change anything
 * @param isOwner whether she may change who signs in
 * @param assets changes when styles or scripts change
 */
public record Frame(
        String workshop,
        String account,
        String person,
        String theme,
        String units,
        boolean inGrams,
        boolean inCelsius,
        boolean canWrite,
        boolean isOwner,
        String assets) {}
