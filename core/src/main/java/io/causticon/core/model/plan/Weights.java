package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.stream.Stream;

/**
 * What is, or is to be, in the pot. The weights as weighed are the truth of a batch; the plan is only their target.
 *
 * @param fats each fat
 * @param naoh sodium hydroxide, impure
 * @param koh potassium hydroxide, impure
 * @param liquids each liquid
 * @param additives each additive
 */
public record Weights(
        List<FatPortion> fats, Mass naoh, Mass koh, List<LiquidPortion> liquids, List<AdditivePortion> additives) {

    public Weights {
        fats = List.copyOf(fats);
        liquids = List.copyOf(liquids);
        additives = List.copyOf(additives);
    }

    public static Weights planned(Formula formula) {
        AlkaliBalance balance = AlkaliBalance.of(formula);
        return new Weights(formula.fats(), balance.naoh(), balance.koh(), balance.liquids(), formula.additives());
    }

    /**
     * As the scales can show them: nobody weighs 8.75 g in steps of one gram. Additives are taken to be weighed as
     * finely as they are dosed.
     */
    public Weights shownOn(Scales scales) {
        return new Weights(
                fats.stream().map(f -> f.weighing(scales.shown(f.mass()))).toList(),
                scales.shownOfLye(naoh),
                scales.shownOfLye(koh),
                liquids.stream().map(l -> l.weighing(scales.shown(l.mass()))).toList(),
                additives);
    }

    /** Each fat with its mass, also what came with the liquids. */
    public Stream<FatPortion> allFats() {
        return Stream.concat(fats.stream(), liquids.stream().flatMap(l -> l.fat().stream()));
    }

    public Mass lye() {
        return naoh.plus(koh);
    }

    public Mass fatMass() {
        return fats.stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
    }

    /** Everything that went into the pot. */
    public Mass total() {
        return fatMass()
                .plus(lye())
                .plus(liquids.stream().map(LiquidPortion::mass).reduce(Mass.ZERO, Mass::plus))
                .plus(additives.stream().map(AdditivePortion::mass).reduce(Mass.ZERO, Mass::plus));
    }

    public Mass water() {
        return liquids.stream().map(LiquidPortion::water).reduce(Mass.ZERO, Mass::plus);
    }

    /** Moles of alkali that acids in liquids and additives take up. */
    public double acidMoles() {
        return liquids.stream().mapToDouble(LiquidPortion::acidMoles).sum()
                + additives.stream()
                        .mapToDouble(a -> a.additive().alkaliMoles(a.mass()))
                        .sum();
    }

    public Weights withFats(List<FatPortion> otherFats) {
        return new Weights(otherFats, naoh, koh, liquids, additives);
    }

    public Weights withNaoh(Mass otherNaoh) {
        return new Weights(fats, otherNaoh, koh, liquids, additives);
    }

    public Weights withKoh(Mass otherKoh) {
        return new Weights(fats, naoh, otherKoh, liquids, additives);
    }
}
