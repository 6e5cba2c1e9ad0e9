package io.causticon.core.quantity;

import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * A value that is known with a normal uncertainty. The unit is the value's own.
 *
 * @param value the best value, which is also the median
 * @param standardDeviation one standard deviation, zero or more
 */
public record Estimate(double value, double standardDeviation) {

    /** Half-width of the central 95 % of a normal distribution in standard deviations. */
    public static final double SIGMAS_IN_95_PERCENT = 1.959963985;

    public Estimate {
        if (standardDeviation < 0 || Double.isNaN(standardDeviation) || Double.isNaN(value)) {
            throw new IllegalArgumentException(
                    "Impossible state: an estimate of " + value + " with a deviation of " + standardDeviation);
        }
    }

    /** Half the width of the central 95 % band. */
    public double halfWidth95() {
        return SIGMAS_IN_95_PERCENT * standardDeviation;
    }

    public Interval band95() {
        return new Interval(value - halfWidth95(), value + halfWidth95());
    }

    /** P(true value is below the limit), 0 to 1. A certain value steps at the limit. */
    public double probabilityBelow(double limit) {
        if (standardDeviation == 0) {
            return value < limit ? 1 : 0;
        }
        return new NormalDistribution(value, standardDeviation).cumulativeProbability(limit);
    }

    public double probabilityAbove(double limit) {
        return 1 - probabilityBelow(limit);
    }
}
