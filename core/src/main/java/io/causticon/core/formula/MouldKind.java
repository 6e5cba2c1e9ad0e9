package io.causticon.core.formula;

/** Shape and walls of a mould, as far as heat and fill go. */
public enum MouldKind {
    WOODEN_LOAF,
    SILICONE_LOAF,
    SLAB,
    CAVITIES
}
