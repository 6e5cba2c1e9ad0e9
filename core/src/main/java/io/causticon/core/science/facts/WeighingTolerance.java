package io.causticon.core.science.facts;

import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.quantity.Mass;

/**
 * How far a weight may be from what is wanted and still be that weight: half a per cent, as kitchen recipes are
 * forgiving, but never less than a step of the scale, which cannot show less. The plan, the bench, the advice and the
 * second weighing ask here.
 *
 * @param scales those that the batch is weighed on
 */
public record WeighingTolerance(Scales scales) {

    private static final double SHARE = 0.005;

    /** A step is what it says only to the last digits of a sum. */
    private static final double ROUNDING = 1.01;

    public Mass of(Weighable what, Mass wanted) {
        Mass step = what.kind() == Weighable.Kind.ALKALI ? scales.lyeStep() : scales.fatStep();
        return Mass.grams(Math.max(SHARE * wanted.grams(), step.grams() * ROUNDING));
    }

    public boolean isOff(Weighable what, Mass wanted, Mass got) {
        return Math.abs(got.minus(wanted).grams()) > of(what, wanted).grams();
    }
}
