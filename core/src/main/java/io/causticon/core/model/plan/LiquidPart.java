package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Liquid;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;

/**
 * One part of a recipe's liquid.
 *
 * @param liquid which
 * @param share its part of the whole liquid, by mass
 * @param state how cold it goes in
 * @param joins when it goes in; what joins later than the lye is not there to dissolve it
 */
public record LiquidPart(Liquid liquid, Share share, LiquidState state, AdditionStage joins) {

    /** A part that the lye is dissolved in. */
    public LiquidPart(Liquid liquid, Share share, LiquidState state) {
        this(liquid, share, state, AdditionStage.LYE);
    }

    LiquidPortion portion(Mass whole) {
        return new LiquidPortion(liquid, share.of(whole), state, joins);
    }
}
