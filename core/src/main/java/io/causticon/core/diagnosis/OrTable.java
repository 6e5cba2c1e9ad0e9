package io.causticon.core.diagnosis;

import java.util.Arrays;

/**
 * Weights over what has been brought about so far: a bit a finding, set where some cause of those that were counted in brought it about. Two
 * tables go together by "or": a finding is there if the causes of the one or of the other bring it about. All weights are sums of products of
 * probabilities, so nothing cancels out however unlikely the findings are. Source: the factorisation of the noisy-OR by F. J. Díez and S. F.
 * Galán, Efficient computation for the noisy MAX, Int. J. Intelligent Systems 18 (2003) 165, in its positive form.
 */
final class OrTable {

    /** Findings by number, rising; the first is the lowest bit. */
    final int[] findings;

    final double[] weight;

    /** What the whole changes by for each of the weights. */
    final double[] slope;

    OrTable(int[] findings) {
        this.findings = findings;
        this.weight = new double[1 << findings.length];
        this.slope = new double[weight.length];
    }

    boolean has(int finding) {
        return Arrays.binarySearch(findings, finding) >= 0;
    }

    OrTable or(OrTable other) {
        OrTable both = new OrTable(union(findings, other.findings));
        new Pairing(this, other, both).multiply(both.findings.length - 1, 0, other.weight, 0, 0);
        return both;
    }

    /** Hands the slopes of both together on to each. */
    void orBack(OrTable other, OrTable both) {
        int top = both.findings.length - 1;
        new Pairing(this, other, both).handBack(top, this.slope, 0, other.weight, 0, 0);
        new Pairing(other, this, both).handBack(top, other.slope, 0, weight, 0, 0);
    }

    /**
     * Goes through two tables finding by finding, from the top. Where both know it, what the one has brought about goes with all of the other, and
     * what it has not with what the other has: three products of half the size instead of four, and none of them a difference.
     */
    private static final class Pairing {

        private final OrTable one;
        private final OrTable both;

        /** By bit of both: the half of each table below it, 0 where that table does not know the finding. */
        private final int[] half;

        private final int[] otherHalf;
        private final double[][] sums;

        Pairing(OrTable one, OrTable other, OrTable both) {
            this.one = one;
            this.both = both;
            int bits = both.findings.length;
            this.half = new int[bits];
            this.otherHalf = new int[bits];
            this.sums = new double[bits][];
            int size = 1;
            int otherSize = 1;
            for (int i = 0; i < bits; i++) {
                half[i] = one.has(both.findings[i]) ? size : 0;
                otherHalf[i] = other.has(both.findings[i]) ? otherSize : 0;
                sums[i] = new double[otherHalf[i]];
                size <<= half[i] > 0 ? 1 : 0;
                otherSize <<= otherHalf[i] > 0 ? 1 : 0;
            }
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
                slope[at] += both.slope[from] * other[otherAt];
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
            double[] sum = sums[i];
            for (int z = 0; z < sum.length; z++) {
                sum[z] = other[otherAt + z] + other[otherAt + otherHalf[i] + z];
            }
            return sum;
        }
    }

    /** Once all causes of a finding are counted in and it is there: brought about by one of them, or it happens anyway. */
    OrTable seen(int finding, double anyway) {
        int bit = 1 << Arrays.binarySearch(findings, finding);
        OrTable rest = new OrTable(Arrays.stream(findings).filter(f -> f != finding).toArray());
        for (int z = 0; z < rest.weight.length; z++) {
            int without = spread(z, bit);
            rest.weight[z] = weight[without | bit] + anyway * weight[without];
        }
        return rest;
    }

    void seenBack(int finding, double anyway, OrTable rest) {
        int bit = 1 << Arrays.binarySearch(findings, finding);
        for (int z = 0; z < rest.weight.length; z++) {
            int without = spread(z, bit);
            slope[without | bit] += rest.slope[z];
            slope[without] += anyway * rest.slope[z];
        }
    }

    /** A place with a bit put in between. */
    private static int spread(int z, int bit) {
        return (z & -bit) << 1 | z & bit - 1;
    }

    static int[] union(int[] a, int[] b) {
        int[] both = Arrays.copyOf(a, a.length + b.length);
        System.arraycopy(b, 0, both, a.length, b.length);
        return Arrays.stream(both).sorted().distinct().toArray();
    }
}
