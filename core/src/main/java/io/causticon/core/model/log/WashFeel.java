package io.causticon.core.model.log;

/** What the skin says after a wash. */
public enum WashFeel {
    CALM,
    TIGHT,
    BURNING
}
