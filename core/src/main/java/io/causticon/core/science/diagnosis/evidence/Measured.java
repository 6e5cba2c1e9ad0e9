package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.science.diagnosis.network.Network;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;
import io.causticon.core.science.diagnosis.network.Variable;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.SoapSolution;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * What a number says of the superfat. A titration finds what the fats could not take, a meter what that makes of water;
 * each with its error, and each can have met something else than the body of the bar.
 */
public final class Measured {

    /** Of a large excess that a titration finds: its own share of error (a judgement). */
    private static final double SHARE = .15;

    /**
     * What a titration that went wrong finds, on average: large mistakes are rarer than small ones. Per cent of NaOH (a
     * judgement).
     */
    private static final double BLUNDER = .25;

    /** What a sample holds that met a pocket, on average; per cent of NaOH (a judgement). */
    private static final double IN_A_POCKET = 1;

    /** Of a pen that was calibrated some time ago, and of a solution made on a kitchen scale; pH. */
    static final double PEN = .3;

    /** A meter that met something else may show anything between these. */
    private static final double ANYTHING_FROM = 8;

    private static final double ANYTHING_TO = 13;

    /** What a bar of ten points too much shows; more alkali hardly raises it. */
    private static final double MOST_METERED = 11.4;

    private final Network network;
    private final BatchFacts facts;
    private final Weights weights;
    private final double grams;
    private final double naohNeeded;

    public Measured(Network network, BatchFacts facts) {
        this.network = network;
        this.facts = facts;
        this.weights = facts.weightsNow();
        this.grams = weights.total().grams();
        this.naohNeeded = weights.allFats()
                .mapToDouble(f -> f.alkaliMoles() * Alkali.NAOH.molarMass())
                .sum();
    }

    /**
     * How likely a number is in each state of the variable that holds the superfat.
     *
     * @param finding what it belongs to
     * @param read what was measured, when and how well
     */
    public double[] likelihood(int finding, int variable, Evidence read) {
        Variable of = network.variables().get(variable);
        double[] fails = network.fails(finding, variable);
        boolean titrated = network.findings().get(finding).equals(Findings.FREE_ALKALI);
        // A higher reading is never less of a sign: beyond these it could only be taken for a fault of the instrument.
        double value = Math.min(read.value().orElseThrow(), titrated ? expected(0) : MOST_METERED);
        double young = titrated ? FreeAlkali.youngPercent(facts, read.at()) : 0;
        double error = read.error().orElse(0);
        double[] likelihood = new double[of.states()];
        for (int s = 0; s < likelihood.length; s++) {
            int withoutExcess = s - of.level(s) + of.levels - 1;
            double leak = network.leak(finding);
            double other = (1 - leak) * (1 - (fails == null ? 1 : fails[withoutExcess]));
            double body = titrated ? titrated(value, of.level(s), young, error) : metered(value, of.level(s));
            double anything = 1 / (ANYTHING_TO - ANYTHING_FROM);
            likelihood[s] = (1 - leak - other) * body
                    + leak * (titrated ? exponential(value, BLUNDER) : anything)
                    + other * (titrated ? exponential(value, IN_A_POCKET) : anything);
        }
        return likelihood;
    }

    private static double exponential(double value, double mean) {
        return Math.exp(-value / mean) / mean;
    }

    /** What young soap still holds comes on top, and is known to no better than itself. */
    private double titrated(double percent, int level, double young, double error) {
        double expected = expected(level);
        double spread = Math.hypot(error + SHARE * expected, young);
        return new NormalDistribution(expected + young, spread).density(percent);
    }

    /** Free alkali, per cent of NaOH in the soap. */
    private double expected(int level) {
        return 100 * SuperfatLevels.excess(level) * naohNeeded / grams;
    }

    private double metered(double ph, int level) {
        return new NormalDistribution(SoapSolution.ph(weights, grams, SuperfatLevels.middle(level)), PEN).density(ph);
    }
}
