package io.causticon.core.diagnosis;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What is believed of a batch after what was looked at. Immutable; each finding gives a new one. What is absent weighs on the states by itself;
 * what is there ties the variables that can bring it about to one another, and only those are weighed together.
 */
final class Belief {

    /** Tables of so many findings at once are weighed within some milliseconds; a knot wider than this is bounded instead. */
    static final int WIDEST = 11;

    private final Network network;
    private final double[][] weight;
    private final int[] present;

    /** Findings whose knot was too wide to be weighed with them. */
    private final List<Integer> leftOut = new ArrayList<>();

    private final List<Knot> knots = new ArrayList<>();
    private final Map<Integer, Knot> knotOf = new HashMap<>();
    private final Map<Knot, Double> all = new IdentityHashMap<>();
    private final Map<Knot, Double> calm = new IdentityHashMap<>();
    private double @Nullable [][] posterior;

    /** Variables that findings tie together. */
    private record Knot(int[] variables, int[] findings) {}

    Belief(Network network, double[][] weight, int[] present) {
        this.network = network;
        this.weight = weight;
        this.present = present;
        tie();
    }

    private void tie() {
        int[] group = IntStream.range(0, weight.length).toArray();
        for (int f : present) {
            int first = -1;
            for (int v = 0; v < group.length; v++) {
                if (network.fails(f, v) != null) {
                    first = first < 0 ? group[v] : join(group, group[v], first);
                }
            }
        }
        for (int g = 0; g < group.length; g++) {
            int name = g;
            int[] variables = IntStream.range(0, group.length).filter(v -> group[v] == name).toArray();
            if (variables.length > 0) {
                int[] findings = Arrays.stream(present)
                        .filter(f -> Arrays.stream(variables).anyMatch(v -> network.fails(f, v) != null))
                        .toArray();
                Knot knot = loosened(variables, findings);
                knots.add(knot);
                Arrays.stream(variables).forEach(v -> knotOf.put(v, knot));
            }
        }
    }

    private static int join(int[] group, int from, int to) {
        for (int v = 0; v < group.length; v++) {
            group[v] = group[v] == from ? to : group[v];
        }
        return to;
    }

    /** Leaves out findings until the rest can be weighed; those that happen anyway most often first, as they cost least. */
    private Knot loosened(int[] variables, int[] findings) {
        int[] kept = findings;
        while (Elimination.width(network, variables, kept) > WIDEST) {
            int out = Arrays.stream(kept).boxed().max((a, b) -> Double.compare(network.leak(a), network.leak(b))).orElseThrow();
            leftOut.add(out);
            kept = Arrays.stream(kept).filter(f -> f != out).toArray();
        }
        return new Knot(variables, kept);
    }

    /** Whether something that is there had to be left out, so that hazards are told by an upper bound. */
    boolean isBounded() {
        return !leftOut.isEmpty();
    }

    private double[][] posterior() {
        double[][] known = posterior;
        if (known == null) {
            known = new double[weight.length][];
            for (Knot knot : knots) {
                double[][] states = new Elimination(network, knot.variables(), knot.findings(), weight).posteriors();
                for (int i = 0; i < states.length; i++) {
                    known[knot.variables()[i]] = states[i];
                }
            }
            posterior = known;
        }
        return known;
    }

    /** P(condition); of a hazard never less than it is. */
    double of(int condition) {
        int v = network.variableOf(condition);
        double[] states = posterior()[v];
        double sum = 0;
        for (int s = 0; s < states.length; s++) {
            sum += network.variables().get(v).has(condition, s) ? states[s] : 0;
        }
        return network.conditions().get(condition).hazard() ? bound(sum) : sum;
    }

    /** How likely each level of the superfat is; empty when the knowledge does not speak of it. */
    double[] superfat() {
        for (int v = 0; v < weight.length; v++) {
            Variable variable = network.variables().get(v);
            if (variable.excess >= 0) {
                double[] level = new double[variable.levels];
                for (int s = 0; s < variable.states(); s++) {
                    level[variable.level(s)] += posterior()[v][s];
                }
                return level;
            }
        }
        return new double[0];
    }

    /** P(at least one hazard); never less than it is. */
    double anyHazard() {
        return bound(1 - knots.stream().mapToDouble(k -> calm(k) / all(k)).reduce(1, (a, b) -> a * b));
    }

    private double all(Knot knot) {
        return all.computeIfAbsent(knot, k -> total(k, weight));
    }

    private double calm(Knot knot) {
        return calm.computeIfAbsent(knot, k -> total(k, narrowed(k, weight, (v, s) -> !network.isDangerous(v, s))));
    }

