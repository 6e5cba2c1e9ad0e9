package io.causticon.core.observation;

/** What the skin says after a wash. */
public enum WashFeel {
    CALM,
    TIGHT,
    BURNING
}
