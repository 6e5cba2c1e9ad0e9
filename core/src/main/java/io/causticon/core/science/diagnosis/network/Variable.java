package io.causticon.core.science.diagnosis.network;

import java.util.Arrays;
import java.util.List;

/**
 * Conditions that speak with one another, or one that stands alone, in all the states that they can be in together. The
 * superfat is such a variable, of many levels; lye-heavy is not a condition beside it but what it is called below
 * nothing.
 */
public final class Variable {

    /** Numbers of the conditions that are there or not; each doubles the states. */
    final int[] conditions;

    /** 1, or those of the superfat. */
    public final int levels;

    /** Number of the condition that the levels below nothing are; -1 without levels. */
    final int excess;

    private final List<Tie> ties;

    private final int states;

    Variable(int[] conditions, int excess, List<Tie> ties) {
        this.conditions = conditions;
        this.excess = excess;
        this.levels = excess < 0 ? 1 : SuperfatLevels.COUNT;
        this.ties = ties;
        this.states = levels << conditions.length;
    }

    public int states() {
        return states;
    }

    public int level(int state) {
        return state % levels;
    }

    /** Whether a condition is there in a state. */
    boolean has(int condition, int state) {
        if (condition == excess) {
            return SuperfatLevels.isExcess(level(state));
        }
        int bit = Arrays.binarySearch(conditions, condition);
        return bit >= 0 && (state / levels >> bit & 1) == 1;
    }

    boolean concerns(int condition) {
        return condition == excess || Arrays.binarySearch(conditions, condition) >= 0;
    }

    /**
     * How likely each state is before anything was seen; sums to one.
     *
     * @param rate of every condition by number, 0 to 1
     * @param superfat of every level; summing to one
     */
    double[] prior(double[] rate, double[] superfat) {
        double[] weight = new double[states];
        double sum = 0;
        for (int s = 0; s < states; s++) {
            double w = levels == 1 ? 1 : superfat[level(s)];
            for (int c : conditions) {
                w *= has(c, s) ? chance(c, s, rate) : 1 - chance(c, s, rate);
            }
            for (Tie tie : ties) {
                w *= tie.forbids(has(tie.first(), s), has(tie.second(), s)) ? 0 : 1;
            }
            weight[s] = w;
            sum += w;
        }
        for (int s = 0; s < states; s++) {
            weight[s] /= sum;
        }
        return weight;
    }

    /** Its own rate, and what other conditions of the state bring about. */
    private double chance(int condition, int state, double[] rate) {
        double fails = 1 - rate[condition];
        for (Tie tie : ties) {
            fails *= tie.second() == condition && has(tie.first(), state) ? tie.failsToBringAbout() : 1;
        }
        return 1 - fails;
    }

    /**
     * A relation of two conditions by their numbers.
     *
     * @param kind what the first is to the second
     * @param first number of a condition
     * @param second number of another
     * @param strength how often the first brings the second about
     */
    record Tie(Relation.Kind kind, int first, int second, double strength) {

        private boolean forbids(boolean firstThere, boolean secondThere) {
            return firstThere
                    && (kind == Relation.Kind.EXCLUDES && secondThere
                            || kind == Relation.Kind.IS_A_KIND_OF && !secondThere);
        }

        private double failsToBringAbout() {
            return kind == Relation.Kind.BRINGS_ABOUT ? 1 - strength : 1;
        }
    }
}
