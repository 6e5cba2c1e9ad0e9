package io.causticon.core.science.formula;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import org.jspecify.annotations.Nullable;

/** Tells everything that keeps a plan from being worked with: its formula, its mould, its scales, its portions. */
public final class PlanCheck {

    public static final Mass FINEST_STEP = Mass.grams(0.001);
    public static final Mass COARSEST_STEP = Mass.grams(50);

    /** mm. */
    public static final double LONGEST_SIDE = 2000;

    public static final int MOST_CAVITIES = 500;

    /** Degrees Celsius at which lye and fats can meet. */
    private static final Interval MIXED_AT = Interval.between(0, 110);

    /** Degrees Celsius of something frozen. */
    public static final Interval FREEZER = Interval.between(-40, 0);

    /** Degrees Celsius of an oven that soap is put into. */
    public static final Interval OVEN = Interval.between(30, 120);

    /** Minutes that it is on. */
    public static final Interval OVEN_MINUTES = Interval.between(1, 720);

    private static final double MOST_WATER = 100_000;

    private PlanCheck() {}

    public static Problems of(BatchPlan plan) {
        Problems problems = plan.rework() == null ? FormulaCheck.of(plan.formula()) : ReworkCheck.of(plan.rework());
        checkMould("mould", plan.mould(), problems);
        checkMould("spare", plan.pouring().spare(), problems);
        checkStep("fatStep", plan.scales().fatStep(), problems);
        checkStep("lyeStep", plan.scales().lyeStep(), problems);
        if (!FREEZER.contains(plan.freezer().celsius())) {
            problems.add("freezer", ProblemKey.NOT_A_CHOICE, plan.freezer().toString());
        }
        if (!OVEN.contains(plan.oven().temperature().celsius()) || !OVEN_MINUTES.contains(plan.oven().minutes())) {
            problems.add("ovenAt", ProblemKey.NOT_A_CHOICE, plan.oven().temperature().toString());
        }
        if (!MIXED_AT.contains(plan.mixAt().celsius())) {
            problems.add("mixAt", ProblemKey.NOT_A_CHOICE, plan.mixAt().toString());
        }
        if (problems.isEmpty() && !plan.isRework()) {
            problems.addAll(Portions.check(plan).all());
            checkScales(plan, problems);
        }
        return problems;
    }

    /** Fats and lye of which their scale shows something. */
    public static void checkScales(BatchPlan plan, Problems problems) {
        Weights planned = Weights.planned(plan.formula());
        Weights shown = planned.shownOn(plan.scales());
        if (shown.fats().stream().noneMatch(f -> f.mass().isPositive())) {
            problems.add("fatStep", ProblemKey.SCALE_SHOWS_NOTHING, "The fats", plan.formula().fatMass(), plan.scales().fatStep());
        }
        if (!shown.naoh().plus(shown.koh()).isPositive()) {
            problems.add("lyeStep", ProblemKey.SCALE_SHOWS_NOTHING, "The lye", planned.naoh().plus(planned.koh()), plan.scales().lyeStep());
        }
    }

    /** A scale's step that is one. */
    public static void checkStep(String field, Mass step, Problems problems) {
        if (step.grams() < FINEST_STEP.grams()) {
            problems.add(field, ProblemKey.TOO_LOW, "A scale's step", step, FINEST_STEP);
        } else if (step.isMoreThan(COARSEST_STEP)) {
            problems.add(field, ProblemKey.TOO_HIGH, "A scale's step", step, COARSEST_STEP);
        }
    }

    /** A mould whose measures can be; none is fine. */
    public static void checkMould(String field, @Nullable Mould mould, Problems problems) {
        if (mould == null) {
            return;
        }
        boolean sides = isSide(mould.length()) && isSide(mould.width()) && isSide(mould.height());
        boolean many = mould.cavities() >= 1 && mould.cavities() <= MOST_CAVITIES;
        boolean water = mould.water() == null || mould.water() > 0 && mould.water() <= MOST_WATER;
        if (mould.name() == null || mould.kind() == null || !sides || !many || !water) {
            problems.add(field, ProblemKey.NOT_A_CHOICE, String.valueOf(mould.name()));
        }
    }

    private static boolean isSide(double millimetres) {
        return millimetres > 0 && millimetres <= LONGEST_SIDE;
    }
}