    private double total(Knot knot, double[][] of) {
        return new Elimination(network, knot.variables(), knot.findings(), of).total();
    }

    /** The weights of a knot's variables where a test is passed, nothing elsewhere. */
    private static double[][] narrowed(Knot knot, double[][] of, States passes) {
        double[][] narrowed = of.clone();
        for (int v : knot.variables()) {
            narrowed[v] = of[v].clone();
            for (int s = 0; s < narrowed[v].length; s++) {
                narrowed[v][s] = passes.test(v, s) ? of[v][s] : 0;
            }
        }
        return narrowed;
    }

    @FunctionalInterface
    private interface States {
        boolean test(int variable, int state);
    }

    /**
     * What looking for a finding would bring.
     *
     * @param likely P(it is there)
     * @param hazardIfFound P(any hazard), were it there
     * @param hazardIfNot P(any hazard), were it not
     * @param conditionIfFound P(the condition asked about), were it there
     * @param conditionIfNot P(the condition asked about), were it not
     */
    record Outlook(
            double likely, double hazardIfFound, double hazardIfNot, double conditionIfFound, double conditionIfNot) {}

    /** Both outcomes of a look; only the knots that the finding touches are weighed anew. */
    Outlook outlook(int finding, int condition) {
        double[][] without = weight.clone();
        Set<Knot> touched = new LinkedHashSet<>();
        for (int v = 0; v < without.length; v++) {
            double[] fails = network.fails(finding, v);
            if (fails != null) {
                without[v] = product(weight[v], fails);
                touched.add(knotOf.get(v));
            }
        }
        int asked = network.variableOf(condition);
        double absent = 1 - network.leak(finding);
        double calmIfNot = knots.stream().filter(k -> !touched.contains(k)).mapToDouble(k -> calm(k) / all(k)).reduce(1, (a, b) -> a * b);
        double conditionIfNot = of(condition);
        for (Knot knot : touched) {
            double left = total(knot, without);
            absent *= left / all(knot);
            calmIfNot *= total(knot, narrowed(knot, without, (v, s) -> !network.isDangerous(v, s))) / left;
            if (knotOf.get(asked) == knot) {
                conditionIfNot = total(knot, narrowed(knot, without, (v, s) -> v != asked || network.variables().get(v).has(condition, s))) / left;
            }
        }
        double hazardIfNot = bound(1 - calmIfNot);
        return new Outlook(
                1 - absent, otherwise(anyHazard(), hazardIfNot, absent), hazardIfNot, otherwise(of(condition), conditionIfNot, absent), conditionIfNot);
    }

    /** What one outcome leaves for the other. */
    private static double otherwise(double overall, double ifNot, double not) {
        return Math.max(0, Math.min(1, (overall - not * ifNot) / (1 - not)));
    }

    /**
     * What a finding that was left out can do at most: it is there with certainty where the hazard is, and only by itself where it is not.
     */
    private double bound(double probability) {
        double odds = Weight.odds(Math.max(0, Math.min(1, probability)));
        for (int f : leftOut) {
            odds /= network.leak(f);
        }
        return Weight.probability(odds);
    }

    /** What is believed once a finding is known to be there or not. */
    Belief after(int finding, boolean there) {
        if (there) {
            return Arrays.binarySearch(present, finding) >= 0 ? this : new Belief(network, weight, OrTable.union(present, new int[] {finding}));
        }
        double[][] next = weight.clone();
        for (int v = 0; v < next.length; v++) {
            next[v] = times(weight[v], network.fails(finding, v));
        }
        return new Belief(network, next, present);
    }

    /** What is believed once a quantity was measured that speaks of one variable with this likelihood of each state. */
    Belief after(int variable, double[] likelihood) {
        double[][] next = weight.clone();
        next[variable] = times(weight[variable], likelihood);
        return new Belief(network, next, present);
    }

    private static double[] times(double[] weight, double @Nullable [] factor) {
        if (factor == null) {
            return weight;
        }
        double[] product = product(weight, factor);
        double sum = Arrays.stream(product).sum();
        if (!(sum > 0)) {
            throw new IllegalStateException("Impossible state: evidence of probability zero; a leak is missing");
        }
        // Only ratios matter; a long log would otherwise run out of small numbers.
        for (int s = 0; s < product.length; s++) {
            product[s] /= sum;
        }
        return product;
    }

    private static double[] product(double[] weight, double[] factor) {
        double[] product = new double[weight.length];
        for (int s = 0; s < product.length; s++) {
            product[s] = weight[s] * factor[s];
        }
        return product;
    }
}
