package io.causticon.core.science.pots;

import java.util.List;
import java.util.Optional;

/**
 * How fast a workshop's own pots cool, against what is expected of their size and make. The logarithm of that ratio is
 * taken as normal from pot to pot (deviation {@link PotCooling#spread()}), and as normal from day to day for one pot
 * (0.12: another lid, another draught); each earlier fit tells it with the uncertainty of that fit. Conjugate, so the
 * order of the batches does not matter.
 *
 * @param earlier what earlier batches told of this pot
 * @param today what the same batch told before its pot was warmed or moved: it may stand a little differently now
 */
public record CoolingMemory(List<Timed> earlier, Optional<Timed> today) {

    /** A pot that nobody has timed yet. */
    public static final CoolingMemory NONE = of(List.of());

    private static final double DAY_TO_DAY = 0.12;
    private static final double MOVED = 0.15;
    private static final double LEAST_PRECISION = 1e-6;

    public CoolingMemory {
        earlier = List.copyOf(earlier);
    }

    /**
     * What the readings of one batch told of a pot, the prior taken out again so that it is not counted twice.
     *
     * @param logRatio logarithm of rate / expected rate
     * @param spread its standard deviation; infinite when the readings told nothing
     */
    public record Timed(double logRatio, double spread) {

        /** From a fit that was made with nothing but the expectation for its prior. */
        public static Timed of(CoolingFit fit, PotCooling expected) {
            double prior = 1 / square(expected.spread());
            double posterior = 1 / square(fit.logRateSpread());
            double told = Math.max(posterior - prior, LEAST_PRECISION);
            double ratio = (fit.logRate() - Math.log(expected.rate())) * posterior / told;
            return new Timed(ratio, Math.sqrt(1 / told));
        }
    }

    /** What earlier batches told. */
    public static CoolingMemory of(List<Timed> earlier) {
        return new CoolingMemory(earlier, Optional.empty());
    }

    /** With what the same batch told before. */
    public CoolingMemory and(Timed sameDay) {
        return new CoolingMemory(earlier, Optional.of(sameDay));
    }

    /** What is to be expected of the pot after these, where this would be without them. */
    public PotCooling expect(PotCooling before) {
        double precision = 1 / square(before.spread());
        double weighted = 0;
        for (Timed t : earlier) {
            double p = 1 / (square(t.spread()) + square(DAY_TO_DAY));
            precision += p;
            weighted += p * t.logRatio();
        }
        double mean = weighted / precision;
        double ownDay = earlier.isEmpty() ? 0 : square(DAY_TO_DAY);
        double variance = Math.min(square(before.spread()), 1 / precision + ownDay);
        if (today.isPresent()) {
            double told = 1 / (square(today.get().spread()) + square(MOVED));
            mean = (mean / variance + told * today.get().logRatio()) / (1 / variance + told);
            variance = 1 / (1 / variance + told);
        }
        return before.with(before.rate() * Math.exp(mean), Math.sqrt(variance));
    }

    /** How many batches it stands on. */
    public int batches() {
        return earlier.size() + (today.isPresent() ? 1 : 0);
    }

    private static double square(double x) {
        return x * x;
    }
}
