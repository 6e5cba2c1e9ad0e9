package io.causticon.core.workshop.advice;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.OvenStay;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.wording.Phrase;
import io.causticon.core.workshop.preflight.PlanChange;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * What would make a loaf gel all through, or not at all: each thing that a maker can do about it is tried in the model
 * of the loaf, and what helps is told with its chances.
 */
public final class GelAdvice {

    private static final double[] WARMER = {4, 8, 12};
    private static final double[] COOLER = {4, 8, 12};
    private static final int[] OVEN_MINUTES = {30, 60, 90};
    private static final double[] LYE_POINTS = {-5, -3, 3, 5};

    /** Fats that set cloud and thicken below, and hands get near what scalds above. */
    private static final double COOLEST = 27;

    private static final double WARMEST = 55;
    private static final double WEAKEST_LYE = 0.25;
    private static final double STRONGEST_LYE = 0.40;
    private static final int TOLD = 3;
    private static final int WORTH_DRAWS = 4;

    /** K below {@link LoafEnsemble#TOO_HOT} from which on less heat is better; as all limits here, a judgement. */
    private static final double HEAT_MARGIN = 5;

    /** Less than this is not worth a change. */
    private static final double LEAST_GAIN = 0.05;

    /**
     * Something to do.
     *
     * @param change of the plan
     * @param extent how far gel is wanted to go
     * @param chance that it goes so far then, 0 to 1
     * @param tooHot chance that the middle passes {@link LoafEnsemble#TOO_HOT} then, 0 to 1
     */
    public record Road(PlanChange change, Extent extent, double chance, double tooHot) {}

    private GelAdvice() {}

    /** The best few things to do, the best first; none where nothing helps or where there is no forecast. */
    public static List<Road> towards(Extent extent, BatchPlan plan, WorkshopFacts workshop) {
        double now = LoafForecast.planned(plan, workshop.room(), workshop.loaves())
                .map(l -> l.probabilityOf(extent))
                .orElse(1.0);
        return changes(plan).stream()
                .flatMap(
                        c -> LoafForecast.planned(c.applyTo(plan), workshop.room(), workshop.loaves())
                                .map(l -> new Tried(c, l))
                                .stream())
                // One run tells which are worth two hundred.
                .sorted(Comparator.comparingDouble(t -> t.off(extent)))
                .limit(WORTH_DRAWS)
                .map(t -> new Road(
                        t.change,
                        extent,
                        t.loaf.probabilityOf(extent),
                        t.loaf.probabilityPeakAbove(LoafEnsemble.TOO_HOT)))
                .filter(r -> r.chance() > now + LEAST_GAIN)
                .sorted(Comparator.comparingDouble((Road r) -> r.tooHot() - r.chance()))
                .limit(TOLD)
                .toList();
    }

    /** A change and what the loaf does with it. */
    private record Tried(PlanChange change, LoafEnsemble loaf) {

        /**
         * How far the middle run is from what is wanted, K: from a peak that is hot enough to gel with ease and cool
         * enough not to heave.
         */
        double off(Extent extent) {
            double aboveGel = loaf.middle().peak() - loaf.middle().gelPoint();
            return extent == Extent.NONE
                    ? aboveGel
                    : 100 * (1 - loaf.middle().gelShare())
                            + Math.max(0, loaf.middle().peak() - LoafEnsemble.TOO_HOT + HEAT_MARGIN);
        }
    }

    /** All that is tried. */
    public static List<PlanChange> changes(BatchPlan plan) {
        return Stream.of(wraps(plan), temperatures(plan), strengths(plan))
                .flatMap(List::stream)
                .toList();
    }

    private static List<PlanChange> wraps(BatchPlan plan) {
        List<PlanChange> all = new ArrayList<>();
        if (plan.process() != Process.COLD) {
            all.add(change("no-oven", Phrase.of("No oven"), p -> p.with(Process.COLD)));
        } else {
            if (plan.gel() != GelGoal.FORCE) {
                all.add(change("wrapped", Phrase.of("A lid and towels round it"), p -> p.with(GelGoal.FORCE)));
            }
            if (plan.gel() != GelGoal.ALLOW) {
                all.add(change("lid", Phrase.of("A lid, no towels, in the room"), p -> p.with(GelGoal.ALLOW)));
            }
            if (plan.gel() != GelGoal.PREVENT) {
                all.add(change("cold", Phrase.of("Open, into the fridge"), p -> p.with(GelGoal.PREVENT)));
            }
            for (int minutes : OVEN_MINUTES) {
                OvenStay stay = new OvenStay(OvenStay.USUAL.temperature(), minutes, true);
                all.add(change(
                        "oven-" + minutes,
                        Phrase.of(
                                "Into a hot oven at {} for {} min, then left in it switched off",
                                stay.temperature(),
                                (double) minutes),
                        p -> p.inOven(stay)));
            }
        }
        return all;
    }

    private static List<PlanChange> temperatures(BatchPlan plan) {
        List<PlanChange> all = new ArrayList<>();
        double now = plan.mixAt().celsius();
        for (double by : WARMER) {
            if (now + by <= WARMEST) {
                all.add(mixedAt("warmer-" + (int) by, now + by));
            }
        }
        for (double by : COOLER) {
            if (now - by >= COOLEST) {
                all.add(mixedAt("cooler-" + (int) by, now - by));
            }
        }
        return all;
    }

    private static PlanChange mixedAt(String id, double celsius) {
        Temperature at = Temperature.celsius(celsius);
        return change(id, Phrase.of("Mix at {}", at), p -> p.with(PlanFields.MIX_AT, at));
    }

    /** Only where the strength of the lye is what the maker gives; masses that she fixed are not touched. */
    private static List<PlanChange> strengths(BatchPlan plan) {
        Formula formula = plan.formula();
        if (formula.liquidTarget().way() != LiquidTarget.Way.LYE_CONCENTRATION
                || formula.fixed().liquid() != null) {
            return List.of();
        }
        List<PlanChange> all = new ArrayList<>();
        for (double points : LYE_POINTS) {
            double strength = formula.liquidTarget().value() + points / 100;
            if (strength >= WEAKEST_LYE && strength <= STRONGEST_LYE) {
                all.add(change(
                        "lye" + (points < 0 ? "-weaker-" : "-stronger-") + (int) Math.abs(points),
                        Phrase.of("Lye at {}", Share.fraction(strength)),
                        p -> p.with(p.formula()
                                .withLiquid(
                                        LiquidTarget.concentration(strength),
                                        p.formula().liquidParts()))));
            }
        }
        return all;
    }

    private static PlanChange change(String id, Phrase label, UnaryOperator<BatchPlan> change) {
        return new PlanChange("gel-by-" + id, label, change);
    }
}
