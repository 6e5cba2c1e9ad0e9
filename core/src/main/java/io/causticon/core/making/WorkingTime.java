package io.causticon.core.making;

import io.causticon.core.formula.AlkaliBalance;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Composition;
import io.causticon.core.formula.Formula;
import io.causticon.core.quantity.Interval;
import io.causticon.core.substance.Fat;
import io.causticon.core.substance.FattyAcid.Family;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Minutes from lye-in to light trace, before anything is learned from the workshop's own batches.
 *
 * <p>{@code ln t = ln 12 + sum(terms)}, a prior of expert judgement: at 40 C, 33 % lye, a quarter of long saturates and short bursts of a
 * stick blender light trace comes in about 12 minutes, between half and twice that. Each term says how far this recipe is from there.
 *
 * @param minutes median
 * @param band central 80 %
 * @param reasons what moved it most, strongest first
 */
public record WorkingTime(double minutes, Interval band, List<Reason> reasons) {

    private static final double MIDDLE_MINUTES = 12;
    private static final double LOG_DEVIATION = 0.42;
    private static final double SIGMAS_IN_80_PERCENT = 1.2816;

    /** Ten to twelve kelvin double the speed (Arrhenius, about 50 kJ/mol). */
    private static final double LOG_PER_KELVIN = -Math.log(2) / 11;

    private static final double LOG_PER_CONCENTRATION = -5.0;
    private static final double LOG_PER_LONG_SATURATED = -1.6;
    private static final double LOG_PER_MONO = 0.9;
    private static final double LOG_PER_RICINOLEIC = -1.5;
    private static final double LOG_PER_SUGAR = -5.0;
    private static final double LOG_OF_MOVER = -1.2;
    private static final double LOG_OF_MILD_MOVER = -0.3;

    /**
     * One term of the forecast.
     *
     * @param words what about this batch
     * @param factor what it multiplies the time by
     */
    public record Reason(String words, double factor) {}

    /**
     * What a fat's acids do to the logarithm of the minutes, for each part of the whole that it makes up: linear, so that a recipe can
     * be fitted to a wanted time.
     */
    public static double logMinutesOf(Fat fat) {
        return LOG_PER_LONG_SATURATED * fat.shareOf(Family.LONG_SATURATED).fraction()
                + LOG_PER_MONO * fat.shareOf(Family.MONO_UNSATURATED).fraction()
                + LOG_PER_RICINOLEIC * fat.shareOf(Family.RICINOLEIC).fraction();
    }

    public static WorkingTime forecast(BatchPlan plan) {
        Formula formula = plan.formula();
        Composition c = Composition.of(formula.fats());
        List<Reason> reasons = new ArrayList<>();
        add(reasons, "mixing temperature", LOG_PER_KELVIN * (plan.mixAt().celsius() - 40));
        double concentration = AlkaliBalance.of(formula).concentration().fraction();
        add(reasons, "lye concentration", LOG_PER_CONCENTRATION * (concentration - 0.33));
        add(reasons, "long saturated acids", LOG_PER_LONG_SATURATED * (c.of(Family.LONG_SATURATED).fraction() - 0.25));
        add(reasons, "oleic acid", LOG_PER_MONO * (c.of(Family.MONO_UNSATURATED).fraction() - 0.40));
        add(reasons, "castor", LOG_PER_RICINOLEIC * c.of(Family.RICINOLEIC).fraction());
        add(reasons, "sugar", LOG_PER_SUGAR * formula.sugarOfFats().fraction());
        formula.additives().forEach(a -> {
            if (a.additive().isMover()) {
                add(reasons, a.additive().name(), LOG_OF_MOVER);
            } else if (a.additive().effects().contains("accelerates_mild")) {
                add(reasons, a.additive().name(), LOG_OF_MILD_MOVER);
            }
        });
        double log = Math.log(MIDDLE_MINUTES)
                + reasons.stream().mapToDouble(r -> Math.log(r.factor())).sum();
        double half = SIGMAS_IN_80_PERCENT * LOG_DEVIATION;
        reasons.sort(Comparator.comparingDouble((Reason r) -> -Math.abs(Math.log(r.factor()))));
        return new WorkingTime(
                Math.exp(log), Interval.between(Math.exp(log - half), Math.exp(log + half)), List.copyOf(reasons));
    }

    private static void add(List<Reason> reasons, String words, double log) {
        if (log != 0) {
            reasons.add(new Reason(words, Math.exp(log)));
        }
    }
}
