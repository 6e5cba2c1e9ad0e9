package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;

/** The two alkalis of soap. Molar masses from standard atomic weights. */
public enum Alkali {
    NAOH("NaOH", 39.997),
    KOH("KOH", 56.106);

    private final String symbol;
    private final double molarMass;

    Alkali(String symbol, double molarMass) {
        this.symbol = symbol;
        this.molarMass = molarMass;
    }

    public String symbol() {
        return symbol;
    }

    /** g/mol. */
    public double molarMass() {
        return molarMass;
    }

    /** Moles in this much of the pure alkali. */
    public double moles(Mass pure) {
        return pure.grams() / molarMass;
    }

    public Mass mass(double moles) {
        return Mass.grams(moles * molarMass);
    }
}
