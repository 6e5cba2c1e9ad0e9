package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;

/**
 * The steps of the scales at the bench.
 *
 * @param fatStep smallest step when weighing fats and liquids, more than zero
 * @param lyeStep smallest step when weighing lye, more than zero
 */
public record Scales(Mass fatStep, Mass lyeStep) {

    public static final Scales KITCHEN = new Scales(Mass.grams(1), Mass.grams(1));

    /** What the scale for fats and liquids shows of a mass: its nearest step. */
    public Mass shown(Mass mass) {
        return nearest(mass, fatStep);
    }

    /** What the scale for lye shows of a mass. */
    public Mass shownOfLye(Mass mass) {
        return nearest(mass, lyeStep);
    }

    /** Whether lye and fats are weighed on scales of their own, whose errors have nothing in common. */
    public boolean areTwo() {
        return !fatStep.equals(lyeStep);
    }

    private static Mass nearest(Mass mass, Mass step) {
        return Mass.grams(Math.rint(mass.grams() / step.grams()) * step.grams());
    }
}
