package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.Catalogue;
import io.causticon.core.substance.Liquid;
import java.util.Optional;

/**
 * So much of a liquid.
 *
 * @param liquid which
 * @param mass how much
 * @param frozen whether it goes in as ice
 * @param joins when it goes in
 */
public record LiquidPortion(Liquid liquid, Mass mass, boolean frozen, AdditionStage joins) {

    /** A portion that the lye is dissolved in. */
    public LiquidPortion(Liquid liquid, Mass mass, boolean frozen) {
        this(liquid, mass, frozen, AdditionStage.LYE);
    }

    public LiquidPortion weighing(Mass other) {
        return new LiquidPortion(liquid, other, frozen, joins);
    }

    /** Whether it is there while the lye dissolves. */
    public boolean dissolvesLye() {
        return joins == AdditionStage.LYE;
    }

    public Mass water() {
        return liquid.water().of(mass);
    }

    /** The fat that comes with it, as a portion of the fat it counts as. */
    public Optional<FatPortion> fat() {
        return Optional.ofNullable(liquid.fatAs())
                .filter(id -> liquid.fat().isPositive())
                .map(id -> new FatPortion(Catalogue.standard().fat(id), liquid.fat().of(mass)));
    }

    /** Moles of alkali that its acid takes up. */
    public double acidMoles() {
        return mass.grams() * liquid.alkaliMolesPerGram();
    }
}
