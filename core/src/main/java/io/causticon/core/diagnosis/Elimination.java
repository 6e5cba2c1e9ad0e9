package io.causticon.core.diagnosis;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Weighs all states of variables that share findings which are there, exactly: variables are summed out at once, findings one after the other,
 * each when everything that can bring it about is counted in. One way back gives what every state contributes. Sources: R. Dechter, Bucket
 * elimination, Artificial Intelligence 113 (1999) 41; A. Darwiche, A differential approach to inference in Bayesian networks, J. ACM 50 (2003) 280.
 */
final class Elimination {

    private final Network network;
    private final int[] variables;
    private final double[][] weight;
    private final List<OrTable> leaves = new ArrayList<>();
    private final Deque<Runnable> wayBack = new ArrayDeque<>();
    private final double total;

    /**
     * @param variables numbers of those that hang together
     * @param findings numbers of those that are there
     * @param weight of each state, by variable
     */
    Elimination(Network network, int[] variables, int[] findings, double[][] weight) {
        this.network = network;
        this.variables = variables;
        this.weight = weight;
        for (int v : variables) {
            int[] own = Arrays.stream(findings).filter(f -> network.fails(f, v) != null).toArray();
            leaves.add(leaf(v, own));
        }
        this.total = sumOut(findings);
    }

    /** The weight of everything that is possible: the probability of what was seen. */
    double total() {
        return total;
    }

    /** The widest table that this would take, in findings. */
    static int width(Network network, int[] variables, int[] findings) {
        List<int[]> scopes = new ArrayList<>();
        for (int v : variables) {
            scopes.add(Arrays.stream(findings).filter(f -> network.fails(f, v) != null).toArray());
        }
        int widest = 0;
        List<Integer> left = new ArrayList<>(Arrays.stream(findings).boxed().toList());
        while (!left.isEmpty()) {
            int next = cheapest(left, scopes);
            int[] scope = scopeOf(next, scopes);
            widest = Math.max(widest, scope.length);
            scopes.removeIf(s -> Arrays.binarySearch(s, next) >= 0);
            scopes.add(Arrays.stream(scope).filter(f -> f != next).toArray());
            left.remove(Integer.valueOf(next));
        }
        return widest;
    }

    private static int[] scopeOf(int finding, List<int[]> scopes) {
        return scopes.stream().filter(s -> Arrays.binarySearch(s, finding) >= 0).flatMapToInt(Arrays::stream).sorted().distinct().toArray();
    }

    private static int cheapest(List<Integer> findings, List<int[]> scopes) {
        int best = -1;
        int narrowest = Integer.MAX_VALUE;
        for (int f : findings) {
            int width = scopeOf(f, scopes).length;
            if (width < narrowest) {
                narrowest = width;
                best = f;
            }
        }
        return best;
    }

    private OrTable leaf(int v, int[] findings) {
        OrTable table = new OrTable(findings);
        double[] product = new double[table.weight.length];
        for (int s = 0; s < weight[v].length; s++) {
            if (weight[v][s] > 0) {
                spread(v, s, findings, product);
                for (int z = 0; z < product.length; z++) {
                    table.weight[z] += weight[v][s] * product[z];
                }
            }
        }
        return table;
    }

    /** How often a state brings about just these of its findings and fails to bring about the others, for each choice of them. */
    private void spread(int v, int state, int[] findings, double[] product) {
        product[0] = 1;
        for (int i = 0; i < findings.length; i++) {
            double fail = network.fails(findings[i], v)[state];
            for (int z = (1 << i) - 1; z >= 0; z--) {
                product[z | 1 << i] = product[z] * (1 - fail);
                product[z] *= fail;
            }
        }
    }

    private double sumOut(int[] findings) {
        List<OrTable> tables = new ArrayList<>(leaves);
        List<Integer> left = new ArrayList<>(Arrays.stream(findings).boxed().toList());
        while (!left.isEmpty()) {
            int finding = cheapest(left, tables.stream().map(t -> t.findings).toList());
            List<OrTable> concerned = tables.stream().filter(t -> t.has(finding)).toList();
            tables.removeAll(concerned);
            tables.add(seen(finding, together(concerned)));
            left.remove(Integer.valueOf(finding));
        }
        double product = tables.stream().mapToDouble(t -> t.weight[0]).reduce(1, (a, b) -> a * b);
        // The last to be weighed are the first on the way back; what each changes the product by is that of all others.
        wayBack.push(() -> tables.forEach(t -> t.slope[0] += product / t.weight[0]));
        return product;
    }

    private OrTable together(List<OrTable> tables) {
        List<OrTable> narrowFirst = tables.stream().sorted((a, b) -> Integer.compare(a.findings.length, b.findings.length)).toList();
        OrTable all = narrowFirst.get(0);
        for (int i = 1; i < narrowFirst.size(); i++) {
            OrTable before = all;
            OrTable next = narrowFirst.get(i);
            OrTable both = before.or(next);
            wayBack.push(() -> before.orBack(next, both));
            all = both;
        }
        return all;
    }

    private OrTable seen(int finding, OrTable table) {
        double leak = network.leak(finding);
        OrTable rest = table.seen(finding, leak);
        wayBack.push(() -> table.seenBack(finding, leak, rest));
        return rest;
    }

    /** For each of the variables, in their order, how likely each of its states is. To be asked once. */
    double[][] posteriors() {
        wayBack.forEach(Runnable::run);
        return IntStream.range(0, variables.length).mapToObj(this::posterior).toArray(double[][]::new);
    }

    private double[] posterior(int i) {
        int v = variables[i];
        OrTable leaf = leaves.get(i);
        double[] product = new double[leaf.weight.length];
        double[] posterior = new double[weight[v].length];
        for (int s = 0; s < posterior.length; s++) {
            if (weight[v][s] > 0) {
                spread(v, s, leaf.findings, product);
                double slope = 0;
                for (int z = 0; z < product.length; z++) {
                    slope += product[z] * leaf.slope[z];
                }
                posterior[s] = weight[v][s] * slope / total;
            }
        }
        return posterior;
    }
}
