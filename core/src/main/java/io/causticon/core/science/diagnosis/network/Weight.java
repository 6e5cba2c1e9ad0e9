package io.causticon.core.science.diagnosis.network;


/**
 * Weight of evidence in decibans: ten times the decimal logarithm of a ratio of odds. Ten decibans make something ten
 * times as likely against its opposite; one is about what a person can just feel. Source: I. J. Good, Probability and
 * the Weighing of Evidence (1950).
 *
 * @param decibans positive speaks for, negative against
 */
public record Weight(double decibans) {

    private static final double DECIBANS_PER_DECADE = 10;

    /** Odds of a probability; infinite at one. */
    public static double odds(double probability) {
        return probability / (1 - probability);
    }

    public static double probability(double odds) {
        return Double.isInfinite(odds) ? 1 : odds / (1 + odds);
    }

    /** What moves one probability to the other. */
    public static Weight between(double before, double after) {
        return new Weight(DECIBANS_PER_DECADE * Math.log10(odds(after) / odds(before)));
    }

    /** The factor on the odds. */
    public double factor() {
        return Math.pow(10, decibans / DECIBANS_PER_DECADE);
    }
}
