package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;

/**
 * What one portion takes.
 *
 * @param portion as planned
 * @param share its part of the batter that is divided
 * @param batter what to weigh from the bowl
 * @param bowlAfter what the bowl then still holds, without its own mass
 * @param weights its fats, lye and liquids, its own ones included; what sticks to the bowl is not in it
 * @param additives its own additives with their masses
 * @param liquids its own liquids with their masses
 * @param superfat its own superfat, with its own liquids' fat and acid counted
 * @param concentration its own lye concentration
 */
public record PortionAmounts(
        Portion portion,
        Share share,
        Mass batter,
        Mass bowlAfter,
        Weights weights,
        List<AdditivePortion> additives,
        List<LiquidPortion> liquids,
        Share superfat,
        Share concentration) {

    /** With its own additives and liquids: what goes into the mould. */
    public Mass poured() {
        Mass own = additives.stream().map(AdditivePortion::mass).reduce(Mass.ZERO, Mass::plus);
        return batter.plus(own).plus(liquids.stream().map(LiquidPortion::mass).reduce(Mass.ZERO, Mass::plus));
    }
}
