package io.causticon.core.model.substance;

/** What a fat is made of, as far as alkali is concerned. */
public enum FatKind {
    /** Three fatty acids on a glycerol. */
    TRIGLYCERIDE,
    /** A triglyceride with some per cent that no alkali takes up. */
    BUTTER_HIGH_UNSAPONIFIABLE,
    /** An ester of a fatty acid and a long alcohol; no simple theory for its saponification value. */
    WAX_ESTER,
    /** No glycerol: neutralised at once. */
    FREE_FATTY_ACID;

    public boolean isGlyceride() {
        return this == TRIGLYCERIDE || this == BUTTER_HIGH_UNSAPONIFIABLE;
    }
}
