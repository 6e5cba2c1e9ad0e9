package io.causticon.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The knowledge compiled for exact inference.
 *
 * <p>A noisy-OR network of two layers: a finding is absent only if its leak and every condition that is present all fail to bring
 * it about, {@code P(absent | S) = (1 - leak) prod (1 - strength)}. The posterior is exact over all sets of at most three conditions; four at
 * once are left out, which for conditions this rare is below what the strengths themselves are known to. Source: J. Pearl,
 * Probabilistic Reasoning in Intelligent Systems (1988), 4.3.2.
 */
final class Network {

    static final int MOST_AT_ONCE = 3;

    private final List<Condition> conditions;
    private final List<Finding> findings;
    /** 1 - strength, by finding and condition; one more column of ones stands for "nobody". */
    private final double[][] fails;

    private final double[] leakFails;

    /** The three members of each set, one after the other, filled up with "nobody"; flat, as every diagnosis runs over it. */
    private final int[] members;

    /** Whether a set has a hazard among its members. */
    private final boolean[] dangerous;

    Network(Knowledge knowledge) {
        this.conditions = knowledge.conditions();
        this.findings = knowledge.findings();
        this.fails = new double[findings.size()][conditions.size() + 1];
        this.leakFails = new double[findings.size()];
        for (int f = 0; f < findings.size(); f++) {
            Arrays.fill(fails[f], 1);
            leakFails[f] = 1 - knowledge.leak(findings.get(f));
        }
        for (Link link : knowledge.links()) {
            fails[findings.indexOf(link.finding())][conditions.indexOf(link.condition())] *= 1 - link.strength();
        }
        this.members = members(conditions.size());
        this.dangerous = new boolean[members.length / MOST_AT_ONCE];
        for (int m = 0; m < members.length; m++) {
            boolean hazard = members[m] < conditions.size() && conditions.get(members[m]).hazard();
            dangerous[m / MOST_AT_ONCE] |= hazard;
        }
    }

    List<Condition> conditions() {
        return conditions;
    }

    List<Finding> findings() {
        return findings;
    }

    /** What is believed before any finding: the weight of each set, summing to one. */
    Belief prior(double[] probability) {
        double[] odds = new double[probability.length + 1];
        for (int c = 0; c < probability.length; c++) {
            odds[c] = Weight.odds(probability[c]);
        }
        odds[probability.length] = 1;
        double[] weight = new double[dangerous.length];
        for (int s = 0, m = 0; s < weight.length; s++, m += MOST_AT_ONCE) {
            weight[s] = odds[members[m]] * odds[members[m + 1]] * odds[members[m + 2]];
        }
        return new Belief(this, normalised(weight));
    }

    int[] members() {
        return members;
    }

    boolean[] dangerous() {
        return dangerous;
    }

    /** Position of a finding that the knowledge has, or -1. */
    int indexOf(Finding finding) {
        return findings.indexOf(finding);
    }

    /** P(finding is there) for every set. */
    double[] probabilityPresent(int finding) {
        double[] present = new double[dangerous.length];
        double[] fail = fails[finding];
        double leak = leakFails[finding];
        for (int s = 0, m = 0; s < present.length; s++, m += MOST_AT_ONCE) {
            present[s] = 1 - leak * fail[members[m]] * fail[members[m + 1]] * fail[members[m + 2]];
        }
        return present;
    }

    static double[] normalised(double[] weight) {
        double sum = 0;
        for (double w : weight) {
            sum += w;
        }
        if (!(sum > 0)) {
            throw new IllegalStateException("Impossible state: evidence of probability zero; a leak is missing");
        }
        for (int i = 0; i < weight.length; i++) {
            weight[i] /= sum;
        }
        return weight;
    }

    /** All sets of at most three out of n; n itself means "nobody". */
    private static int[] members(int n) {
        List<int[]> sets = new ArrayList<>();
        sets.add(new int[] {n, n, n});
        for (int a = 0; a < n; a++) {
            sets.add(new int[] {a, n, n});
            for (int b = a + 1; b < n; b++) {
                sets.add(new int[] {a, b, n});
                for (int c = b + 1; c < n; c++) {
                    sets.add(new int[] {a, b, c});
                }
            }
        }
        return sets.stream().flatMapToInt(Arrays::stream).toArray();
    }
}
