package io.causticon.core.science.cure;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MouldLook;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * When soap can leave its mould: a forecast from its recipe that each try at the mould moves.
 *
 * <p>The hours from the pour until a loaf lets go are taken as log-normal round {@link Schedule}'s, one standard
 * deviation 0.45 (makers report twelve to forty-eight hours for one and the same recipe). A try at hour t says that it
 * lets go, or is firm, with probability {@code 1 / (1 + (h / t)^8)}: a third too early it is mostly seen to cling.
 * Bayes on a grid of 200 values of h; all of it a judgement, none of it measured.
 *
 * @param hours central 80 % of the hours after the pour
 * @param median of them
 * @param readyNow how likely it is that it lets go now, 0 to 1
 * @param tries how many tries at the mould it stands on
 * @param brittleAfter hours after the pour from which on it breaks at the wire; empty where it does not
 */
public record Unmould(Interval hours, double median, double readyNow, int tries, Optional<Double> brittleAfter) {

    private static final int POINTS = 200;
    private static final double SPREAD = 0.45;
    private static final double WIDEST = 3.5;
    private static final double STEEP = 8;
    private static final double LEAST_HOURS = 0.05;
    /** In the fridge soap reacts at half the speed and sets later (a judgement). */
    private static final double COLD_LENGTHENS = 1.5;

    /**
     * Bars of salt crumble at the wire from twice the hours on at which they let go (a judgement: hours, where others
     * take days).
     */
    private static final double BRITTLE_AT = 2;

    /** How often a try is misjudged or tapped by mistake: no single one decides. */
    private static final double MISJUDGED = 0.02;

    /** As planned. */
    public static Unmould planned(BatchPlan plan) {
        return of(
                hours(Schedule.of(plan)),
                new double[0],
                new boolean[0],
                Double.NaN,
                Schedule.isSaltBar(plan.formula()));
    }

    /** With what was seen since; empty before the pour. */
    public static Optional<Unmould> of(BatchFacts facts, Instant now) {
        return facts.poured().filter(p -> !p.isAfter(now)).map(poured -> {
            List<BatchLog.Timed<Entry.MouldTried>> tried = facts.log()
                    .of(Entry.MouldTried.class)
                    .filter(t -> t.at().isAfter(poured) && !t.at().isAfter(now))
                    .toList();
            double[] at = tried.stream()
                    .mapToDouble(t -> Math.max(LEAST_HOURS, hours(poured, t.at())))
                    .toArray();
            boolean[] ready = new boolean[at.length];
            for (int i = 0; i < at.length; i++) {
                MouldLook look = tried.get(i).entry().look();
                ready[i] = look == MouldLook.LETS_GO || look == MouldLook.FIRM;
            }
            return of(
                    median(facts),
                    at,
                    ready,
                    Math.max(LEAST_HOURS, hours(poured, now)),
                    Schedule.isSaltBar(facts.plan().formula()));
        });
    }

    private static double hours(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / 3600.0;
    }

    private static double hours(Schedule schedule) {
        return schedule.unmould().toMinutes() / 60.0;
    }

    /** By its recipe and by what became of it in the mould. */
    private static double median(BatchFacts facts) {
        BatchPlan plan = facts.planAsMade();
        double hours = hours(Schedule.of(plan));
        boolean cooked = plan.process() == Process.HOT;
        boolean planned = plan.gel() == GelGoal.FORCE || plan.process() == Process.OVEN;
        Optional<GelExtent> gel = facts.gel();
        if (!cooked && gel.filter(g -> g == GelExtent.FULL).isPresent() && !planned) {
            hours *= Schedule.GEL_SHORTENS;
        } else if (!cooked && gel.filter(g -> g == GelExtent.NONE).isPresent() && planned) {
            hours /= Schedule.GEL_SHORTENS;
        }
        return facts.wasKeptCold() && !cooked ? hours * COLD_LENGTHENS : hours;
    }

    private static Unmould of(double middle, double[] at, boolean[] ready, double now, boolean salt) {
        double[] h = new double[POINTS];
        double[] weight = new double[POINTS];
        double likeliest = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < POINTS; i++) {
            double z = -WIDEST + 2 * WIDEST * (i + 0.5) / POINTS;
            h[i] = middle * Math.exp(SPREAD * z);
            // Logarithms: a hundred tries that nobody would believe are still a number.
            weight[i] = -z * z / 2;
            for (int k = 0; k < at.length; k++) {
                double lets = MISJUDGED + (1 - 2 * MISJUDGED) * lets(h[i], at[k]);
                weight[i] += Math.log(ready[k] ? lets : 1 - lets);
            }
            likeliest = Math.max(likeliest, weight[i]);
        }
        double sum = 0;
        for (int i = 0; i < POINTS; i++) {
            weight[i] = Math.exp(weight[i] - likeliest);
            sum += weight[i];
        }
        double go = 0;
        for (int i = 0; i < POINTS; i++) {
            weight[i] /= sum;
            go += Double.isNaN(now) ? 0 : weight[i] * lets(h[i], now);
        }
        double median = quantile(h, weight, 0.5);
        Optional<Double> brittle = salt ? Optional.of(BRITTLE_AT * middle) : Optional.empty();
        return new Unmould(
                Interval.between(quantile(h, weight, 0.1), quantile(h, weight, 0.9)), median, go, at.length, brittle);
    }

    private static double lets(double hour, double at) {
        return 1 / (1 + Math.pow(hour / at, STEEP));
    }

    private static double quantile(double[] h, double[] weight, double q) {
        double sum = 0;
        for (int i = 0; i < h.length; i++) {
            sum += weight[i];
            if (sum >= q) {
                return h[i];
            }
        }
        return h[h.length - 1];
    }
}
