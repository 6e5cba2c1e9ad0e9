package io.causticon.core.workshop.advice;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.formula.PlanCheck;
import org.junit.jupiter.api.Test;

class NextVersionTest {

    private static BatchPlan plan() {
        return recipe().fat("olive-oil", 500)
                .fat("lard", 264)
                .fat("coconut-oil-76", 236)
                .plan();
    }

    private static NextVersion after(String condition, BatchPlan plan) {
        return NextVersion.after(condition, plan, "cover it at once");
    }

    private static double concentration(BatchPlan plan) {
        return AlkaliBalance.of(plan.formula()).concentration().fraction();
    }

    @Test
    void takesWaterAwayWhereThereWasTooMuchOfIt() {
        NextVersion next = after("soda-ash", plan());
        assertThat(concentration(next.plan())).isCloseTo(.36, within(1e-6));
        assertThat(next.changes()).hasSize(1);
        // What is strong already stays.
        assertThat(after("soda-ash", next.plan()).changes()).isEmpty();
        assertThat(concentration(after("seized", plan()).plan())).isCloseTo(.30, within(1e-6));
    }

    @Test
    void changesTemperatureGelAndSuperfatByASmallStep() {
        assertThat(after("false-trace", plan().with(PlanFields.MIX_AT, Temperature.celsius(32)))
                        .plan()
                        .mixAt())
                .isEqualTo(Temperature.celsius(37));
        assertThat(after(
                                "overheated",
                                plan().with(PlanFields.MIX_AT, Temperature.celsius(29))
                                        .with(GelGoal.FORCE))
                        .plan()
                        .mixAt())
                .isEqualTo(Temperature.celsius(27));
        assertThat(after("overheated", plan().with(GelGoal.FORCE)).plan().gel()).isEqualTo(GelGoal.ALLOW);
        assertThat(after("overheated", plan().with(GelGoal.PREVENT)).plan().gel())
                .isEqualTo(GelGoal.PREVENT);
        assertThat(after("partial-gel", plan()).plan().gel()).isEqualTo(GelGoal.FORCE);
        BatchPlan rich = plan().with(plan().formula().withSuperfat(Share.percent(9)));
        assertThat(after("mushy", rich).plan().formula().superfat()).isEqualTo(Share.percent(5));
        // What was hot stays as hot: no step makes it hotter still, and none colder than fats stay clear.
        assertThat(after("false-trace", plan().with(PlanFields.MIX_AT, Temperature.celsius(60)))
                        .changes())
                .isEmpty();
        assertThat(after("seized", plan().with(PlanFields.MIX_AT, Temperature.celsius(25)))
                        .plan()
                        .mixAt())
                .isEqualTo(Temperature.celsius(25));
    }

    @Test
    void aSlipOfTheHandIsNoMatterOfTheRecipe() {
        NextVersion next = after("lye-heavy", plan());
        assertThat(next.changes()).isEmpty();
        assertThat(next.plan().formula()).isEqualTo(plan().formula());
        assertThat(next.plan().note()).contains("cover it at once");
    }

    @Test
    void noProposalIsUnsafeOrNoPlan() {
        for (Condition condition : StandardKnowledge.all().conditions()) {
            for (double superfat : new double[] {0, 3, 8, 20}) {
                BatchPlan before = plan().with(plan().formula().withSuperfat(Share.percent(superfat)));
                BatchPlan next = after(condition.id(), before).plan();
                assertThat(PlanCheck.of(next).all()).as(condition.id()).isEmpty();
                double planned = Superfat.of(
                                Weights.planned(next.formula()), next.formula().alkali())
                        .fraction();
                // Never less fat than was planned, but for a recipe that had plenty.
                assertThat(planned).as(condition.id()).isGreaterThanOrEqualTo(Math.min(.05, superfat / 100) - 1e-6);
                assertThat(next.mixAt().celsius()).isBetween(20.0, 60.0);
            }
        }
    }

    @Test
    void everyConditionThatAStepIsForIsKnown() {
        assertThat(StandardKnowledge.all().conditions())
                .extracting(Condition::id)
                .containsAll(NextVersion.stepped());
    }

    @Test
    void theNoteGrowsAtItsEndAndNotTwice() {
        BatchPlan once = after("lye-heavy", plan().noting("pale")).plan();
        assertThat(once.note()).isEqualTo("pale\ncover it at once");
        assertThat(after("lye-heavy", once).plan().note()).isEqualTo(once.note());
        BatchPlan long1 = after("lye-heavy", plan().noting("x".repeat(2000))).plan();
        assertThat(long1.note()).endsWith("cover it at once").hasSize(BatchPlan.LONGEST_NOTE);
    }
}
