package io.causticon.core.heat;

import java.util.List;

/**
 * How fast a workshop's own pots cool, against what is usual for their mass. The logarithm of that ratio is taken as normal from pot to
 * pot (deviation 0.5), and as normal from day to day for one pot (0.12: another lid, another draught); each earlier fit tells it with
 * the uncertainty of that fit. Conjugate, so the order of the batches does not matter.
 *
 * @param logRatio expected logarithm of rate / usual rate
 * @param spread its standard deviation for the next batch, between {@code DAY_TO_DAY} and {@link CoolingFit#UNKNOWN_VESSEL}
 * @param batches how many earlier fits it stands on
 */
public record CoolingMemory(double logRatio, double spread, int batches) {

    /** A pot that nobody has timed yet. */
    public static final CoolingMemory NONE = new CoolingMemory(0, CoolingFit.UNKNOWN_VESSEL, 0);

    private static final double DAY_TO_DAY = 0.12;
    private static final double MOVED = 0.15;
    private static final double LEAST_PRECISION = 1e-6;

    /**
     * What the readings of one earlier batch told of a pot, the prior taken out again so that it is not counted twice.
     *
     * @param logRatio logarithm of rate / usual rate
     * @param spread its standard deviation; infinite when the readings told nothing
     */
    public record Timed(double logRatio, double spread) {

        /** From a fit that was made with the prior of an unknown vessel around the usual rate. */
        public static Timed of(CoolingFit fit, double usualRate) {
            double prior = 1 / square(CoolingFit.UNKNOWN_VESSEL);
            double posterior = 1 / square(fit.logRateSpread());
            double told = Math.max(posterior - prior, LEAST_PRECISION);
            double ratio = (fit.logRate() - Math.log(usualRate)) * posterior / told;
            return new Timed(ratio, Math.sqrt(1 / told));
        }
    }

    /** What is to be expected of a pot after these. */
    public static CoolingMemory of(List<Timed> earlier) {
        double precision = 1 / square(CoolingFit.UNKNOWN_VESSEL);
        double weighted = 0;
        for (Timed t : earlier) {
            double p = 1 / (square(t.spread()) + square(DAY_TO_DAY));
            precision += p;
            weighted += p * t.logRatio();
        }
        double own = earlier.isEmpty() ? 0 : square(DAY_TO_DAY);
        double spread = Math.min(CoolingFit.UNKNOWN_VESSEL, Math.sqrt(1 / precision + own));
        return new CoolingMemory(weighted / precision, spread, earlier.size());
    }

    /** With what the same batch told before its pot was warmed or moved: it may stand a little differently now. */
    public CoolingMemory and(Timed sameDay) {
        double before = 1 / square(spread);
        double told = 1 / (square(sameDay.spread()) + square(MOVED));
        return new CoolingMemory(
                (before * logRatio + told * sameDay.logRatio()) / (before + told), Math.sqrt(1 / (before + told)), batches + 1);
    }

    /** The rate to expect of this pot where this is usual, per minute at 20 K. */
    public double rate(double usualRate) {
        return usualRate * Math.exp(logRatio);
    }

    private static double square(double x) {
        return x * x;
    }
}
