package io.causticon.core.science.fit;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.OxidationIndex;
import io.causticon.core.science.making.WorkingTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Something that is to stay at or below a limit and is a mean over the fats: linear in their shares.
 *
 * @param name what it is, as the maker reads it
 * @param ofFat its value for a fat alone
 * @param limit what the mean is to stay at or below
 * @param scale a difference that matters, to weigh unlike aims against one another
 */
record Aim(String name, ToDoubleFunction<Fat> ofFat, double limit, double scale) {

    /** A batter that gives twice the time. */
    private static final double SLOWER = Math.log(2);

    private static final double WANTED_MINUTES = 18;
    private static final double MILD_SHORT_ACIDS = 0.16;
    private static final double DAY = 24;

    static List<Aim> of(BatchPlan plan, Goals goals) {
        List<Aim> aims = new ArrayList<>();
        Formula formula = plan.formula();
        for (Wish wish : goals.wishes()) {
            switch (wish) {
                case SLOW_BATTER ->
                    aims.add(new Aim("working time", f -> -WorkingTime.logMinutesOf(f), slowLimit(plan), 0.1));
                case FIRM_IN_A_DAY ->
                    aims.add(new Aim(
                            "unmoulding", Aim::unsaturated, Schedule.unsaturatedShareForUnmould(plan, DAY), 0.05));
                case MILD ->
                    aims.add(new Aim(
                            "short acids",
                            f -> f.shareOf(Family.SHORT_SATURATED).fraction(),
                            MILD_SHORT_ACIDS,
                            0.03));
                case KEEPS ->
                    aims.add(new Aim(
                            "staleness",
                            OxidationIndex::indexOfFat,
                            0.75
                                    * OxidationIndex.SPOTS_WITHIN_THE_YEAR
                                    / Math.max(0.1, OxidationIndex.superfatFactor(formula)),
                            0.03));
                case NO_ANIMAL, NO_PALM -> {
                    // These take fats away instead of moving a mean.
                }
            }
        }
        goals.mostPerKilogram()
                .ifPresent(most -> aims.add(new Aim(
                        "cost", f -> goals.prices().getOrDefault(f.id(), 0.0), most, Math.max(0.1, most * 0.05))));
        return aims;
    }

    /** Enough for a swirl, but no more than twice what it is. */
    private static double slowLimit(BatchPlan plan) {
        double now = mean(plan.formula().fats(), f -> -WorkingTime.logMinutesOf(f));
        double wanted = Math.log(WANTED_MINUTES / WorkingTime.forecast(plan).minutes());
        return now - Math.min(SLOWER, Math.max(0, wanted));
    }

    private static double unsaturated(Fat fat) {
        double all = fat.acids().stream().mapToDouble(a -> a.share().fraction()).sum();
        double saturated = fat.shareOf(Family.SHORT_SATURATED).fraction()
                + fat.shareOf(Family.LONG_SATURATED).fraction();
        return all == 0 ? 1 : 1 - saturated / all;
    }

    static double mean(List<FatPortion> fats, ToDoubleFunction<Fat> of) {
        double total = fats.stream().mapToDouble(p -> p.mass().grams()).sum();
        return fats.stream()
                        .mapToDouble(p -> p.mass().grams() * of.applyAsDouble(p.fat()))
                        .sum()
                / total;
    }
}
