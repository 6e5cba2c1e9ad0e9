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
        this.marginal = new double[network.conditions().size()];
        double hazard = 0;
        int[][] sets = network.sets();
        for (int s = 0; s < sets.length; s++) {
            boolean dangerous = false;
            for (int c : sets[s]) {
                marginal[c] += weight[s];
                dangerous |= network.conditions().get(c).hazard();
            }
            hazard += dangerous ? weight[s] : 0;
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
        int[][] sets = network.sets();
        double[] next = new double[weight.length];
        for (int s = 0; s < sets.length; s++) {
            double there = network.probabilityPresent(finding, sets[s]);
            next[s] = weight[s] * (present ? there : 1 - there);
        }
        return new Belief(network, Network.normalised(next));
    }

    /** P(finding is there), by what is believed now. */
    double predicts(int finding) {
        int[][] sets = network.sets();
        double sum = 0;
        for (int s = 0; s < sets.length; s++) {
            sum += weight[s] * network.probabilityPresent(finding, sets[s]);
        }
        return sum;
    }
}
