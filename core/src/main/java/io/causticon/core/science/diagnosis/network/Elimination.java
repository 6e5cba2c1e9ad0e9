package io.causticon.core.science.diagnosis.network;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;

/**
 * In which order findings that are there are summed out of the variables that they tie together, each when everything
 * that can bring it about is counted in. Exact; one way back gives what every weight contributes. Sources: R. Dechter,
 * Bucket elimination, Artificial Intelligence 113 (1999) 41; A. Darwiche, A differential approach to inference in
 * Bayesian networks, J. ACM 50 (2003) 280.
 */
final class Elimination {

    private final Network network;

    /** By variable: those of the findings that it can bring about. */
    private final int[][] scopes;

    private final List<Step> steps = new ArrayList<>();
    private final int[] rest;
    private final int width;

    /** Tables by number: one a variable, then one a step. */
    private record Step(int finding, int[] tables, OrTable.Join[] joins, int[] others) {}

    /**
     * @param variables numbers of those that hang together
     * @param findings numbers of those that are there
     */
    Elimination(Network network, int[] variables, int[] findings) {
        this.network = network;
        this.scopes = new int[variables.length][];
        for (int i = 0; i < variables.length; i++) {
            int v = variables[i];
            scopes[i] = Arrays.stream(findings)
                    .filter(f -> network.fails(f, v) != null)
                    .toArray();
        }
        List<int[]> scope = new ArrayList<>(List.of(scopes));
        List<Integer> alive = new ArrayList<>();
        for (int i = 0; i < scopes.length; i++) {
            alive.add(i);
        }
        List<Integer> left = new ArrayList<>(Arrays.stream(findings).boxed().toList());
        int widest = 0;
        while (!left.isEmpty()) {
            int finding = narrowest(left, alive, scope);
            int[] tables = alive.stream()
                    .filter(t -> Arrays.binarySearch(scope.get(t), finding) >= 0)
                    .mapToInt(t -> t)
                    .toArray();
            OrTable.Join[] joins = new OrTable.Join[tables.length - 1];
            int[] union = scope.get(tables[0]);
            for (int i = 0; i < joins.length; i++) {
                joins[i] = new OrTable.Join(union, scope.get(tables[i + 1]));
                union = joins[i].findings;
            }
            widest = Math.max(widest, union.length);
            int[] others = Arrays.stream(union).filter(f -> f != finding).toArray();
            steps.add(new Step(finding, tables, joins, others));
            alive.removeIf(t -> Arrays.binarySearch(tables, t) >= 0);
            alive.add(scope.size());
            scope.add(others);
            left.remove(Integer.valueOf(finding));
        }
        this.rest = alive.stream().mapToInt(t -> t).toArray();
        this.width = widest;
    }

    private static int narrowest(List<Integer> findings, List<Integer> alive, List<int[]> scope) {
        int best = -1;
        int least = Integer.MAX_VALUE;
        for (int f : findings) {
            int[] union = {};
            for (int t : alive) {
                union = Arrays.binarySearch(scope.get(t), f) >= 0 ? OrTable.union(union, scope.get(t)) : union;
            }
            if (union.length < least) {
                least = union.length;
                best = f;
            }
        }
        return best;
    }

    /** The findings of its widest table. */
    int width() {
        return width;
    }

    /** Those of the findings that a variable can bring about, by the place of the variable. */
    int[] scope(int place) {
        return scopes[place];
    }

    /**
     * The weight of everything that is possible: the probability of what was seen.
     *
     * @param leaves a table a variable
     */
    double total(List<OrTable> leaves) {
        return run(leaves, new ArrayDeque<>());
    }

    /** The same; afterwards the leaves know what the total changes by for each of their weights. */
    double totalAndSlopes(List<OrTable> leaves) {
        Deque<Runnable> wayBack = new ArrayDeque<>();
        double total = run(leaves, wayBack);
        wayBack.forEach(Runnable::run);
        return total;
    }

    private double run(List<OrTable> leaves, Deque<Runnable> wayBack) {
        List<OrTable> tables = new ArrayList<>(leaves);
        for (Step step : steps) {
            OrTable all = tables.get(step.tables()[0]);
            for (int i = 0; i < step.joins().length; i++) {
                OrTable before = all;
                OrTable next = tables.get(step.tables()[i + 1]);
                OrTable.Join join = step.joins()[i];
                OrTable both = before.or(next, join);
                wayBack.push(() -> before.orBack(next, both, join));
                all = both;
            }
            OrTable whole = all;
            double leak = network.leak(step.finding());
            OrTable seen = whole.seen(step.finding(), leak, step.others());
            wayBack.push(() -> whole.seenBack(step.finding(), leak, seen));
            tables.add(seen);
        }
        double product = 1;
        for (int t : rest) {
            product *= tables.get(t).weight[0];
        }
        double total = product;
        // The last to be weighed are the first on the way back; what each changes the product by is that of all others.
        wayBack.push(() -> Arrays.stream(rest).mapToObj(tables::get).forEach(t -> t.slope()[0] += total / t.weight[0]));
        return total;
    }
}
