package io.causticon.core.formula;

import io.causticon.core.quantity.Mass;

/**
 * The steps of the scales at the bench.
 *
 * @param fatStep smallest step when weighing fats and liquids, more than zero
 * @param lyeStep smallest step when weighing lye, more than zero
 */
public record Scales(Mass fatStep, Mass lyeStep) {

    public static final Scales KITCHEN = new Scales(Mass.grams(1), Mass.grams(1));
}
