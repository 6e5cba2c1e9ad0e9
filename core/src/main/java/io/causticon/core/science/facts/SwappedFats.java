package io.causticon.core.science.facts;

import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.Optional;

/**
 * Two fats that were each logged with about the mass planned for the other. Their total stays right, so that a scale
 * cannot show it.
 *
 * @param first what was planned of one
 * @param gotFirst what was logged of it
 * @param second what was planned of the other
 * @param gotSecond what was logged of it
 */
public record SwappedFats(FatPortion first, Mass gotFirst, FatPortion second, Mass gotSecond) {

    /** Masses that differ by no more than this share of the larger could be meant for one another. */
    private static final double ALIKE = 0.03;

    /** The first such pair, if there is one. Fats that were not logged count as planned and are never part of it. */
    public static Optional<SwappedFats> in(Weights planned, Weights weighed) {
        List<FatPortion> plan = planned.fats();
        List<FatPortion> got = weighed.fats();
        for (int i = 0; i < plan.size(); i++) {
            for (int j = i + 1; j < plan.size(); j++) {
                SwappedFats pair = new SwappedFats(
                        plan.get(i), got.get(i).mass(), plan.get(j), got.get(j).mass());
                if (pair.isSwapped()) {
                    return Optional.of(pair);
                }
            }
        }
        return Optional.empty();
    }

    /** Whether one mass could be taken for the other. */
    public static boolean areAlike(Mass a, Mass b) {
        return Math.abs(a.grams() - b.grams()) <= ALIKE * Math.max(a.grams(), b.grams());
    }

    private boolean isSwapped() {
        return !areAlike(first.mass(), second.mass())
                && areAlike(gotFirst, second.mass())
                && areAlike(gotSecond, first.mass());
    }
}
