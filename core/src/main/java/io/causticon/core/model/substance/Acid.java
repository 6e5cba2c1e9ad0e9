package io.causticon.core.model.substance;

import io.causticon.core.quantity.Mass;

/** Acids that come with liquids and additives and take up alkali. Molar masses g/mol from standard atomic weights. */
public enum Acid {
    ACETIC(60.052, 1),
    LACTIC(90.078, 1),
    /** Anhydrous. */
    CITRIC(192.124, 3);

    private final double molarMass;
    private final int equivalents;

    Acid(double molarMass, int equivalents) {
        this.molarMass = molarMass;
        this.equivalents = equivalents;
    }

    /** Moles of alkali that this much of the acid takes up. */
    public double alkaliMoles(Mass acid) {
        return acid.grams() * equivalents / molarMass;
    }
}
