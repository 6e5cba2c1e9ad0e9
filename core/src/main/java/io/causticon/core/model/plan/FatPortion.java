package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Mass;
import org.jspecify.annotations.Nullable;

/**
 * So much of a fat.
 *
 * @param fat which
 * @param mass how much
 * @param lot label of the lot it is taken from; null when that was not said
 * @param afterCook whether it goes into the cooked paste, where it stays what it is; nowhere else does the lye choose
 *     its fat
 */
public record FatPortion(Fat fat, Mass mass, @Nullable String lot, boolean afterCook) {

    public FatPortion(Fat fat, Mass mass, @Nullable String lot) {
        this(fat, mass, lot, false);
    }

    public FatPortion(Fat fat, Mass mass) {
        this(fat, mass, null, false);
    }

    public FatPortion weighing(Mass other) {
        return new FatPortion(fat, other, lot, afterCook);
    }

    /** The same, into the cooked paste or not. */
    public FatPortion goingInAfterTheCook(boolean after) {
        return new FatPortion(fat, mass, lot, after);
    }

    private static final double KOH_MILLIGRAMS_PER_MOLE = 56106;

    /** Moles of alkali that saponify it wholly, from its typical saponification value. */
    public double alkaliMoles() {
        return mass.grams() * fat.saponificationValue() / KOH_MILLIGRAMS_PER_MOLE;
    }
}
