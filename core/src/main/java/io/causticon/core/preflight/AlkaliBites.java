package io.causticon.core.preflight;

import io.causticon.core.formula.PortionAmounts;
import io.causticon.core.formula.Portioning;
import io.causticon.core.formula.Portions;
import io.causticon.core.formula.Scales;
import io.causticon.core.formula.Superfat;
import io.causticon.core.formula.Weights;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.wording.Phrase;

/** Alkali that the fats may not take up: from the spread of what is weighed, from scales that are too coarse, in one cup of several. */
final class AlkaliBites {

    private static final double NOTABLE_EXCESS = 0.005;
    private static final double COARSE = 0.01;
    private static final Mass FINE_STEP = Mass.grams(0.1);
    private static final double SAFE_SIGMAS = 3;

    private AlkaliBites() {}

    static void find(Flight f) {
        spread(f);
        scales(f);
        cups(f);
    }

    private static void spread(Flight f) {
        Estimate superfat = Superfat.distribution(Weights.planned(f.formula), f.formula.alkali(), f.plan.scales());
        double excess = superfat.probabilityBelow(0);
        if (excess <= NOTABLE_EXCESS) {
            return;
        }
        Share safe = Share.percent(Math.ceil(2 * 100 * SAFE_SIGMAS * superfat.standardDeviation()) / 2);
        f.danger(
                Phrase.of("Superfat reaches below zero"),
                Phrase.of("One batch in {} would have excess alkali, from scale, fats and purity alone.",
                        Math.rint(1 / excess)),
                Phrase.of("A larger batch is weighed more exactly"),
                PlanChange.to(
                        Phrase.of("Superfat {}", safe), p -> p.with(p.formula().withSuperfat(safe))),
                finer());
    }

    private static void scales(Flight f) {
        double half = f.plan.scales().lyeStep().grams() / 2 / f.balance.lye().grams();
        if (half <= COARSE) {
            return;
        }
        Mass enough = f.formula.fatMass().times(half / COARSE);
        f.bite(
                Phrase.of("Too little lye for this scale"),
                Phrase.of("A step of {} is {} either way of {} of lye.",
                        f.plan.scales().lyeStep(), Share.fraction(half), f.balance.lye()),
                finer(),
                PlanChange.to(Phrase.of("Make {} of fats", enough), p -> p.with(p.formula().scaledTo(enough))));
    }

    private static PlanChange finer() {
        return PlanChange.to(
                Phrase.of("Weigh lye in steps of {}", FINE_STEP),
                p -> p.with(new Scales(p.scales().fatStep(), FINE_STEP)));
    }

    private static void cups(Flight f) {
        Portioning portioning = f.plan.pouring().portioning();
        if (portioning.portions().isEmpty() || !Portions.check(f.plan).isEmpty()) {
            return;
        }
        for (PortionAmounts amounts : Portions.of(f.plan).amounts()) {
            if (amounts.superfat().fraction() < 0) {
                f.danger(
                        Phrase.of("{} has more alkali than fat can take", amounts.portion().name()),
                        Phrase.of("Its own superfat is {}.", amounts.superfat()),
                        Phrase.of("Give it less of what neutralises nothing, or all of them more superfat"));
            }
        }
    }
}
