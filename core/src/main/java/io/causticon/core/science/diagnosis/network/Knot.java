package io.causticon.core.science.diagnosis.network;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Variables that findings which are there tie to one another, with what is believed of them. What is not tied together
 * is independent and is weighed apart. Immutable; what is asked of it is worked out once.
 */
final class Knot {

    /**
     * Tables of so many findings at once are weighed within some milliseconds; what is wider than this is bounded
     * instead.
     */
    static final int WIDEST = 11;

    private final Network network;
    private final int[] variables;
    private final int[] findings;

    /** Findings that would have made it too wide to be weighed. */
    private final int[] leftOut;

    private final Elimination elimination;

    /** By place of the variable and state. */
    private final double[][] weight;

    private double @Nullable [][] posteriors;
    private @Nullable List<OrTable> leaves;
    private double all = Double.NaN;
    private double calm = Double.NaN;

    private Knot(
            Network network,
            int[] variables,
            int[] findings,
            int[] leftOut,
            Elimination elimination,
            double[][] weight) {
        this.network = network;
        this.variables = variables;
        this.findings = findings;
        this.leftOut = leftOut;
        this.elimination = elimination;
        this.weight = weight;
    }

    static Knot of(Network network, int variable, double[] weight) {
        int[] variables = {variable};
        int[] none = {};
        return new Knot(
                network, variables, none, none, new Elimination(network, variables, none), new double[][] {weight});
    }

    /** Ties knots together by a finding that is there. */
    static Knot tied(Network network, List<Knot> knots, int finding) {
        int[] variables =
                knots.stream().flatMapToInt(k -> Arrays.stream(k.variables)).toArray();
        double[][] weight = knots.stream().flatMap(k -> Arrays.stream(k.weight)).toArray(double[][]::new);
        int[] leftOut =
                knots.stream().flatMapToInt(k -> Arrays.stream(k.leftOut)).toArray();
        int[] findings = knots.stream().map(k -> k.findings).reduce(new int[] {finding}, OrTable::union);
        Elimination elimination = new Elimination(network, variables, findings);
        while (elimination.width() > WIDEST) {
            // Those that happen anyway most often cost least.
            int out = Arrays.stream(findings)
                    .boxed()
                    .max((a, b) -> Double.compare(network.leak(a), network.leak(b)))
                    .orElseThrow();
            leftOut = OrTable.union(leftOut, new int[] {out});
            findings = Arrays.stream(findings).filter(f -> f != out).toArray();
            elimination = new Elimination(network, variables, findings);
        }
        return new Knot(network, variables, findings, leftOut, elimination, weight);
    }

    boolean has(int variable) {
        return place(variable) >= 0;
    }

    private int place(int variable) {
        for (int i = 0; i < variables.length; i++) {
            if (variables[i] == variable) {
                return i;
            }
        }
        return -1;
    }

    /** Whether any of its variables can bring a finding about. */
    boolean canBringAbout(int finding) {
        for (int v : variables) {
            if (network.fails(finding, v) != null) {
                return true;
            }
        }
        return false;
    }

    int[] leftOut() {
        return leftOut;
    }

    /**
     * The same with the weights of each state times how often it fails to bring a finding about; the sum of the weights
     * falls.
     */
    Knot without(int finding) {
        return without(finding, 1);
    }

    /** The same for something that was looked for so many times, independent of one another, and was never there. */
    Knot without(int finding, double times) {
        double[][] less = weight.clone();
        for (int i = 0; i < variables.length; i++) {
            double[] fails = network.fails(finding, variables[i]);
            if (fails != null) {
                less[i] = product(
                        weight[i],
                        times == 1
                                ? fails
                                : Arrays.stream(fails)
                                        .map(f -> Math.pow(f, times))
                                        .toArray());
            }
        }
        return with(less);
    }

    /** The same with the weights of one variable times a likelihood. */
    Knot times(int variable, double[] likelihood) {
        double[][] changed = weight.clone();
        changed[place(variable)] = product(weight[place(variable)], likelihood);
        return with(changed);
    }

    private Knot with(double[][] other) {
        Knot knot = new Knot(network, variables, findings, leftOut, elimination, other);
        if (leaves != null) {
            // What did not change need not be worked out again.
            List<OrTable> known = new ArrayList<>(leaves);
            for (int i = 0; i < other.length; i++) {
                known.set(i, other[i] == weight[i] ? leaves.get(i) : knot.leaf(i, other[i]));
            }
            knot.leaves = known;
        }
        return knot;
    }

