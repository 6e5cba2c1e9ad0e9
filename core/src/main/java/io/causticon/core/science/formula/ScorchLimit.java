package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/**
 * From which temperature a liquor with lye in it scorches: milk sugar and protein brown in strong alkali from about 40
 * C (Maillard and alkaline degradation of lactose), sugar alone from about 60. The one answer for plan, bench and case.
 */
public final class ScorchLimit {

    public static final Temperature OF_MILK = Temperature.celsius(40);
    public static final Temperature OF_SUGAR = Temperature.celsius(60);

    /** Of what is in the pot beside the lye. */
    private static final double NOTABLE_PROTEIN = 0.002;

    private static final double NOTABLE_SUGAR = 0.01;

    private ScorchLimit() {}

    /**
     * Of what joins at one point of the work.
     *
     * @param weights as planned, or as weighed
     * @param joining {@link AdditionStage#LYE} or {@link AdditionStage#COOLED_LYE}
     * @return empty for what does not scorch
     */
    public static Optional<Temperature> of(Weights weights, AdditionStage joining) {
        List<LiquidPortion> liquids =
                weights.liquids().stream().filter(l -> l.joins() == joining).toList();
        List<AdditivePortion> additives =
                weights.additives().stream().filter(a -> a.joins() == joining).toList();
        if (share(liquids, additives, Liquid::protein, a -> Share.NONE) > NOTABLE_PROTEIN) {
            return Optional.of(OF_MILK);
        }
        return share(liquids, additives, Liquid::sugar, Additive::sugar) > NOTABLE_SUGAR
                ? Optional.of(OF_SUGAR)
                : Optional.empty();
    }

    private static double share(
            List<LiquidPortion> liquids,
            List<AdditivePortion> additives,
            Function<Liquid, Share> inLiquid,
            Function<Additive, Share> inAdditive) {
        double all = liquids.stream()
                .map(LiquidPortion::mass)
                .reduce(Mass.ZERO, Mass::plus)
                .grams();
        double part = liquids.stream()
                        .mapToDouble(
                                l -> inLiquid.apply(l.liquid()).of(l.mass()).grams())
                        .sum()
                + additives.stream()
                        .mapToDouble(
                                a -> inAdditive.apply(a.additive()).of(a.mass()).grams())
                        .sum();
        return all <= 0 ? 0 : part / all;
    }
}
