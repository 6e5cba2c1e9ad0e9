package io.causticon.core.science.diagnosis.network;

import io.causticon.core.model.finding.Finding;

/**
 * A condition brings about a finding.
 *
 * @param finding what it brings about
 * @param condition what brings it about
 * @param strength how often it does, alone, 0 to 1
 * @param half the excess of alkali, as a fraction of what the fats take, at which it does so half as often as the
 *     strength says; speaks of too much alkali only
 * @param reason why, in a line that the maker reads
 */
public record Link(Finding finding, Condition condition, double strength, double half, String reason) {

    /** The same, seen so often. */
    Link strengthened(double other) {
        return new Link(finding, condition, other, half, reason);
    }

    /**
     * A little alkali too much is felt and seen by few; from three times the half on the strength holds (Hill's curve
     * of the second order).
     */
    double respondsTo(double excess) {
        return excess * excess / (excess * excess + half * half);
    }
}
