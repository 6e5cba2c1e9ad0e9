package io.causticon.core.model.plan;

/** The road a batch takes. */
public enum Process {
    COLD,
    /** Cold process with the mould kept in a warm oven. */
    OVEN,
    /** Cooked before it is moulded. */
    HOT
}
