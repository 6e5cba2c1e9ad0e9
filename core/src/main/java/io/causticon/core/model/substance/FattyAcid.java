package io.causticon.core.model.substance;

/**
 * The fatty acids that a fat's composition is given in. Molar masses from standard atomic weights, g/mol; the lumped
 * acids carry a typical mean that a fat's own row may replace.
 */
public enum FattyAcid {
    CAPRYLIC("caprylic_C8", 144.21, 0, Family.SHORT_SATURATED),
    CAPRIC("capric_C10", 172.26, 0, Family.SHORT_SATURATED),
    LAURIC("lauric_C12", 200.32, 0, Family.SHORT_SATURATED),
    MYRISTIC("myristic_C14", 228.37, 0, Family.SHORT_SATURATED),
    PALMITIC("palmitic_C16", 256.42, 0, Family.LONG_SATURATED),
    STEARIC("stearic_C18", 284.48, 0, Family.LONG_SATURATED),
    LONG_SATURATED_LUMP("arachidic_behenic_C20plus", 330.0, 0, Family.LONG_SATURATED),
    PALMITOLEIC("palmitoleic_C16_1", 254.41, 1, Family.MONO_UNSATURATED),
    OLEIC("oleic_C18_1", 282.46, 1, Family.MONO_UNSATURATED),
    LONG_UNSATURATED_LUMP("gondoic_erucic_C20_1plus", 312.0, 1, Family.MONO_UNSATURATED),
    RICINOLEIC("ricinoleic_C18_1OH", 298.46, 1, Family.RICINOLEIC),
    LINOLEIC("linoleic_C18_2", 280.45, 2, Family.POLY_UNSATURATED),
    ALPHA_LINOLENIC("alpha_linolenic_C18_3", 278.43, 3, Family.POLY_UNSATURATED),
    GAMMA_LINOLENIC("gamma_linolenic", 278.43, 3, Family.POLY_UNSATURATED),
    OTHER("other", 280.0, 1, Family.OTHER);

    /** Families in the order in which a spectrum is drawn: short saturated to poly-unsaturated. */
    public enum Family {
        SHORT_SATURATED,
        LONG_SATURATED,
        MONO_UNSATURATED,
        RICINOLEIC,
        POLY_UNSATURATED,
        OTHER;

        public boolean isSaturated() {
            return this == SHORT_SATURATED || this == LONG_SATURATED;
        }
    }

    private final String column;
    private final double molarMass;
    private final double doubleBonds;
    private final Family family;

    FattyAcid(String column, double molarMass, double doubleBonds, Family family) {
        this.column = column;
        this.molarMass = molarMass;
        this.doubleBonds = doubleBonds;
        this.family = family;
    }

    String column() {
        return column;
    }

    /** Molar mass, g/mol. */
    public double molarMass() {
        return molarMass;
    }

    /** Double bonds a molecule. */
    public double doubleBonds() {
        return doubleBonds;
    }

    public Family family() {
        return family;
    }
}
