package io.causticon.core.science.making;

import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Interval;

/**
 * An additive at a dose. What it does to a batter grows with how much of it there is: eight drops of clove do more than
 * one.
 *
 * @param additive which
 * @param strength its dose against the middle of what is usual for it, 0 to 2; 1 where no dose is usual. Beyond twice
 *     the usual dose nobody knows, and it is taken to do no more than that.
 */
record Dosed(Additive additive, double strength) {

    private static final Interval KNOWN = Interval.between(0, 2);

    /** @param gramsPerKilogram of fats */
    static Dosed of(Additive additive, double gramsPerKilogram) {
        Interval usual = additive.usual();
        return new Dosed(
                additive, usual == null || usual.middle() <= 0 ? 1 : KNOWN.clamp(gramsPerKilogram / usual.middle()));
    }
}
