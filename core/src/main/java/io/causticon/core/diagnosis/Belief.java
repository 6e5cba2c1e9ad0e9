package io.causticon.core.diagnosis;

/** A probability for every set of conditions. Immutable; each finding gives a new one. */
final class Belief {

    private final Network network;
    private final double[] weight;
    private final double[] marginal;
    private final double anyHazard;

    Belief(Network network, double[] weight) {
        this.network = network;
        this.weight = weight;
        // One more place than there are conditions: "nobody" fills up the sets.
        this.marginal = new double[network.conditions().size() + 1];
        int[] members = network.members();
        boolean[] dangerous = network.dangerous();
        double hazard = 0;
        for (int s = 0, m = 0; s < weight.length; s++) {
            for (int k = 0; k < Network.MOST_AT_ONCE; k++) {
                marginal[members[m++]] += weight[s];
            }
            hazard += dangerous[s] ? weight[s] : 0;
        }
        this.anyHazard = hazard;
    }

    /** P(condition). */
    double of(int condition) {
        return marginal[condition];
    }

    /** P(at least one hazard). */
    double anyHazard() {
        return anyHazard;
    }

    /** What is believed once a finding is known to be there or not. */
    Belief after(int finding, boolean present) {
        double[] there = network.probabilityPresent(finding);
        double[] next = new double[weight.length];
        for (int s = 0; s < next.length; s++) {
            next[s] = weight[s] * (present ? there[s] : 1 - there[s]);
        }
        return new Belief(network, Network.normalised(next));
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

    /** Both outcomes of a look in one pass, without a belief for each. */
    Outlook outlook(int finding, int condition) {
        double[] there = network.probabilityPresent(finding);
        int[] members = network.members();
        boolean[] dangerous = network.dangerous();
        double found = 0;
        double foundHazard = 0;
        double foundCondition = 0;
        for (int s = 0, m = 0; s < weight.length; s++, m += Network.MOST_AT_ONCE) {
            double w = weight[s] * there[s];
            found += w;
            foundHazard += dangerous[s] ? w : 0;
            boolean has = members[m] == condition || members[m + 1] == condition || members[m + 2] == condition;
            foundCondition += has ? w : 0;
        }
        return new Outlook(
                found,
                foundHazard / found,
                (anyHazard - foundHazard) / (1 - found),
                foundCondition / found,
                (marginal[condition] - foundCondition) / (1 - found));
    }
}
