package io.causticon.core.science.diagnosis.network;

import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Weights over what has been brought about so far: a bit a finding, set where some cause of those that were counted in
 * brought it about. Two tables go together by "or": a finding is there if the causes of the one or of the other bring
 * it about. All weights are sums of products of probabilities, so nothing cancels out however unlikely the findings
 * are. Source: the factorisation of the noisy-OR by F. J. Díez and S. F. Galán, Efficient computation for the noisy
 * MAX, Int. J. Intelligent Systems 18 (2003) 165, in its positive form.
 */
final class OrTable {

    /** Findings by number, rising; the first is the lowest bit. */
    final int[] findings;

    final double[] weight;

    private double @Nullable [] slope;

    OrTable(int[] findings) {
        this(findings, new double[1 << findings.length]);
    }

    private OrTable(int[] findings, double[] weight) {
        this.findings = findings;
        this.weight = weight;
    }

    /** The same weights; nothing has come back to it yet. */
    OrTable withoutSlopes() {
        return new OrTable(findings, weight);
    }

    /** What the whole changes by for each of the weights, as far as it has come back. */
    double[] slope() {
        double[] known = slope;
        if (known == null) {
            known = new double[weight.length];
            slope = known;
        }
        return known;
    }

    OrTable or(OrTable other, Join join) {
        OrTable both = new OrTable(join.findings);
        new Pairing(this, both, join.half, join.otherHalf).multiply(join.top(), 0, other.weight, 0, 0);
        return both;
    }

    /** Hands the slopes of both together on to each. */
    void orBack(OrTable other, OrTable both, Join join) {
        new Pairing(this, both, join.half, join.otherHalf).handBack(join.top(), slope(), 0, other.weight, 0, 0);
        new Pairing(other, both, join.otherHalf, join.half).handBack(join.top(), other.slope(), 0, weight, 0, 0);
    }

    /** How two tables lie over one another; the same whatever their weights are. */
    static final class Join {

        /** Those of both. */
        final int[] findings;

        /** By finding of both: the half of each table below it, 0 where that table does not know the finding. */
        private final int[] half;

        private final int[] otherHalf;

        Join(int[] one, int[] other) {
            this.findings = union(one, other);
            this.half = halves(one);
            this.otherHalf = halves(other);
        }

        private int[] halves(int[] of) {
            int[] halves = new int[findings.length];
            int size = 1;
            for (int i = 0; i < halves.length; i++) {
                boolean knows = Arrays.binarySearch(of, findings[i]) >= 0;
                halves[i] = knows ? size : 0;
                size <<= knows ? 1 : 0;
            }
            return halves;
        }

        private int top() {
            return findings.length - 1;
        }
    }

    /**
     * Goes through two tables finding by finding, from the top. Where both know it, what the one has brought about goes
     * with all of the other, and what it has not with what the other has: three products of half the size instead of
     * four, and none of them a difference.
     */
    private static final class Pairing {

        private static final double[] NONE = {};

        private final OrTable one;
        private final OrTable both;
        private final double[] slopes;
        private final int[] half;
        private final int[] otherHalf;
        private final double[][] sums;

        Pairing(OrTable one, OrTable both, int[] half, int[] otherHalf) {
            this.one = one;
            this.both = both;
            this.slopes = both.slope == null ? NONE : both.slope;
            this.half = half;
            this.otherHalf = otherHalf;
            this.sums = new double[half.length][];
        }

        void multiply(int i, int at, double[] other, int otherAt, int to) {
            if (i < 0) {
                both.weight[to] += one.weight[at] * other[otherAt];
                return;
            }
            int h = half[i];
            int o = otherHalf[i];
            int upper = to + (1 << i);
            multiply(i - 1, at, other, otherAt, to);
            if (o == 0) {
                multiply(i - 1, at + h, other, otherAt, upper);
            } else {
                multiply(i - 1, at, other, otherAt + o, upper);
                if (h > 0) {
                    multiply(i - 1, at + h, sum(i, other, otherAt), 0, upper);
                }
            }
        }

        /** Adds to the slopes of the one what the slopes of both are worth to it. */
        void handBack(int i, double[] slope, int at, double[] other, int otherAt, int from) {
            if (i < 0) {
                slope[at] += slopes[from] * other[otherAt];
                return;
            }
            int h = half[i];
            int o = otherHalf[i];
            int upper = from + (1 << i);
            handBack(i - 1, slope, at, other, otherAt, from);
            if (o == 0) {
                handBack(i - 1, slope, at + h, other, otherAt, upper);
            } else {
                handBack(i - 1, slope, at, other, otherAt + o, upper);
                if (h > 0) {
                    handBack(i - 1, slope, at + h, sum(i, other, otherAt), 0, upper);
                }
            }
        }

        /** Both halves of the other table together; a place to write for each bit, as deeper ones write into others. */
        private double[] sum(int i, double[] other, int otherAt) {
            if (sums[i] == null) {
                sums[i] = new double[otherHalf[i]];
            }
            double[] sum = sums[i];
            for (int z = 0; z < sum.length; z++) {
                sum[z] = other[otherAt + z] + other[otherAt + otherHalf[i] + z];
            }
            return sum;
        }
    }

    /**
     * Once all causes of a finding are counted in and it is there: brought about by one of them, or it happens anyway.
     *
     * @param others the findings but this one
     */
    OrTable seen(int finding, double anyway, int[] others) {
        int bit = 1 << Arrays.binarySearch(findings, finding);
        OrTable rest = new OrTable(others);
        for (int z = 0; z < rest.weight.length; z++) {
            int without = spread(z, bit);
            rest.weight[z] = weight[without | bit] + anyway * weight[without];
        }
        return rest;
    }

    void seenBack(int finding, double anyway, OrTable rest) {
        int bit = 1 << Arrays.binarySearch(findings, finding);
        double[] mine = slope();
        double[] rests = rest.slope();
        for (int z = 0; z < rest.weight.length; z++) {
            int without = spread(z, bit);
            mine[without | bit] += rests[z];
            mine[without] += anyway * rests[z];
        }
    }

    /** A place with a bit put in between. */
    private static int spread(int z, int bit) {
        return (z & -bit) << 1 | z & bit - 1;
    }

    /** Of two rising rows of numbers. */
    static int[] union(int[] a, int[] b) {
        int[] both = new int[a.length + b.length];
        int n = 0;
        for (int i = 0, j = 0; i < a.length || j < b.length; ) {
            int next = j == b.length || i < a.length && a[i] < b[j] ? a[i] : b[j];
            i += i < a.length && a[i] == next ? 1 : 0;
            j += j < b.length && b[j] == next ? 1 : 0;
            both[n++] = next;
        }
        return Arrays.copyOf(both, n);
    }
}
