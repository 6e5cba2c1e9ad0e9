package io.causticon.core.model.plan;

/** What the maker wants of gel. */
public enum GelGoal {
    FORCE,
    ALLOW,
    PREVENT
}
