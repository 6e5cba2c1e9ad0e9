package io.causticon.core.science.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.slips.Slip;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.WeighingOrder;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What a batch knows that is made of others. */
class ReworkedTest {

    private static Cases calm() {
        return Cases.batch(Recipes.recipe()
                        .fat("olive-oil", 700)
                        .fat("coconut-oil-76", 300)
                        .liquid("distilled-water", 100))
                .weighedAsPlanned()
                .log("day 9 wash calm");
    }

    /** Lye logged that is some 5 % more than the fats take. */
    private static Cases lyeHeavy() {
        Cases batch = calm();
        double lye = batch.facts().asWeighed().weights().naoh().grams();
        return calm().weighed(Weighable.NAOH, Mass.grams(Math.rint(lye * 1.105)), Tare.TAKEN, null)
                .log("day 10 wash burns", "day 10 titrated 0.45");
    }

    private static ScrapPortion scrap(Cases of, String source, Mass mass) {
        Weights weights = of.facts().weightsNow();
        Estimate water = new Estimate(weights.water().dividedBy(weights.total()), 0.01);
        return ScrapPortion.of(
                source + "-cream",
                source,
                "cream of " + source,
                mass,
                weights,
                of.diagnosis().superfatToRework(),
                water,
                true,
                Set.of());
    }

    private static BatchPlan plan(ScrapPortion scrap, FatPortion... added) {
        return BatchPlan.reworking(
                "Crumbs",
                new Rework(List.of(scrap), List.of(added), Mass.grams(100), Rework.Way.POT),
                List.of(),
                null,
                Scales.KITCHEN,
                "");
    }

    @Test
    void wantsTheFatThatTheCaseOfTheHeldBatchWorkedOut() {
        Cases held = lyeHeavy();
        Rebatch offer = Rebatch.of(held.facts(), held.diagnosis()).orElseThrow();
        ScrapPortion all = scrap(held, "a", held.facts().weightsNow().total());
        Rework rework = new Rework(List.of(all), List.of(), offer.water(), Rework.Way.POT);
        assertThat(rework.fatFor(offer.fat(), held.facts().plan().formula().superfat())
                        .grams())
                .isCloseTo(offer.mass().grams(), within(3.0));
    }

    @Test
    void isAsFatAsItsScrapsAreWeighed() {
        BatchPlan plan = plan(
                scrap(lyeHeavy(), "a", Mass.grams(500)),
                new FatPortion(
                        calm().facts().asWeighed().weights().fats().get(0).fat(), Mass.grams(60)));
        Cases batch = Cases.batch(plan).log("a-cream 500 g", "olive 60 g", "water 100 g");
        assertThat(batch.facts().asWeighed().isComplete()).isTrue();
        double planned = batch.facts().asWeighed().superfat().value();
        assertThat(planned).isCloseTo(plan.formula().superfat().fraction(), within(1e-9));
        // Half of the scrap and the same fat: far fatter. Nothing of it is the lye that nobody weighed.
        Cases half = Cases.batch(plan).log("a-cream 250 g", "olive 60 g");
        assertThat(half.facts().asWeighed().superfat().value()).isGreaterThan(planned + 0.05);
        assertThat(half.facts().asWeighed().notLogged()).containsExactly(Weighable.liquid("distilled-water"));
        assertThat(WeighingOrder.of(plan, half.facts().log()).targets().keySet())
                .noneMatch(w -> w.kind() == Weighable.Kind.ALKALI);
    }

    @Test
    void countsWhatWasAddedBesides() {
        BatchPlan plan = plan(scrap(calm(), "a", Mass.grams(500)));
        AsWeighed more = Cases.batch(plan)
                .log("a-cream 500 g", "castor 20 g", "goat milk 50 g")
                .facts()
                .asWeighed();
        assertThat(more.notPlanned()).hasSize(2);
        assertThat(more.superfat().value())
                .isGreaterThan(plan.formula().superfat().fraction() + 0.03);
        assertThat(more.weights().water())
                .isGreaterThan(Weights.planned(plan.formula()).water());
    }

    /** 5 g of NaOH are 0.125 mol, of some 1.2 mol that the fats of 500 g of soap take. */
    @Test
    void countsLyeThatNobodyPlanned() {
        BatchPlan plan = plan(scrap(calm(), "a", Mass.grams(500)));
        Cases batch = Cases.batch(plan).log("a-cream 500 g", "lye 5 g");
        double moles = batch.facts()
                .asWeighed()
                .weights()
                .allFats()
                .mapToDouble(FatPortion::alkaliMoles)
                .sum();
        assertThat(batch.facts().asWeighed().superfat().value())
                .isCloseTo(plan.formula().superfat().fraction() - 5 / 39.997 / moles, within(1e-4));
        assertThat(batch.probabilityOf(Conditions.LYE_HEAVY)).isGreaterThan(0.9);
    }

    @Test
    void isBelievedToBeWhatItsScrapsAreAndIsTestedAllTheSame() {
        Cases calm = Cases.batch(plan(scrap(calm(), "a", Mass.grams(500)))).log("a-cream 500 g");
        assertThat(calm.probabilityOf(Conditions.LYE_HEAVY)).isLessThan(0.01);
        // No fats were swapped and no tare forgotten: nobody weighed any.
        assertThat(calm.diagnosis().slips())
                .extracting(Slip::kind)
                .containsExactlyInAnyOrder(Slip.Kind.NONE, Slip.Kind.UNKNOWN);
        BatchFacts facts = calm.facts();
        assertThat(ReleaseGate.of(facts, calm.diagnosis()).isOpen()).isFalse();
        Cases heavy = Cases.batch(plan(scrap(lyeHeavy(), "a", Mass.grams(500)))).log("a-cream 500 g");
        assertThat(heavy.probabilityOf(Conditions.LYE_HEAVY)).isGreaterThan(0.9);
        // One look at the paste does not make a week of it a day.
        Cases soon = Cases.batch(plan(scrap(calm(), "a", Mass.grams(500))))
                .log("a-cream 500 g", "@+60m cook on", "@+110m mash even", "@+120m poured", "day 2 wash calm");
        assertThat(ReleaseGate.of(soon.facts(), soon.diagnosis()).missing())
                .extracting(ReleaseGate.Requirement::kind)
                .contains(ReleaseGate.Kind.AGE);
    }

    @Test
    void ofABatchThatBurnsReckonsWithItsExcess() {
        Diagnosis heavy = lyeHeavy().diagnosis();
        assertThat(heavy.superfatToRework().value())
                .isCloseTo(-heavy.excess().middle().fraction(), within(1e-9));
        assertThat(calm().diagnosis().superfatToRework().value()).isBetween(0.045, 0.055);
        assertThat(Share.fraction(calm().diagnosis().superfatToRework().standardDeviation())
                        .inPercent())
                .isBetween(0.3, 2.5);
    }
}
