package io.causticon.core.science.pots;

import io.causticon.core.quantity.Temperature;

/**
 * How a pot is expected to cool: {@link CoolingBody}'s law, and how sure that is.
 *
 * @param rate per minute at 20 K above its surroundings
 * @param excess of the law
 * @param spread standard deviation of the logarithm of the rate
 */
public record PotCooling(double rate, double excess, double spread) {

    /**
     * A pot whose material is known: half as much again either way in nine of ten, for its shape, the draught and what
     * it stands on.
     */
    public static final double KNOWN_VESSEL = 0.25;

    /** A pot of which nothing is known: steel stays warm nearly twice as long as plastic. */
    public static final double UNKNOWN_VESSEL = 0.5;

    /** The same law with another rate, and as sure as this. */
    public PotCooling with(double otherRate, double otherSpread) {
        return new PotCooling(otherRate, excess, otherSpread);
    }

    /** The same pot, said to be of a vessel that nobody named. */
    public PotCooling ofUnknownVessel() {
        return with(rate, UNKNOWN_VESSEL);
    }

    /** As a body that starts somewhere and stands somewhere. */
    public CoolingBody body(Temperature start, Temperature around) {
        return new CoolingBody(start, around, rate, excess);
    }
}
