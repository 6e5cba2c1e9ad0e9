package io.causticon.core.model.plan;

import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;

/**
 * The superfat of given weights, and how far it can be off.
 *
 * <p>{@code SF = 1 - (A_given x purity - A_acid) / A_fat}. Its spread comes from independent relative errors of what
 * the fats need and what was given: the natural spread of each fat's saponification value weighted by its part of the
 * alkali, the step of the scale at each weighing (uniform, step / sqrt 12; sodium and potassium hydroxide are two
 * weighings), and the purity of the alkali (one point either way at 95 %, three for potassium hydroxide without a
 * certificate). One scale that reads wrong by a factor reads fats and lye wrong alike, which cancels; two scales do not
 * share it (0.3 % each at 95 %, a judgement). Source: stoichiometry and the propagation of independent errors (JCGM
 * 100:2008, 5.1).
 */
public final class Superfat {

    /** Chance of a superfat below nothing from which a maker is stopped before the lye goes in (a judgement). */
    public static final Share ALARMING_EXCESS = Share.percent(2);

    /** Chance of it that is shown as a fault of a plan (a judgement). */
    public static final Share NOTABLE_EXCESS = Share.percent(0.5);

    private static final double NAOH_PURITY_POINTS_95 = 0.01;
    private static final double KOH_PURITY_POINTS_95 = 0.03;
    private static final double CALIBRATION_95 = 0.003;

    /** Grams: nobody weighs a gram more for a rounding of the last digit. */
    private static final double WHOLE = 1e-6;

    private static final double UNIFORM_STEPS_PER_SIGMA = Math.sqrt(12);

    private Superfat() {}

    /** The superfat of these weights; negative means more alkali than fat can take. */
    public static Share of(Weights weights, AlkaliChoice alkali) {
        return Share.fraction(1 - (givenMoles(weights, alkali) - weights.acidMoles()) / neededMoles(weights));
    }

    /** The superfat as a fraction, with the standard deviation of what cannot be known from the scale's display. */
    public static Estimate distribution(Weights weights, AlkaliChoice alkali, Scales scales) {
        double needed = neededMoles(weights);
        double net = (givenMoles(weights, alkali) - weights.acidMoles()) / needed;
        double deviation = Math.abs(net)
                * Math.sqrt(sumOfSquares(
                        saponificationError(weights, needed),
                        fatWeighingError(weights, scales, needed),
                        lyeError(weights, alkali, scales),
                        scales.areTwo() ? Math.sqrt(2) * CALIBRATION_95 / Estimate.SIGMAS_IN_95_PERCENT : 0));
        return new Estimate(1 - net, deviation);
    }

    /**
     * Grams of a fat, whole and up, after which this much alkali leaves the target: {@code m = (B / (1 - s) - A) / f}
     * with A what the fats take, B the alkali that is there, f what a gram of the fat takes. Nothing where they are fat
     * enough.
     *
     * @param needed moles that the fats take wholly
     * @param there moles of alkali, bound or free
     */
    public static Mass fatFor(double needed, double there, Share target, Fat fat) {
        double molesPerGram = new FatPortion(fat, Mass.grams(1)).alkaliMoles();
        double grams = (there / (1 - target.fraction()) - needed) / molesPerGram;
        return Mass.grams(Math.max(0, Math.ceil(grams - WHOLE)));
    }

    private static double neededMoles(Weights weights) {
        return weights.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
    }

    /** Moles of pure alkali that were weighed, before acids take theirs. */
    public static double givenMoles(Weights weights, AlkaliChoice alkali) {
        return Alkali.NAOH.moles(weights.naoh().times(alkali.naohPurity().fraction()))
                + Alkali.KOH.moles(weights.koh().times(alkali.kohPurity().fraction()));
    }

    private static double saponificationError(Weights weights, double needed) {
        return Math.sqrt(weights.allFats()
                .mapToDouble(f -> f.alkaliMoles()
                        / needed
                        * f.fat().saponificationSpread().fraction()
                        / Estimate.SIGMAS_IN_95_PERCENT)
                .map(e -> e * e)
                .sum());
    }

    private static double fatWeighingError(Weights weights, Scales scales, double needed) {
        double step = scales.fatStep().grams() / UNIFORM_STEPS_PER_SIGMA;
        return Math.sqrt(weights.fats().stream()
                .filter(f -> f.mass().isPositive())
                .mapToDouble(f -> f.alkaliMoles() / f.mass().grams() * step / needed)
                .map(e -> e * e)
                .sum());
    }

    private static double lyeError(Weights weights, AlkaliChoice alkali, Scales scales) {
        double all = givenMoles(weights, alkali);
        if (all <= 0) {
            return 0;
        }
        double step = scales.lyeStep().grams() / UNIFORM_STEPS_PER_SIGMA;
        double naoh = Alkali.NAOH.moles(weights.naoh().times(alkali.naohPurity().fraction())) / all;
        double koh = 1 - naoh;
        double kohPoints = alkali.kohCertified() ? NAOH_PURITY_POINTS_95 : KOH_PURITY_POINTS_95;
        return Math.sqrt(sumOfSquares(
                weights.naoh().isPositive() ? naoh * step / weights.naoh().grams() : 0,
                weights.koh().isPositive() ? koh * step / weights.koh().grams() : 0,
                naoh * NAOH_PURITY_POINTS_95 / alkali.naohPurity().fraction() / Estimate.SIGMAS_IN_95_PERCENT,
                koh * kohPoints / alkali.kohPurity().fraction() / Estimate.SIGMAS_IN_95_PERCENT));
    }

    private static double sumOfSquares(double... errors) {
        double sum = 0;
        for (double error : errors) {
            sum += error * error;
        }
        return sum;
    }
}