    /** Only ratios of weights matter; a long log would otherwise run out of small numbers. */
    Knot normalised() {
        double[][] changed = weight.clone();
        for (int i = 0; i < changed.length; i++) {
            double sum = Arrays.stream(weight[i]).sum();
            if (!(sum > 0)) {
                throw new IllegalStateException("Impossible state: evidence of probability zero; a leak is missing");
            }
            if (sum < .5) {
                changed[i] = Arrays.stream(weight[i]).map(w -> w / sum).toArray();
            }
        }
        return with(changed);
    }

    private static double[] product(double[] weight, double[] factor) {
        double[] product = new double[weight.length];
        for (int s = 0; s < product.length; s++) {
            product[s] = weight[s] * factor[s];
        }
        return product;
    }

    /** The weight of everything that is possible. */
    double all() {
        if (Double.isNaN(all)) {
            all = elimination.total(leaves());
        }
        return all;
    }

    /** The weight of everything in which nothing hurts. */
    double calm() {
        if (Double.isNaN(calm)) {
            List<OrTable> narrowed = new ArrayList<>(leaves());
            for (int i = 0; i < variables.length; i++) {
                int v = variables[i];
                if (network.isEverDangerous(v)) {
                    narrowed.set(i, leaf(i, narrowed(i, s -> !network.isDangerous(v, s))));
                }
            }
            calm = elimination.total(narrowed);
        }
        return calm;
    }

    /** The weight of everything in which a condition of one of its variables is there. */
    double having(int condition) {
        int variable = network.variableOf(condition);
        int i = place(variable);
        List<OrTable> narrowed = new ArrayList<>(leaves());
        narrowed.set(
                i, leaf(i, narrowed(i, s -> network.variables().get(variable).has(condition, s))));
        return elimination.total(narrowed);
    }

    @FunctionalInterface
    private interface States {
        boolean test(int state);
    }

    private double[] narrowed(int place, States passes) {
        double[] narrowed = weight[place].clone();
        for (int s = 0; s < narrowed.length; s++) {
            narrowed[s] = passes.test(s) ? narrowed[s] : 0;
        }
        return narrowed;
    }

    private List<OrTable> leaves() {
        List<OrTable> known = leaves;
        if (known == null) {
            known = new ArrayList<>();
            for (int i = 0; i < variables.length; i++) {
                known.add(leaf(i, weight[i]));
            }
            leaves = known;
        }
        return known;
    }

    /** A variable summed over its states: what it brings about of its findings, with which weight. */
    private OrTable leaf(int place, double[] states) {
        int[] scope = elimination.scope(place);
        OrTable table = new OrTable(scope);
        double[] product = new double[table.weight.length];
        for (int s = 0; s < states.length; s++) {
            if (states[s] > 0) {
                spread(variables[place], s, scope, product);
                for (int z = 0; z < product.length; z++) {
                    table.weight[z] += states[s] * product[z];
                }
            }
        }
        return table;
    }

    /**
     * How often a state brings about just these of its findings and fails to bring about the others, for each choice of
     * them.
     */
    private void spread(int variable, int state, int[] scope, double[] product) {
        product[0] = 1;
        for (int i = 0; i < scope.length; i++) {
            double fail = network.fails(scope[i], variable)[state];
            for (int z = (1 << i) - 1; z >= 0; z--) {
                product[z | 1 << i] = product[z] * (1 - fail);
                product[z] *= fail;
            }
        }
    }

    /** How likely each state of a variable is; sums to one. */
    double[] posterior(int variable) {
        double[][] known = posteriors;
        if (known == null) {
            List<OrTable> sloping =
                    leaves().stream().map(OrTable::withoutSlopes).toList();
            double total = elimination.totalAndSlopes(sloping);
            known = new double[variables.length][];
            for (int i = 0; i < variables.length; i++) {
                known[i] = posterior(i, sloping.get(i), total);
            }
            posteriors = known;
        }
        return known[place(variable)];
    }

    private double[] posterior(int place, OrTable leaf, double total) {
        double[] product = new double[leaf.weight.length];
        double[] slopes = leaf.slope();
        double[] posterior = new double[weight[place].length];
        for (int s = 0; s < posterior.length; s++) {
            if (weight[place][s] > 0) {
                spread(variables[place], s, leaf.findings, product);
                double slope = 0;
                for (int z = 0; z < product.length; z++) {
                    slope += product[z] * slopes[z];
                }
                posterior[s] = weight[place][s] * slope / total;
            }
        }
        return posterior;
    }
}
