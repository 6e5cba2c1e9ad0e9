package io.causticon.core.model.mould;

/** Shape and walls of a mould, as far as heat, fill and layers go. */
public enum MouldKind {
    WOODEN_LOAF,
    SILICONE_LOAF,
    SLAB,
    /** A standing cylinder. */
    TUBE,
    CAVITIES,
    /** Any other shape, by the water that it holds. */
    CUSTOM;

    /** Whether its section is the same all along, so that a line drawn on the end face holds for the whole loaf. */
    public boolean isPrism() {
        return this == WOODEN_LOAF || this == SILICONE_LOAF || this == SLAB;
    }

    /** Whether the soap in it is cut into bars. */
    public boolean isCut() {
        return this != CAVITIES;
    }
}
