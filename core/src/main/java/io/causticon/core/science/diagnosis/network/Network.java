package io.causticon.core.science.diagnosis.network;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.science.diagnosis.network.Variable.Tie;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * The knowledge compiled for exact inference: conditions in two layers above findings, any number of them at once.
 *
 * <p>A finding is absent only if its leak and every condition that is there all fail to bring it about,
 * {@code P(absent | S) = (1 - leak) prod (1 - strength)} (noisy-OR; J. Pearl, Probabilistic Reasoning in Intelligent
 * Systems (1988), 4.3.2). Conditions that exclude, contain or cause one another, or that one measurement speaks of, are
 * one {@link Variable}.
 */
public final class Network {

    private final List<Condition> conditions;
    private final List<Finding> findings;
    private final Map<String, Integer> numbers = new HashMap<>();
    private final List<Variable> variables;
    private final int[] variableOf;

    /** By finding and variable: how often each state fails to bring it about; null where it never does. */
    private final double[][][] fails;

    private final double[] leaks;

    /** By finding and condition. */
    private final boolean[][] direct;

    /** By variable and state: whether it hurts. */
    private final boolean[][] dangerous;

    private final boolean[] everDangerous;

    public Network(Knowledge knowledge) {
        this.conditions = knowledge.conditions();
        this.findings = knowledge.findings();
        findings.forEach(f -> numbers.put(f.id(), numbers.size()));
        this.variables = variables(knowledge);
        this.variableOf = new int[conditions.size()];
        this.dangerous = new boolean[variables.size()][];
        for (int v = 0; v < variables.size(); v++) {
            Variable variable = variables.get(v);
            dangerous[v] = new boolean[variable.states()];
            for (int c = 0; c < conditions.size(); c++) {
                if (variable.concerns(c)) {
                    variableOf[c] = v;
                    markDangerous(v, c);
                }
            }
        }
        this.everDangerous = new boolean[variables.size()];
        for (int v = 0; v < everDangerous.length; v++) {
            for (boolean state : dangerous[v]) {
                everDangerous[v] |= state;
            }
        }
        this.leaks = findings.stream().mapToDouble(knowledge::leak).toArray();
        this.fails = new double[findings.size()][variables.size()][];
        this.direct = new boolean[findings.size()][conditions.size()];
        knowledge.links().forEach(this::add);
    }

    private void markDangerous(int v, int condition) {
        for (int s = 0; s < dangerous[v].length; s++) {
            dangerous[v][s] |=
                    conditions.get(condition).hazard() && variables.get(v).has(condition, s);
        }
    }

    private void add(Link link) {
        int f = findings.indexOf(link.finding());
        int c = conditions.indexOf(link.condition());
        direct[f][c] = true;
        int v = variableOf[c];
        Variable variable = variables.get(v);
        if (fails[f][v] == null) {
            fails[f][v] = new double[variable.states()];
            Arrays.fill(fails[f][v], 1);
        }
        for (int s = 0; s < variable.states(); s++) {
            if (variable.has(c, s)) {
                fails[f][v][s] *= 1
                        - link.strength()
                                * (c == variable.excess
                                        ? link.respondsTo(SuperfatLevels.excess(variable.level(s)))
                                        : 1);
            }
        }
    }

    private List<Variable> variables(Knowledge knowledge) {
        List<Tie> ties = new ArrayList<>(knowledge.relations().stream()
                .map(r ->
                        new Tie(r.kind(), conditions.indexOf(r.first()), conditions.indexOf(r.second()), r.strength()))
                .toList());
        int lyeHeavy = conditions.indexOf(Conditions.LYE_HEAVY);
        if (lyeHeavy >= 0) {
            knowledge.links().stream()
                    .filter(l -> l.finding().isMeasured() && !l.condition().equals(Conditions.LYE_HEAVY))
                    .map(l -> new Tie(Relation.Kind.MEASURED_TOGETHER, lyeHeavy, conditions.indexOf(l.condition()), 0))
                    .forEach(ties::add);
        }
        int[] group = IntStream.range(0, conditions.size()).toArray();
        for (Tie tie : ties) {
            int from = group[tie.first()];
            int to = group[tie.second()];
            for (int c = 0; c < group.length; c++) {
                group[c] = group[c] == from ? to : group[c];
            }
        }
        Map<Integer, List<Integer>> members = new LinkedHashMap<>();
        for (int c = 0; c < group.length; c++) {
            members.computeIfAbsent(group[c], g -> new ArrayList<>()).add(c);
        }
        return members.values().stream().map(m -> variable(m, lyeHeavy, ties)).toList();
    }

    private static Variable variable(List<Integer> members, int lyeHeavy, Collection<Tie> ties) {
        int[] bits = members.stream()
                .filter(c -> c != lyeHeavy)
                .mapToInt(c -> c)
                .sorted()
                .toArray();
        List<Tie> own = ties.stream().filter(r -> members.contains(r.first())).toList();
        return new Variable(bits, members.contains(lyeHeavy) ? lyeHeavy : -1, own);
    }

    public List<Condition> conditions() {
        return conditions;
    }

    public List<Finding> findings() {
        return findings;
    }

    public List<Variable> variables() {
        return variables;
    }

    /** The variable that tells of a condition. */
    public int variableOf(int condition) {
        return variableOf[condition];
    }

    /** How often each state of a variable fails to bring a finding about; null where it never does. */
    public double[] fails(int finding, int variable) {
        return fails[finding][variable];
    }

    /** Whether a condition by itself can bring a finding about. */
    public boolean canBringAbout(int condition, int finding) {
        return direct[finding][condition];
    }

    public double leak(int finding) {
        return leaks[finding];
    }

    boolean isEverDangerous(int variable) {
        return everDangerous[variable];
    }

    boolean isDangerous(int variable, int state) {
        return dangerous[variable][state];
    }

    /** Position of a finding that the knowledge has, or -1. */
    public int indexOf(Finding finding) {
        return numbers.getOrDefault(finding.id(), -1);
    }

    /**
     * What is believed before any finding.
     *
     * @param rate of each condition, 0 to 1; that of too much alkali is not looked at
     * @param superfat how likely each of its levels is, summing to one
     */
    public Belief prior(double[] rate, double[] superfat) {
        double[][] weight = new double[variables.size()][];
        for (int v = 0; v < weight.length; v++) {
            weight[v] = variables.get(v).prior(rate, superfat);
        }
        return Belief.prior(this, weight);
    }
}
