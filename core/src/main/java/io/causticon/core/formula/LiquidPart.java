package io.causticon.core.formula;

import io.causticon.core.quantity.Share;
import io.causticon.core.substance.Liquid;

/**
 * One part of a recipe's liquid.
 *
 * @param liquid which
 * @param share its part of the whole liquid, by mass
 * @param frozen whether it goes in as ice
 */
public record LiquidPart(Liquid liquid, Share share, boolean frozen) {}
