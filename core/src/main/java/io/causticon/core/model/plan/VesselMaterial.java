package io.causticon.core.model.plan;

/** What a jug or bowl is made of, as far as alkali and heat go. */
public enum VesselMaterial {
    POLYPROPYLENE,
    HDPE,
    STAINLESS_STEEL,
    ENAMEL,
    GLASS,
    /** Dissolves in alkali and gives off hydrogen, which burns. */
    ALUMINIUM,
    /** Zinc and tin dissolve in alkali too. */
    GALVANISED_OR_TIN,
    /** Polyester and polycarbonate: hot alkali splits the ester and they crack. */
    PET,
    WOOD;

    /** Whether alkali eats it. */
    public boolean isAttackedByAlkali() {
        return this == ALUMINIUM || this == GALVANISED_OR_TIN || this == PET;
    }

    /** Whether heat and alkali make it break sooner or later. */
    public boolean mayShatter() {
        return this == GLASS;
    }
}
