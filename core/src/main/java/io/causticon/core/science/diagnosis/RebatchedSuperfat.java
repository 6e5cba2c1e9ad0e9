package io.causticon.core.science.diagnosis;

import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;
import io.causticon.core.science.facts.BatchFacts;

/**
 * What became of the superfat when the soap was melted down with more fat: the alkali is the same, and there is more to
 * take it.
 */
final class RebatchedSuperfat {

    /**
     * How often a mash takes up only half of the fat, and how often none, or somebody weighed as little (judgements).
     */
    private static final double HALF_MIXED = .06;

    private static final double NOT_MIXED = .03;

    /** Of each level: nothing is so sure that no test could speak against it. */
    private static final double LEAST = 1e-7;

    private RebatchedSuperfat() {}

    /**
     * How likely each level is afterwards.
     *
     * @param facts of a batch that was rebatched
     * @param before how likely each level was in the moment before the last rebatch
     */
    static double[] of(BatchFacts facts, double[] before) {
        double wanted = needed(facts.beforeRebatch().orElse(facts).weightsNow());
        double now = needed(facts.weightsNow());
        double[] after = new double[before.length];
        add(after, before, wanted / now, 1 - HALF_MIXED - NOT_MIXED);
        add(after, before, 2 * wanted / (wanted + now), HALF_MIXED);
        add(after, before, 1, NOT_MIXED);
        for (int level = 0; level < after.length; level++) {
            after[level] = Math.max(after[level], LEAST);
        }
        return after;
    }

    /** @param share of the alkali that the fats took before, of what they take now */
    private static void add(double[] after, double[] before, double share, double often) {
        for (int level = 0; level < before.length; level++) {
            after[SuperfatLevels.levelOf(1 - (1 - SuperfatLevels.middle(level)) * share)] += often * before[level];
        }
    }

    private static double needed(Weights weights) {
        return weights.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
    }
}
