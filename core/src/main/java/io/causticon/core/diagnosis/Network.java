package io.causticon.core.diagnosis;

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
    /** 1 - strength, by finding and condition. */
    private final double[][] fails;

    private final double[] leakFails;

    /** Members of each set, by number of condition; shorter sets are the earlier ones. */
    private final int[][] sets;

    Network(Knowledge knowledge) {
        this.conditions = knowledge.conditions();
        this.findings = knowledge.findings();
        this.fails = new double[findings.size()][conditions.size()];
        this.leakFails = new double[findings.size()];
        for (int f = 0; f < findings.size(); f++) {
            Arrays.fill(fails[f], 1);
            leakFails[f] = 1 - knowledge.leak(findings.get(f));
        }
        for (Link link : knowledge.links()) {
            fails[findings.indexOf(link.finding())][conditions.indexOf(link.condition())] *= 1 - link.strength();
        }
        this.sets = sets(conditions.size());
    }

    List<Condition> conditions() {
        return conditions;
    }

    List<Finding> findings() {
        return findings;
    }

    /** What is believed before any finding: the weight of each set, summing to one. */
    Belief prior(double[] probability) {
        double[] odds = new double[probability.length];
        for (int c = 0; c < odds.length; c++) {
            odds[c] = Weight.odds(probability[c]);
        }
        double[] weight = new double[sets.length];
        for (int s = 0; s < sets.length; s++) {
            weight[s] = 1;
            for (int c : sets[s]) {
                weight[s] *= odds[c];
            }
        }
        return new Belief(this, normalised(weight));
    }

    int[][] sets() {
        return sets;
    }

    /** Position of a finding that the knowledge has, or -1. */
    int indexOf(Finding finding) {
        return findings.indexOf(finding);
    }

    double probabilityPresent(int finding, int[] set) {
        double absent = leakFails[finding];
        for (int c : set) {
            absent *= fails[finding][c];
        }
        return 1 - absent;
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

    private static int[][] sets(int n) {
        int count = 1 + n + n * (n - 1) / 2 + n * (n - 1) * (n - 2) / 6;
        int[][] all = new int[count][];
        int k = 0;
        all[k++] = new int[0];
        for (int a = 0; a < n; a++) {
            all[k++] = new int[] {a};
        }
        for (int a = 0; a < n; a++) {
            for (int b = a + 1; b < n; b++) {
                all[k++] = new int[] {a, b};
            }
        }
        for (int a = 0; a < n; a++) {
            for (int b = a + 1; b < n; b++) {
                for (int c = b + 1; c < n; c++) {
                    all[k++] = new int[] {a, b, c};
                }
            }
        }
        return all;
    }
}
