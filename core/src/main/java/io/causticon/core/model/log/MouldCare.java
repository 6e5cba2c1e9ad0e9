package io.causticon.core.model.log;

/** How a mould is kept while the soap sets. */
public enum MouldCare {
    COVERED,
    INSULATED,
    UNCOVERED,
    OVEN,
    FRIDGE,
    FREEZER,
    SPRAYED;

    public boolean isCold() {
        return this == FRIDGE || this == FREEZER;
    }
}
