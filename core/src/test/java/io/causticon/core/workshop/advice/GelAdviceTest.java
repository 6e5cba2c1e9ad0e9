package io.causticon.core.workshop.advice;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import java.util.List;
import org.junit.jupiter.api.Test;

class GelAdviceTest {

    private static final Temperature ROOM = Temperature.celsius(18);

    private static Recipes plain() {
        return recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300);
    }

    @Test
    void isWhatTheModelSaysOfThePlanThatItMakes() {
        BatchPlan plan = plain().plan();
        LoafEnsemble now = LoafForecast.planned(plan, ROOM, LoafKnowledge.NONE).orElseThrow();
        for (Extent extent : List.of(Extent.FULL, Extent.NONE)) {
            List<GelAdvice.Road> roads = GelAdvice.towards(extent, plan, WorkshopFacts.unknown(ROOM));
            assertThat(roads).as("%s", extent).isNotEmpty().hasSizeLessThanOrEqualTo(3);
            for (GelAdvice.Road road : roads) {
                LoafEnsemble then = LoafForecast.planned(road.change().applyTo(plan), ROOM, LoafKnowledge.NONE)
                        .orElseThrow();
                assertThat(road.chance())
                        .isCloseTo(then.probabilityOf(extent), within(1e-12))
                        .isGreaterThan(now.probabilityOf(extent));
                assertThat(road.tooHot()).isCloseTo(then.probabilityPeakAbove(90), within(1e-12));
            }
            assertThat(roads.get(0).chance()).as("the best of %s", extent).isGreaterThan(0.8);
        }
    }

    @Test
    void doesNotHeatWhatIsHotAlready() {
        // Honey in a wrapped loaf gels by itself: whatever makes it hotter comes last, if at all.
        BatchPlan honey = plain().additive("honey", 30).gel(GelGoal.FORCE).plan();
        assertThat(GelAdvice.towards(Extent.FULL, honey, WorkshopFacts.unknown(ROOM)))
                .allSatisfy(r -> assertThat(r.tooHot()).isLessThan(0.9));
        List<GelAdvice.Road> none = GelAdvice.towards(Extent.NONE, honey, WorkshopFacts.unknown(ROOM));
        assertThat(none).isNotEmpty();
        assertThat(none.get(0).change().applyTo(honey).gel()).isEqualTo(GelGoal.PREVENT);
    }

    @Test
    void isFoundAgainByItsName() {
        BatchPlan plan = plain().plan();
        List<String> ids = GelAdvice.changes(plan).stream().map(c -> c.id()).toList();
        assertThat(ids).doesNotHaveDuplicates().allMatch(id -> id.startsWith("gel-by-"));
        assertThat(GelAdvice.changes(plan)).noneMatch(c -> c.applyTo(plan).equals(plan));
        assertThat(ids)
                .containsAll(GelAdvice.towards(Extent.FULL, plan, WorkshopFacts.unknown(ROOM)).stream()
                        .map(r -> r.change().id())
                        .toList());
    }

    @Test
    void leavesAPlanThatNobodyCanForecastAlone() {
        assertThat(GelAdvice.towards(Extent.FULL, plain().process(Process.HOT).plan(), WorkshopFacts.unknown(ROOM)))
                .isEmpty();
    }

    @Test
    void ofAnOvenIsWhatAnOvenDoes() {
        BatchPlan oven = plain().process(Process.OVEN).plan();
        LoafEnsemble inOven =
                LoafForecast.planned(oven, ROOM, LoafKnowledge.NONE).orElseThrow();
        assertThat(inOven.probabilityOf(Extent.FULL))
                .isGreaterThan(LoafForecast.planned(plain().plan(), ROOM, LoafKnowledge.NONE)
                        .orElseThrow()
                        .probabilityOf(Extent.FULL));
        assertThat(GelAdvice.changes(oven)).anyMatch(c -> c.applyTo(oven).process() == Process.COLD);
    }
}
