package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.Fat;

/**
 * So much of a fat.
 *
 * @param fat which
 * @param mass how much
 */
public record FatPortion(Fat fat, Mass mass) {

    private static final double KOH_MILLIGRAMS_PER_MOLE = 56106;

    /** Moles of alkali that saponify it wholly, from its typical saponification value. */
    public double alkaliMoles() {
        return mass.grams() * fat.saponificationValue() / KOH_MILLIGRAMS_PER_MOLE;
    }
}
