package io.causticon.core.science.loaf;

/**
 * How much heat a mould lets through and how fast a batter reacts, against what the model reckons: logarithms of two
 * factors, each normal.
 *
 * @param logLoss of the heat that the walls let through
 * @param lossSpread its standard deviation
 * @param logRate of the speed of the reaction
 * @param rateSpread its standard deviation
 */
public record LoafExpectation(double logLoss, double lossSpread, double logRate, double rateSpread) {

    /**
     * Of a mould and a recipe of which nothing was measured: walls, films of air and towels are known to a quarter,
     * recipes to a third (a judgement; published rates of the same fats differ by as much).
     */
    public static final LoafExpectation USUAL = new LoafExpectation(0, 0.25, 0, 0.35);

    private static final double LEAST_PRECISION = 1e-6;

    /** How much more heat the walls let through than reckoned: 1.2 for a fifth more. */
    public double lossFactor() {
        return Math.exp(logLoss);
    }

    /** How much faster the batter reacts than reckoned. */
    public double rateFactor() {
        return Math.exp(logRate);
    }

    /** What this was before readings that led to another, taken out of it again: what the readings alone said. */
    LoafExpectation toldBy(LoafExpectation after) {
        double loss = precision(after.lossSpread) - precision(lossSpread);
        double rate = precision(after.rateSpread) - precision(rateSpread);
        return new LoafExpectation(
                alone(logLoss, lossSpread, after.logLoss, after.lossSpread, loss),
                spread(loss),
                alone(logRate, rateSpread, after.logRate, after.rateSpread, rate),
                spread(rate));
    }

    /** With another mean and spread of the loss. */
    LoafExpectation loss(double log, double spread) {
        return new LoafExpectation(log, spread, logRate, rateSpread);
    }

    /** With another mean and spread of the rate. */
    LoafExpectation rate(double log, double spread) {
        return new LoafExpectation(logLoss, lossSpread, log, spread);
    }

    private static double alone(double before, double beforeSpread, double after, double afterSpread, double told) {
        return told <= LEAST_PRECISION ? 0 : (after * precision(afterSpread) - before * precision(beforeSpread)) / told;
    }

    private static double spread(double precision) {
        return 1 / Math.sqrt(Math.max(precision, LEAST_PRECISION));
    }

    static double precision(double spread) {
        return 1 / (spread * spread);
    }
}
