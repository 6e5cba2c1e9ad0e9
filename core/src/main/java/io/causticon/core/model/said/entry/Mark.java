package io.causticon.core.model.said.entry;

/** The substance that an entry is about, as screens draw it. */
public enum Mark {
    LYE,
    FATS,
    LIQUID,
    BATTER,
    CORE,
    ROOM,
    HAZARD,
    /** None of these. */
    PLAIN
}
