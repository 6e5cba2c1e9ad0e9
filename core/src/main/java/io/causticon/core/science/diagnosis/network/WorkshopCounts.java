package io.causticon.core.science.diagnosis.network;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * What a workshop has counted in its own batches, laid over what is known of batches anywhere.
 *
 * @param conditions by id: in how many batches it was settled that they had it, of how many that were looked at to the
 *     end
 * @param findings by id: in how many batches without any condition that brings it about it was seen all the same
 * @param links how often a condition showed a finding, of the batches that had it and in which the finding was looked
 *     for
 */
public record WorkshopCounts(Map<String, Count> conditions, Map<String, Count> findings, Map<Pair, Count> links) {

    public static final WorkshopCounts NONE = new WorkshopCounts(Map.of(), Map.of(), Map.of());

    /** So many batches of the workshop's own weigh as much as what is known of batches anywhere. */
    static final double WEIGHT_OF_THE_PRIOR = 40;

    public WorkshopCounts {
        conditions = Map.copyOf(conditions);
        findings = Map.copyOf(findings);
        links = Map.copyOf(links);
    }

    /** Names what was counted: the same for the same counts, in whatever order they came. */
    public String name() {
        List<String> lines = Stream.of(
                        conditions.entrySet().stream().map(e -> "c" + e),
                        findings.entrySet().stream().map(e -> "f" + e),
                        links.entrySet().stream().map(e -> "l" + e))
                .flatMap(s -> s)
                .sorted()
                .toList();
        return Integer.toHexString(lines.hashCode());
    }

    /**
     * A finding and what brings it about.
     *
     * @param finding its id
     * @param condition its id
     */
    public record Pair(String finding, String condition) {}

    /**
     * So many of so many.
     *
     * @param times 0 or more
     * @param of at least as many
     */
    public record Count(int times, int of) {

        public Count {
            if (times < 0 || of < times) {
                throw new IllegalArgumentException("Impossible state: " + times + " of " + of);
            }
        }

        /**
         * The mean of a beta distribution that began at the prior with {@link #WEIGHT_OF_THE_PRIOR} batches (the
         * conjugate of a binomial count).
         *
         * @param prior 0 to 1
         */
        double laidOver(double prior) {
            return (prior * WEIGHT_OF_THE_PRIOR + times) / (WEIGHT_OF_THE_PRIOR + of);
        }
    }
}
