package io.causticon.core.model.log;

/** Where bars went. */
public enum Whither {
    SOLD,
    GIVEN,
    KEPT,
    DESTROYED;

    /** Whether somebody else has them now. */
    public boolean isAway() {
        return this == SOLD || this == GIVEN;
    }
}
