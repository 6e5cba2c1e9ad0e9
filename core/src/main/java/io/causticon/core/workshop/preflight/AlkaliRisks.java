package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Alkali that the fats may not take up: from the spread of what is weighed, from scales that are too coarse, in one cup
 * of several.
 */
final class AlkaliRisks {

    private static final double COARSE = 0.01;

    /** Half a point of superfat. */
    private static final double NOTABLE_ROUNDING = 0.005;

    private static final int MOST_STEPS = 20;
    private static final Mass FINE_STEP = Mass.grams(0.1);
    private static final double SAFE_SIGMAS = 3;

    private AlkaliRisks() {}

    static void find(Flight f) {
        spread(f);
        scales(f);
        cups(f);
        jugs(f);
    }

    private static void spread(Flight f) {
        Estimate superfat = asShown(f.plan);
        double excess = superfat.probabilityBelow(0);
        landing(f, superfat);
        if (excess <= Superfat.NOTABLE_EXCESS.fraction()) {
            return;
        }
        Share safe = Share.percent(Math.ceil(2 * 100 * SAFE_SIGMAS * superfat.standardDeviation()) / 2);
        f.danger(
                Phrase.of("Superfat reaches below zero"),
                Phrase.of(
                        "{} of such batches would have excess alkali, from scale, fats and purity alone.",
                        Share.fraction(excess)),
                Phrase.of("A larger batch is weighed more exactly"),
                PlanChange.to(
                        "safe-superfat",
                        Phrase.of("Superfat {}", safe),
                        p -> p.with(p.formula().withSuperfat(safe))),
                finer());
    }

    private static Estimate asShown(BatchPlan plan) {
        return Superfat.distribution(
                Weights.planned(plan.formula()).shownOn(plan.scales()),
                plan.formula().alkali(),
                plan.scales());
    }

    /** What the scale can show of the lye is not what was worked out. */
    private static void landing(Flight f, Estimate shown) {
        double off = shown.value() - f.formula.superfat().fraction();
        if (Math.abs(off) < NOTABLE_ROUNDING) {
            return;
        }
        List<PlanChange> changes = new ArrayList<>();
        landed(f.plan)
                .ifPresent(fats -> changes.add(PlanChange.to(
                        "fats-for-the-scale",
                        Phrase.of("Make {} of fats", fats),
                        p -> p.with(p.formula().scaledTo(fats)))));
        changes.add(finer());
        f.bite(
                Phrase.of("The scale cannot show {} of lye", f.balance.lye()),
                Phrase.of(
                        "It will be weighed as {}: superfat {} instead of {}, excess alkali in {} of such batches.",
                        f.plan.scales()
                                .shownOfLye(f.balance.naoh())
                                .plus(f.plan.scales().shownOfLye(f.balance.koh())),
                        Share.fraction(shown.value()),
                        f.formula.superfat(),
                        Share.fraction(shown.probabilityBelow(0))),
                changes.toArray(new PlanChange[0]));
    }

    /** The next larger recipe whose lye lands on a step, and its fats near enough; empty if none is near. */
    private static Optional<Mass> landed(BatchPlan plan) {
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        double step = plan.scales().lyeStep().grams();
        double first = Math.ceil(balance.lye().grams() / step);
        for (double steps = first; steps < first + MOST_STEPS; steps++) {
            Mass fats =
                    plan.formula().fatMass().times(steps * step / balance.lye().grams());
            BatchPlan larger = plan.with(plan.formula().scaledTo(fats));
            if (Math.abs(asShown(larger).value() - plan.formula().superfat().fraction()) < NOTABLE_ROUNDING / 2) {
                return Optional.of(fats);
            }
        }
        return Optional.empty();
    }

    private static void scales(Flight f) {
        double half = f.plan.scales().lyeStep().grams() / 2 / f.balance.lye().grams();
        if (half <= COARSE) {
            return;
        }
        Mass enough = f.formula.fatMass().times(half / COARSE);
        f.bite(
                Phrase.of("Too little lye for this scale"),
                Phrase.of(
                        "A step of {} is {} either way of {} of lye.",
                        f.plan.scales().lyeStep(),
                        Share.fraction(half),
                        f.balance.lye()),
                finer(),
                PlanChange.to(
                        "enough-fats",
                        Phrase.of("Make {} of fats", enough),
                        p -> p.with(p.formula().scaledTo(enough))));
    }

    private static PlanChange finer() {
        return PlanChange.to(
                "finer-scale",
                Phrase.of("Weigh lye in steps of {}", FINE_STEP),
                p -> p.with(new Scales(p.scales().fatStep(), FINE_STEP)));
    }

    /** A lye of its own for each part is a small weighing for each: the least of them has the widest superfat. */
    private static void jugs(Flight f) {
        Portioning portioning = f.plan.pouring().portioning();
        if (portioning.route() != Portioning.LyeRoute.OWN
                || portioning.portions().isEmpty()
                || !Portions.check(f.plan).isEmpty()) {
            return;
        }
        Scales scales = f.plan.scales();
        PortionAmounts widest = null;
        Estimate its = new Estimate(1, 0);
        for (PortionAmounts amounts : Portions.of(f.plan).amounts()) {
            if (amounts.share().isPositive()) {
                Estimate superfat =
                        Superfat.distribution(amounts.weights().shownOn(scales), f.formula.alkali(), scales);
                if (superfat.probabilityBelow(0) >= its.probabilityBelow(0)) {
                    widest = amounts;
                    its = superfat;
                }
            }
        }
        // What all parts share is told of the whole.
        if (widest == null
                || its.probabilityBelow(0)
                        <= Math.max(
                                Superfat.NOTABLE_EXCESS.fraction(),
                                asShown(f.plan).probabilityBelow(0))) {
            return;
        }
        Phrase title = Phrase.of(
                "{} has too little lye for this scale", widest.portion().name());
        Phrase reason = Phrase.of(
                "{} is weighed as {} in steps of {}: superfat {}, excess alkali in {} of such jugs.",
                widest.weights().naoh().plus(widest.weights().koh()),
                scales.shownOfLye(widest.weights().naoh())
                        .plus(scales.shownOfLye(widest.weights().koh())),
                scales.lyeStep(),
                Share.fraction(its.value()),
                Share.fraction(its.probabilityBelow(0)));
        PlanChange master = PlanChange.to(
                "one-lye",
                Phrase.of("One lye for all jugs"),
                p -> p.with(p.pouring()
                        .divided(new Portioning(
                                p.pouring().portioning().way(),
                                p.pouring().portioning().portions(),
                                p.pouring().portioning().stuck(),
                                p.pouring().portioning().bowl(),
                                Portioning.LyeRoute.MASTER))));
        if (its.probabilityBelow(0) > Superfat.ALARMING_EXCESS.fraction()) {
            f.danger(title, reason, Phrase.of("Small masses want a finer scale"), finer(), master);
        } else {
            f.bite(title, reason, finer(), master);
        }
    }

    private static void cups(Flight f) {
        Portioning portioning = f.plan.pouring().portioning();
        if (portioning.portions().isEmpty() || !Portions.check(f.plan).isEmpty()) {
            return;
        }
        for (PortionAmounts amounts : Portions.of(f.plan).amounts()) {
            if (amounts.superfat().fraction() < 0) {
                f.danger(
                        Phrase.of(
                                "{} has more alkali than fat can take",
                                amounts.portion().name()),
                        Phrase.of("Its own superfat is {}.", amounts.superfat()),
                        Phrase.of("Give it less of what neutralises nothing, or all of them more superfat"));
            }
        }
    }
}
