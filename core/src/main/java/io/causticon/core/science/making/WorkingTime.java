package io.causticon.core.science.making;

import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Minutes from lye-in to light trace, and to where the batter will not pour any more.
 *
 * <p>{@code ln t = sum(terms)}: the prior is that of {@link Term}, what is learned from the workshop's own batches is
 * in the {@link TraceKnowledge}. What goes in from the start counts for both; what goes in at trace counts for the
 * minutes after it.
 *
 * @param minutes median to light trace
 * @param band central 80 %
 * @param unpourable median to thick trace, with everything that goes in at trace
 * @param unpourableBand central 80 %
 * @param reasons what moved either most, strongest first
 */
public record WorkingTime(
        double minutes, Interval band, double unpourable, Interval unpourableBand, List<Reason> reasons) {

    private static final double SIGMAS_IN_80_PERCENT = 1.2816;
    private static final double NOTHING = 1e-9;

    public WorkingTime {
        reasons = List.copyOf(reasons);
    }

    /**
     * One term of the forecast.
     *
     * @param words what about this batch
     * @param factor what it multiplies the time by
     * @param later whether it only counts for the minutes after light trace
     */
    public record Reason(String words, double factor, boolean later) {}

    /**
     * What a fat's acids do to the logarithm of the minutes, for each part of the whole that it makes up: linear, so
     * that a recipe can be fitted to a wanted time.
     */
    public static double logMinutesOf(Fat fat) {
        return Term.LONG_SATURATED.mean() * fat.shareOf(Family.LONG_SATURATED).fraction()
                + Term.MONO.mean() * fat.shareOf(Family.MONO_UNSATURATED).fraction()
                + Term.POLY.mean() * fat.shareOf(Family.POLY_UNSATURATED).fraction()
                + Term.RICINOLEIC.mean() * fat.shareOf(Family.RICINOLEIC).fraction();
    }

    /** By the documented prior alone. */
    public static WorkingTime forecast(BatchPlan plan) {
        return forecast(plan, TraceKnowledge.PRIOR);
    }

    public static WorkingTime forecast(BatchPlan plan, TraceKnowledge knowledge) {
        return forecast(Situation.planned(plan), knowledge);
    }

    public static WorkingTime forecast(Situation situation, TraceKnowledge knowledge) {
        List<Reason> reasons = new ArrayList<>();
        for (Term term : Term.values()) {
            // The workshop's own base is a reason as far as it differs from what is usual elsewhere.
            double usual = term == Term.BASE ? term.mean() : 0;
            add(reasons, term.words(), knowledge.moved(term, situation) - usual, false);
        }
        for (Dosed a : situation.fromStart()) {
            add(
                    reasons,
                    a.additive().name(),
                    knowledge.effect(a.additive(), null, a.strength()).middle(),
                    false);
        }
        TraceKnowledge.Known light = knowledge.logMinutes(situation);
        TraceKnowledge.Known thick = knowledge.ladder(Stage.THICK);
        double after = Math.exp(thick.middle());
        double later = 0;
        double laterVariance = 0;
        for (Dosed a : situation.later()) {
            TraceKnowledge.Known effect = knowledge.effect(a.additive(), null, a.strength());
            add(reasons, a.additive().name(), effect.middle(), true);
            later += effect.middle();
            laterVariance += effect.deviation() * effect.deviation();
        }
        // Of the minutes to thick trace, those after light trace are stretched or shortened by what goes in then.
        double stretched = 1 + after * Math.exp(later);
        double partAfter = after * Math.exp(later) / stretched;
        double log = light.middle() + Math.log(stretched);
        double half = SIGMAS_IN_80_PERCENT
                * Math.sqrt(square((light.high() - light.low()) / 2 / SIGMAS_IN_80_PERCENT)
                        + square(partAfter) * (laterVariance + square(thick.deviation())));
        reasons.sort(Comparator.comparingDouble((Reason r) -> -Math.abs(Math.log(r.factor()))));
        return new WorkingTime(
                Math.exp(light.middle()),
                Interval.between(Math.exp(light.low()), Math.exp(light.high())),
                Math.exp(log),
                Interval.between(Math.exp(log - half), Math.exp(log + half)),
                reasons);
    }

    private static void add(List<Reason> reasons, String words, double log, boolean later) {
        if (Math.abs(log) > NOTHING) {
            reasons.add(new Reason(words, Math.exp(log), later));
        }
    }

    private static double square(double x) {
        return x * x;
    }
}
