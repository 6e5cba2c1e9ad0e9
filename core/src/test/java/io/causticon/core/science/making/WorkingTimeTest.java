package io.causticon.core.science.making;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import org.junit.jupiter.api.Test;

class WorkingTimeTest {

    private static double minutes(Recipes recipe) {
        return WorkingTime.forecast(recipe.plan()).minutes();
    }

    private static Recipes plain() {
        return recipe().fat("olive-oil", 600).fat("palm-oil", 400);
    }

    @Test
    void strongerLyeIsQuicker() {
        assertThat(minutes(plain().target(LiquidTarget.concentration(.40))))
                .isLessThan(minutes(plain().target(LiquidTarget.concentration(.28))));
    }

    @Test
    void longSaturatesAreQuickerThanOleic() {
        assertThat(minutes(recipe().fat("palm-oil", 700).fat("olive-oil", 300)))
                .isLessThan(minutes(recipe().fat("palm-oil", 100).fat("olive-oil", 900)));
    }

    /** A reason with these words, and whether it shortens. */
    private static void reason(WorkingTime time, String words, boolean shortens) {
        assertThat(time.reasons().stream().filter(r -> r.words().equals(words)).findFirst())
                .hasValueSatisfying(r -> assertThat(r.factor() < 1).as(words).isEqualTo(shortens));
    }

    @Test
    void eachOrderingHasItsReason() {
        reason(
                WorkingTime.forecast(plain().plan().with(PlanFields.MIX_AT, Temperature.celsius(48))),
                "mixing temperature",
                true);
        reason(
                WorkingTime.forecast(plain().plan().with(PlanFields.MIX_AT, Temperature.celsius(30))),
                "mixing temperature",
                false);
        reason(
                WorkingTime.forecast(
                        plain().target(LiquidTarget.concentration(.40)).plan()),
                "lye concentration",
                true);
        reason(
                WorkingTime.forecast(
                        plain().target(LiquidTarget.concentration(.25)).plan()),
                "lye concentration",
                false);
        reason(
                WorkingTime.forecast(
                        recipe().fat("palm-oil", 800).fat("olive-oil", 200).plan()),
                "long saturated acids",
                true);
        reason(WorkingTime.forecast(recipe().fat("olive-oil", 1000).plan()), "oleic acid", false);
        reason(WorkingTime.forecast(plain().inTheFats("kaolin", 20).plan()), "clay and powder", true);
        reason(
                WorkingTime.forecast(plain().additive("eo-clove", 8).plan()),
                "Essential oil: clove (bud or leaf)",
                true);
        reason(WorkingTime.forecast(plain().superfat(12).plan()), "superfat", false);
    }

    @Test
    void warmerIsQuicker() {
        assertThat(WorkingTime.forecast(plain().plan().with(PlanFields.MIX_AT, Temperature.celsius(51)))
                        .minutes())
                .isCloseTo(
                        0.5
                                * WorkingTime.forecast(plain().plan().with(PlanFields.MIX_AT, Temperature.celsius(40)))
                                        .minutes(),
                        within(1e-9));
    }

    @Test
    void moreWaterAndMoreOleicAreSlower() {
        assertThat(minutes(recipe().fat("sunflower-oil-high-oleic", 900).fat("palm-oil", 100)))
                .isGreaterThan(1.2 * minutes(plain()));
        assertThat(minutes(plain().target(LiquidTarget.concentration(.25)))).isGreaterThan(1.3 * minutes(plain()));
    }

    @Test
    void clayIsQuicker() {
        assertThat(minutes(plain().inTheFats("kaolin", 20))).isLessThan(minutes(plain()));
    }

    @Test
    void aMoverAtTraceLeavesLightTraceAndCutsWhatComesAfter() {
        WorkingTime with = WorkingTime.forecast(plain().additive("eo-clove", 8).plan());
        WorkingTime without = WorkingTime.forecast(plain().plan());
        assertThat(with.minutes()).isCloseTo(without.minutes(), within(1e-9));
        assertThat(with.unpourable() - with.minutes()).isLessThan(0.5 * (without.unpourable() - without.minutes()));
        assertThat(with.unpourableBand().contains(with.unpourable())).isTrue();
    }

    @Test
    void theBandOfTheReferenceIsThatOfThePriorAndWidensAwayFromIt() {
        WorkingTime near = WorkingTime.forecast(plain().plan());
        WorkingTime far = WorkingTime.forecast(
                recipe().fat("castor-oil", 500).fat("olive-oil", 500).plan());
        assertThat(near.band().high() / near.minutes()).isBetween(1.70, 1.85);
        assertThat(near.minutes() / near.band().low()).isBetween(1.70, 1.85);
        assertThat(far.band().high() / far.minutes()).isGreaterThan(near.band().high() / near.minutes());
    }

    @Test
    void reasonsMultiplyToTheForecastAndTheStrongestComesFirst() {
        WorkingTime time = WorkingTime.forecast(plain().additive("eo-clove", 8).plan());
        double product = 12;
        for (WorkingTime.Reason reason : time.reasons()) {
            product *= reason.later() ? 1 : reason.factor();
        }
        assertThat(product).isCloseTo(time.minutes(), within(1e-9));
        assertThat(time.reasons().get(0).words()).contains("clove");
        assertThat(time.reasons().get(0).later()).isTrue();
    }

    private static double light(String additive, double grams, AdditionStage joins) {
        BatchPlan plan = Recipes.recipe()
                .fat("olive-oil", 500)
                .fat("lard", 250)
                .fat("coconut-oil-76", 250)
                .liquid("distilled-water", 100)
                .plan();
        return WorkingTime.forecast(plan.with(plan.formula()
                        .withAdditives(
                                List.of(new AdditivePortion(Catalogue.standard().additive(additive), Mass.grams(grams))
                                        .joining(joins)))))
                .minutes();
    }

    @Test
    void saltAndClayAtTraceDoNotHurryTheWayToIt() {
        double bare = light("mica", 0, AdditionStage.TRACE);
        assertThat(light("kaolin", 30, AdditionStage.TRACE)).isCloseTo(bare, within(1e-9));
        assertThat(light("salt-bar", 400, AdditionStage.TRACE)).isCloseTo(bare, within(1e-9));
        assertThat(light("sugar", 20, AdditionStage.TRACE)).isCloseTo(bare, within(1e-9));
        // In from the start it does: 30 g x -0.006 = -0.18, a sixth sooner.
        assertThat(light("kaolin", 30, AdditionStage.FATS)).isCloseTo(bare * Math.exp(-0.18), within(0.01));
    }

    @Test
    void doseCounts() {
        double bare = light("mica", 0, AdditionStage.TRACE);
        double one = light("eo-clove", 1, AdditionStage.FATS);
        double eight = light("eo-clove", 8, AdditionStage.FATS);
        // Usual are 2 to 8 g a kilogram, 5 in the middle, where it does -1.2: one gram does -0.24, eight do -1.92.
        assertThat(one).isCloseTo(bare * Math.exp(-0.24), within(0.05));
        assertThat(eight).isCloseTo(bare * Math.exp(-1.92), within(0.05));
    }

    @Test
    void beeswaxSetsAndDoesNotSeize() {
        assertThat(light("beeswax-additive", 20, AdditionStage.FATS)).isBetween(6.0, 13.0);
    }

    @Test
    void oreganoIsOneOfTheStrong() {
        assertThat(Catalogue.standard().additive("eo-oregano").isMover()).isTrue();
    }
}
