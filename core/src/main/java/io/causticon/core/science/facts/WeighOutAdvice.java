package io.causticon.core.science.facts;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What can be done about a weight that is off.
 *
 * @param what which
 * @param planned its target
 * @param weighed what was logged
 * @param accepted superfat if it is left so, with all that is not yet weighed as planned
 * @param concentration of the lye if it is left so, alkali by mass of alkali and water
 * @param factor by which everything that is still to be weighed would have to grow so that the recipe is the planned
 *     one; empty when that cannot be or is not worth it
 * @param ounces whether the number would fit if grams and ounces were mistaken for one another
 * @param vesselMissing mass of a vessel whose tare would explain it; empty when none does
 * @param vessel its name; empty when none does
 */
public record WeighOutAdvice(
        Weighable what,
        Mass planned,
        Mass weighed,
        Estimate accepted,
        Share concentration,
        Optional<Double> factor,
        boolean ounces,
        Optional<Mass> vesselMissing,
        String vessel) {

    private static final double WORTH_SCALING = 1.002;
    private static final double MOST_SCALING = 1.5;
    private static final double LIKE_A_VESSEL = 4;
    private static final double LIKE_OUNCES = 0.02;

    /**
     * One for each weight that is off.
     *
     * @param vessels vessels whose mass is known
     */
    public static List<WeighOutAdvice> of(BatchPlan plan, BatchLog log, KnownVessels vessels) {
        List<WeighOutAdvice> advice = new ArrayList<>();
        if (plan.isRework()) {
            // Scraps are weighed as they are there: superfat and water follow, nothing is to be mended at the scale.
            return advice;
        }
        AsWeighed asWeighed = AsWeighed.of(plan, log);
        Map<Weighable, Mass> sums = AsWeighed.sums(log);
        WeighingTolerance tolerance = new WeighingTolerance(plan.scales());
        WeighingOrder.of(plan, log).targets().forEach((what, target) -> {
            Mass got = sums.get(what);
            if (got != null && tolerance.isOff(what, target, got)) {
                advice.add(advice(what, target, got, asWeighed, plan, vessels));
            }
        });
        return advice;
    }

    private static WeighOutAdvice advice(
            Weighable what, Mass planned, Mass got, AsWeighed asWeighed, BatchPlan plan, KnownVessels vessels) {
        double factor = got.dividedBy(planned);
        Mass lye = asWeighed.weights().lye();
        Optional<Map.Entry<String, Mass>> vessel = vessels.masses().entrySet().stream()
                .filter(v -> v.getValue().grams() > 5)
                .filter(v -> Math.abs(Math.abs(got.minus(planned).grams())
                                - v.getValue().grams())
                        < LIKE_A_VESSEL)
                .findFirst();
        return new WeighOutAdvice(
                what,
                planned,
                got,
                Superfat.distribution(asWeighed.weights(), plan.formula().alkali(), plan.scales()),
                Share.fraction(lye.dividedBy(lye.plus(asWeighed.weights().water()))),
                factor >= WORTH_SCALING && factor <= MOST_SCALING ? Optional.of(factor) : Optional.empty(),
                isLike(factor, Mass.GRAMS_PER_OUNCE) || isLike(factor, 1 / Mass.GRAMS_PER_OUNCE),
                vessel.map(Map.Entry::getValue),
                vessel.map(Map.Entry::getKey).orElse(""));
    }

    private static boolean isLike(double factor, double wanted) {
        return Math.abs(factor / wanted - 1) < LIKE_OUNCES;
    }
}
