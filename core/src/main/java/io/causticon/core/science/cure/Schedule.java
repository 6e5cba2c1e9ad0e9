package io.causticon.core.science.cure;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.formula.Composition;
import java.time.Duration;

/**
 * When a batch's stages are expected to end, from its recipe alone: proposals, not promises.
 *
 * @param bench from the first weighing to the pour
 * @param unmould from the pour until the mould lets go
 * @param cure from the cut until it may be called ready
 */
public record Schedule(Duration bench, Duration unmould, Duration cure) {

    /**
     * A day for a middling recipe at 33 % lye that does not gel (estimate; makers report 12-48 h, 3-7 days for
     * all-olive).
     */
    private static final double USUAL_UNMOULD_HOURS = 24;

    private static final double USUAL_UNSATURATED = 0.60;
    private static final double UNSATURATED_THAT_DOUBLES = 0.20;
    private static final double USUAL_CONCENTRATION = 0.33;
    private static final double CONCENTRATION_THAT_HALVES = 0.08;
    static final double GEL_SHORTENS = 0.65;
    private static final double SALT_UNMOULD_HOURS = 6;
    private static final double COOKED_UNMOULD_HOURS = 14;
    /** A mash is wetter than a cooked paste (a judgement). */
    private static final double REWORKED_UNMOULD_HOURS = 24;

    private static final double LONGEST_UNMOULD_HOURS = 168;
    private static final double USUAL_CURE = 28;
    private static final double COOKED_CURE = 7;
    private static final double OLEIC_CURE = 56;
    private static final double CASTOR_CURE = 28;

    /** Share of mono-unsaturated acids: a middling recipe, and all olive. */
    private static final Interval OLEIC = Interval.between(0.55, 0.70);

    /** Share of ricinoleic acid: more than is usual, and a third of it. */
    private static final Interval CASTOR = Interval.between(0.12, 0.35);

    private static final double SALT_BAR = 0.15;
    private static final Duration BENCH = Duration.ofMinutes(75);
    private static final Duration REWORK_BENCH = Duration.ofHours(2);
    private static final Duration COOKED_BENCH = Duration.ofHours(4);

    public static Schedule of(BatchPlan plan) {
        return new Schedule(bench(plan), Duration.ofMinutes(Math.round(60 * unmouldHours(plan))), cure(plan));
    }

    /** From the first weighing to the pour. */
    public static Duration bench(BatchPlan plan) {
        return plan.isRework() ? REWORK_BENCH : plan.process() == Process.HOT ? COOKED_BENCH : BENCH;
    }

    /**
     * Largest unsaturated share of the acids with which a plan of this liquid and gel lets go within so many hours.
     *
     * @param hours more than zero
     */
    public static double unsaturatedShareForUnmould(BatchPlan plan, double hours) {
        double others = unmouldHours(plan)
                / Math.pow(2, (unsaturated(plan.formula()) - USUAL_UNSATURATED) / UNSATURATED_THAT_DOUBLES);
        return USUAL_UNSATURATED + UNSATURATED_THAT_DOUBLES * Math.log(hours / others) / Math.log(2);
    }

    private static double unsaturated(Formula formula) {
        return 1 - Composition.of(formula.fats()).saturated().fraction();
    }

    private static double unmouldHours(BatchPlan plan) {
        if (plan.isRework()) {
            return REWORKED_UNMOULD_HOURS;
        }
        if (plan.process() == Process.HOT) {
            return COOKED_UNMOULD_HOURS;
        }
        if (isSaltBar(plan.formula())) {
            return SALT_UNMOULD_HOURS;
        }
        Formula formula = plan.formula();
        double unsaturated = unsaturated(formula);
        double concentration = AlkaliBalance.of(formula).concentration().fraction();
        double soft = Math.pow(2, (unsaturated - USUAL_UNSATURATED) / UNSATURATED_THAT_DOUBLES);
        double wet = Math.pow(2, (USUAL_CONCENTRATION - concentration) / CONCENTRATION_THAT_HALVES);
        double gel = plan.gel() == GelGoal.FORCE || plan.process() == Process.OVEN ? GEL_SHORTENS : 1;
        return Math.min(LONGEST_UNMOULD_HOURS, USUAL_UNMOULD_HOURS * soft * wet * gel);
    }

    /**
     * The least for its kind (judgements, as makers report them): cooked one week, others four, salt bars and scraps
     * that were melted with water four. What is mostly oleic, as all-olive soap, takes up to eight weeks longer, what
     * is rich in castor up to four: both grow with their share, without a step.
     */
    private static Duration cure(BatchPlan plan) {
        if (plan.isRework()) {
            // Reacted long ago, and as wet as on its first day.
            return days(USUAL_CURE);
        }
        if (plan.process() == Process.HOT) {
            return days(COOKED_CURE);
        }
        if (isSaltBar(plan.formula())) {
            return days(USUAL_CURE);
        }
        Composition acids = Composition.of(plan.formula().fats());
        return days(USUAL_CURE
                + OLEIC_CURE * OLEIC.shareOf(acids.of(Family.MONO_UNSATURATED).fraction())
                + CASTOR_CURE * CASTOR.shareOf(acids.of(Family.RICINOLEIC).fraction()));
    }

    private static Duration days(double days) {
        return Duration.ofMinutes(Math.round(days * 24 * 60));
    }

    /** Whether its salt makes it hard in hours. */
    static boolean isSaltBar(Formula formula) {
        double salt = formula.additives().stream()
                .filter(a -> a.additive().id().startsWith("salt-"))
                .mapToDouble(a -> a.mass().dividedBy(formula.fatMass()))
                .sum();
        double inLiquid = formula.liquidParts().stream()
                .mapToDouble(p -> p.liquid().salt().fraction() * p.share().fraction())
                .sum();
        return salt >= SALT_BAR || inLiquid >= SALT_BAR;
    }
}
