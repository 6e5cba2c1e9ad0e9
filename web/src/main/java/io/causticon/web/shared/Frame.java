package io.causticon.web.shared;

/**
 * What stands round every page.
 *
 * @param workshop its name
 * @param person who is signed in
 * @param theme {@code day} or {@code night}
 * @param units her units in short
 * @param canWrite whether she may change anything
 * @param isOwner whether she may change who signs in
 * @param assets changes when styles or scripts change
 */
public record Frame(
        String workshop,
        String person,
        String theme,
        String units,
        boolean canWrite,
        boolean isOwner,
        String assets) {}
