package io.causticon.core.science.diagnosis.network;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is believed of a batch after what was looked at. Immutable; each finding gives a new one, which keeps what the
 * finding does not touch. What is absent weighs on the states by itself; what is there ties together what can bring it
 * about.
 */
public final class Belief {

    private final Network network;
    private final List<Knot> knots;

    private Belief(Network network, List<Knot> knots) {
        this.network = network;
        this.knots = knots;
    }

    /** @param weight of each state, by variable */
    static Belief prior(Network network, double[][] weight) {
        List<Knot> knots = new ArrayList<>();
        for (int v = 0; v < weight.length; v++) {
            knots.add(Knot.of(network, v, weight[v]));
        }
        return new Belief(network, knots);
    }

    private Knot knot(int variable) {
        for (Knot knot : knots) {
            if (knot.has(variable)) {
                return knot;
            }
        }
        throw new IllegalStateException("Impossible state: nothing is believed of variable " + variable);
    }

    /** Whether something that is there had to be left out, so that hazards are told by an upper bound. */
    public boolean isBounded() {
        return knots.stream().anyMatch(k -> k.leftOut().length > 0);
    }

    /** P(condition); of a hazard never less than it is. */
    public double of(int condition) {
        int v = network.variableOf(condition);
        double[] states = knot(v).posterior(v);
        double sum = 0;
        for (int s = 0; s < states.length; s++) {
            sum += network.variables().get(v).has(condition, s) ? states[s] : 0;
        }
        return network.conditions().get(condition).hazard() ? bound(sum) : sum;
    }

    /** P(condition) of each of them. */
    public double[] ofEach() {
        return ofEach(null, new double[0]);
    }

    /**
     * P(condition) of each of them, worked out anew where something was looked at since.
     *
     * @param before what was believed then
     * @param known what each stood at then
     */
    public double[] ofEach(@Nullable Belief before, double[] known) {
        double[] each = new double[network.conditions().size()];
        boolean comparable = before != null && !isBounded() && !before.isBounded();
        for (int c = 0; c < each.length; c++) {
            int variable = network.variableOf(c);
            each[c] = comparable && before.knot(variable) == knot(variable) ? known[c] : of(c);
        }
        return each;
    }

    /** How likely each level of the superfat is; empty when the knowledge does not speak of it. */
    public double[] superfat() {
        for (int v = 0; v < network.variables().size(); v++) {
            Variable variable = network.variables().get(v);
            if (variable.excess >= 0) {
                double[] level = new double[variable.levels];
                double[] states = knot(v).posterior(v);
                for (int s = 0; s < states.length; s++) {
                    level[variable.level(s)] += states[s];
                }
                return level;
            }
        }
        return new double[0];
    }

    /** P(at least one hazard); never less than it is. */
    public double anyHazard() {
        return bound(1 - calmShare(knots));
    }

    private static double calmShare(List<Knot> knots) {
        double share = 1;
        for (Knot knot : knots) {
            share *= knot.calm() / knot.all();
        }
        return share;
    }

    /**
     * What a finding that was left out can do at most: it is there with certainty where the hazard is, and only by
     * itself where it is not.
     */
    private double bound(double probability) {
        double odds = Weight.odds(Math.max(0, Math.min(1, probability)));
        for (Knot knot : knots) {
            for (int f : knot.leftOut()) {
                odds /= network.leak(f);
            }
        }
        return Weight.probability(odds);
    }

    /** What is believed once a finding is known to be there or not. */
    public Belief after(int finding, boolean there) {
        return after(finding, there, 1);
    }

    /** The same for something that, where it was not there, was looked for so many times independent of one another. */
    public Belief after(int finding, boolean there, double times) {
        List<Knot> touched =
                knots.stream().filter(k -> k.canBringAbout(finding)).toList();
        if (touched.isEmpty()) {
            return this;
        }
        List<Knot> next = new ArrayList<>(knots);
        next.removeAll(touched);
        if (there) {
            next.add(Knot.tied(network, touched, finding));
        } else {
            touched.forEach(k -> next.add(k.without(finding, times).normalised()));
        }
        return new Belief(network, next);
    }

    /** What is believed once a quantity was measured that speaks of one variable with this likelihood of each state. */
    public Belief after(int variable, double[] likelihood) {
        return new Belief(
                network,
                knots.stream()
                        .map(k ->
                                k.has(variable) ? k.times(variable, likelihood).normalised() : k)
                        .toList());
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
    public record Outlook(
            double likely, double hazardIfFound, double hazardIfNot, double conditionIfFound, double conditionIfNot) {}

    /** Both outcomes of a look; only the knots that the finding touches are weighed anew. */
    public Outlook outlook(int finding, int condition) {
        double absent = 1 - network.leak(finding);
        double calmIfNot = 1;
        double conditionIfNot = of(condition);
        for (Knot knot : knots) {
            if (!knot.canBringAbout(finding)) {
                calmIfNot *= knot.calm() / knot.all();
                continue;
            }
            Knot without = knot.without(finding);
            absent *= without.all() / knot.all();
            calmIfNot *= without.calm() / without.all();
            if (knot.has(network.variableOf(condition))) {
                conditionIfNot = without.having(condition) / without.all();
            }
        }
        double hazardIfNot = bound(1 - calmIfNot);
        double conditionToldIfNot =
                network.conditions().get(condition).hazard() ? bound(conditionIfNot) : conditionIfNot;
        return new Outlook(
                1 - absent,
                otherwise(anyHazard(), hazardIfNot, absent),
                hazardIfNot,
                otherwise(of(condition), conditionToldIfNot, absent),
                conditionToldIfNot);
    }

    /** What one outcome leaves for the other. */
    private static double otherwise(double overall, double ifNot, double not) {
        return Math.max(0, Math.min(1, (overall - not * ifNot) / (1 - not)));
    }
}
