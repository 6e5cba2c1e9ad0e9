package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.Optional;

/**
 * So much of a liquid.
 *
 * @param liquid which
 * @param mass how much
 * @param state how cold it goes in
 * @param joins when it goes in
 */
public record LiquidPortion(Liquid liquid, Mass mass, LiquidState state, AdditionStage joins) {

    /** A portion that the lye is dissolved in. */
    public LiquidPortion(Liquid liquid, Mass mass, LiquidState state) {
        this(liquid, mass, state, AdditionStage.LYE);
    }

    public LiquidPortion weighing(Mass other) {
        return new LiquidPortion(liquid, other, state, joins);
    }

    /** Whether it is there while the lye dissolves. */
    public boolean dissolvesLye() {
        return joins == AdditionStage.LYE;
    }

    public Mass water() {
        return liquid.water().of(mass);
    }

    /** What of its water goes in as ice. */
    public Mass ice() {
        return water().times(state.iceFraction());
    }

    /** Of what of it is liquid. */
    public Temperature temperatureOfWater(Temperature room) {
        return state.ofWater(room);
    }

    /** Of what of it is ice. */
    public Temperature temperatureOfIce(Temperature freezer) {
        return state.ofIce(freezer);
    }

    /** Its name, and how cold it is where that is not as the room. */
    public String words() {
        return state.words().isEmpty() ? liquid.name() : liquid.name() + ", " + state.words();
    }

    /** The fat that comes with it, as a portion of the fat it counts as. */
    public Optional<FatPortion> fat() {
        return Optional.ofNullable(liquid.fatAs())
                .filter(id -> liquid.fat().isPositive())
                .map(id -> new FatPortion(
                        Catalogue.standard().fat(id), liquid.fat().of(mass)));
    }

    /** Moles of alkali that its acid takes up. */
    public double acidMoles() {
        return mass.grams() * liquid.alkaliMolesPerGram();
    }
}
