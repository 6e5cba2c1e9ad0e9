package io.causticon.core.science.diagnosis.network;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Interval;
import java.util.stream.IntStream;

/**
 * The superfat that a batch really has, in steps that are fine where it matters. Below nothing there is more alkali
 * than the fats take.
 */
public final class SuperfatLevels {

    /** Steps of half a point from eight below nothing to eight above. */
    private static final int FINE = 33;

    private static final double FINE_STEP = .005;

    /**
     * Half a point below nothing is some 0.05 % of free NaOH in the soap, the most that IS 2888:2004 allows in toilet
     * soap; with less than that no test finds anything. One of the edges.
     */
    private static final double LYE_HEAVY_BELOW = -.005;

    /** Fractions, rising. The outermost levels reach to where no batch is. */
    private static final double[] EDGES = edges();

    public static final int COUNT = EDGES.length + 1;

    /** Worked out once: they are asked for each state of each condition. */
    private static final double[] MIDDLES =
            IntStream.range(0, COUNT).mapToDouble(SuperfatLevels::middleOf).toArray();

    private SuperfatLevels() {}

    private static double[] edges() {
        double[] outside = {-.6, -.4, -.3, -.25, -.2, -.17, -.14, -.12, -.10, -.09};
        double[] edges = new double[outside.length + FINE + outside.length];
        System.arraycopy(outside, 0, edges, 0, outside.length);
        for (int i = 0; i < FINE; i++) {
            edges[outside.length + i] = (i - FINE / 2) * FINE_STEP;
        }
        for (int i = 0; i < outside.length; i++) {
            edges[edges.length - 1 - i] = -outside[i];
        }
        return edges;
    }

    /** Whether a level has so much more alkali than the fats take that it is called lye-heavy. */
    public static boolean isExcess(int level) {
        return MIDDLES[level] < LYE_HEAVY_BELOW;
    }

    /** The superfat in the middle of a level, a fraction. */
    public static double middle(int level) {
        return MIDDLES[level];
    }

    private static double middleOf(int level) {
        if (level == 0) {
            return EDGES[0] - .1;
        }
        return level == COUNT - 1 ? EDGES[level - 1] + .1 : (EDGES[level - 1] + EDGES[level]) / 2;
    }

    /** The level that a superfat lies in, a fraction. */
    public static int levelOf(double superfat) {
        int level = 0;
        while (level < EDGES.length && superfat >= EDGES[level]) {
            level++;
        }
        return level;
    }

    /** Alkali beyond what the fats take, as a fraction of what they take; 0 or more. */
    public static double excess(int level) {
        return Math.max(0, -middle(level));
    }

    /** The same superfats, each moved by so much and spread by how little that is known. */
    public static double[] moved(double[] levels, Estimate by) {
        if (by.value() == 0 && by.standardDeviation() == 0) {
            return levels;
        }
        double[] moved = new double[COUNT];
        for (int level = 0; level < COUNT; level++) {
            if (levels[level] > 0) {
                // What was anywhere in a level is anywhere in one that is as wide.
                double[] spread =
                        of(new Estimate(middle(level) + by.value(), Math.max(by.standardDeviation(), FINE_STEP / 4)));
                for (int to = 0; to < COUNT; to++) {
                    moved[to] += levels[level] * spread[to];
                }
            }
        }
        return moved;
    }

    /** How a superfat that is known so well spreads over the levels; sums to one. */
    public static double[] of(Estimate superfat) {
        double[] share = new double[COUNT];
        double below = 0;
        for (int level = 0; level < COUNT; level++) {
            double upTo = level == COUNT - 1 ? 1 : below(EDGES[level], superfat);
            share[level] = Math.max(0, upTo - below);
            below = upTo;
        }
        return share;
    }

    private static double below(double edge, Estimate superfat) {
        if (superfat.standardDeviation() == 0) {
            return superfat.value() < edge ? 1 : 0;
        }
        return NormalTable.below((edge - superfat.value()) / superfat.standardDeviation());
    }

    /** Mean and standard deviation, fractions. */
    public static Estimate estimate(double[] share) {
        double sum = 0;
        double mean = 0;
        for (int level = 0; level < COUNT; level++) {
            sum += share[level];
            mean += share[level] * MIDDLES[level];
        }
        mean /= sum;
        double variance = 0;
        for (int level = 0; level < COUNT; level++) {
            variance += share[level] / sum * (MIDDLES[level] - mean) * (MIDDLES[level] - mean);
        }
        return new Estimate(mean, Math.sqrt(variance));
    }

    /**
     * Where a quantile lies if each level is filled evenly.
     *
     * @param share of each level, of any sum above nothing
     */
    public static double quantile(double[] share, double part) {
        double sum = 0;
        for (double s : share) {
            sum += s;
        }
        double wanted = part * sum;
        for (int level = 0; level < COUNT; level++) {
            if (wanted <= share[level] || level == COUNT - 1) {
                double from = level == 0 ? EDGES[0] - .2 : EDGES[level - 1];
                double to = level == COUNT - 1 ? EDGES[level - 1] + .2 : EDGES[level];
                return Interval.between(from, to)
                        .clamp(from + (to - from) * (share[level] > 0 ? wanted / share[level] : 0));
            }
            wanted -= share[level];
        }
        throw new IllegalStateException("Impossible state: no level holds a quantile");
    }
}
