package io.causticon.core.science.diagnosis.network;

import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * The normal distribution function, read from a table: every slip of every batch spreads its superfat over all levels,
 * and an error function worked out each time is a fifth of a whole diagnosis. Between two entries it follows Taylor's
 * series to the third order, off by less than 1e-10.
 */
final class NormalTable {

    /** In standard deviations. */
    static final double FAR = 6;

    private static final int STEPS_A_DEVIATION = 128;
    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final double[] BELOW = IntStream.rangeClosed(0, (int) (2 * FAR * STEPS_A_DEVIATION))
            .mapToDouble(i -> NORMAL.cumulativeProbability(place(i)))
            .toArray();
    private static final double[] DENSITY = IntStream.range(0, BELOW.length)
            .mapToDouble(i -> NORMAL.density(place(i)))
            .toArray();

    private NormalTable() {}

    private static double place(int entry) {
        return (double) entry / STEPS_A_DEVIATION - FAR;
    }

    /** P(below), of so many standard deviations; beyond {@link #FAR} nothing is left. */
    static double below(double deviations) {
        if (!(Math.abs(deviations) < FAR)) {
            return deviations < 0 ? 0 : 1;
        }
        int entry = (int) Math.rint((deviations + FAR) * STEPS_A_DEVIATION);
        double z = place(entry);
        double h = deviations - z;
        return BELOW[entry] + DENSITY[entry] * h * (1 - h * (z / 2 - h * (z * z - 1) / 6));
    }
}
