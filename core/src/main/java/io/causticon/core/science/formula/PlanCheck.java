package io.causticon.core.science.formula;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import org.jspecify.annotations.Nullable;

/** Tells everything that keeps a plan from being worked with: its formula, its mould, its scales, its portions. */
public final class PlanCheck {

    /** mm. */
    public static final double LONGEST_SIDE = 2000;

    public static final int MOST_CAVITIES = 500;

    private static final double MOST_WATER = 100_000;

    private PlanCheck() {}

    public static Problems of(BatchPlan plan) {
        Problems problems = plan.rework() == null ? FormulaCheck.of(plan.formula()) : ReworkCheck.of(plan.rework());
        checkMould("mould", plan.mould(), problems);
        checkMould("spare", plan.pouring().spare(), problems);
        PlanFields.ALL.forEach(f -> check(f, plan, problems));
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
            problems.add(
                    "fatStep",
                    ProblemKey.SCALE_SHOWS_NOTHING,
                    "The fats",
                    plan.formula().fatMass(),
                    plan.scales().fatStep());
        }
        if (!shown.naoh().plus(shown.koh()).isPositive()) {
            problems.add(
                    "lyeStep",
                    ProblemKey.SCALE_SHOWS_NOTHING,
                    "The lye",
                    planned.naoh().plus(planned.koh()),
                    plan.scales().lyeStep());
        }
    }

    private static <T> void check(PlanField<T> field, BatchPlan plan, Problems problems) {
        field.check(plan.get(field), problems);
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
