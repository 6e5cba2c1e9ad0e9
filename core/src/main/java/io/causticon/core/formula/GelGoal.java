package io.causticon.core.formula;

/** What the maker wants of gel. */
public enum GelGoal {
    FORCE,
    ALLOW,
    PREVENT
}
