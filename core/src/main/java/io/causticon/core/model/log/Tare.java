package io.causticon.core.model.log;

/** Whether the vessel's mass was taken off before a weighing. */
public enum Tare {
    TAKEN,
    NOT_TAKEN,
    NOT_SAID
}
