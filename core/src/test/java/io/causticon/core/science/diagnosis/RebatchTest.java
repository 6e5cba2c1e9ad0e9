package io.causticon.core.science.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.facts.BatchFacts;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class RebatchTest {

    private static Cases batch() {
        return Cases.batch(Recipes.recipe()
                        .fat("olive-oil", 700)
                        .fat("coconut-oil-76", 300)
                        .liquid("distilled-water", 100))
                .weighedAsPlanned()
                .log("@+1h poured 40", "@+20h cut 8");
    }

    /** Lye logged that is some 5 % more than the fats take. */
    private static Cases lyeHeavy() {
        double lye = batch().facts().asWeighed().weights().naoh().grams();
        return batch().weighed(Weighable.NAOH, Mass.grams(Math.rint(lye * 1.105)), Tare.TAKEN, null)
                .log("day 3 wash burns", "day 3 titrated 0.45");
    }

    private static Rebatch rebatch(Cases batch) {
        return Rebatch.of(batch.facts(), batch.diagnosis()).orElseThrow();
    }

    @Test
    void isOfTheFatThatThereIsMostOfAndAQuarterOfTheSoapInWater() {
        Rebatch rebatch = rebatch(lyeHeavy());
        assertThat(rebatch.fat().id()).isEqualTo("olive-oil");
        assertThat(rebatch.water().grams())
                .isCloseTo(lyeHeavy().facts().asWeighed().weights().total().grams() / 4, within(.01));
        assertThat(rebatch.tooMuch()).isFalse();
    }

    /**
     * Worked out by another road: so many grams of pure lye too much, what olive oil takes of it by its own value, and
     * the superfat of the new weights.
     */
    @Test
    void bringsTheSuperfatThatItSays() {
        Cases batch = lyeHeavy();
        Rebatch rebatch = rebatch(batch);
        BatchFacts facts = batch.facts();
        double excess = batch.diagnosis().excess().middle().fraction();
        double needed = facts.asWeighed()
                .weights()
                .allFats()
                .mapToDouble(FatPortion::alkaliMoles)
                .sum();
        double molesOfLye = needed * (1 + excess);
        double takenByOlive = rebatch.mass().grams() * rebatch.fat().saponificationValue() / 56_106;
        assertThat(1 - molesOfLye / (needed + takenByOlive)).isGreaterThanOrEqualTo(.05 - 1e-3);
        assertThat(rebatch.superfat().low()).isGreaterThanOrEqualTo(.0199);
        assertThat(rebatch.superfat().high()).isBetween(.05, .2);
        // The logged lye agrees: with that much more olive oil the weights have a superfat.
        Cases after = batch.log(said(rebatch, "day 5"));
        assertThat(Superfat.of(
                                after.facts().weightsNow(),
                                after.facts().plan().formula().alkali())
                        .fraction())
                .isBetween(.03, .15);
        assertThat(after.facts().asWeighed().superfat().value()).isLessThan(-.03);
    }

    private static String said(Rebatch rebatch, String day) {
        return String.format(
                Locale.ROOT,
                "%s rebatched with olive oil %.1f g and %.1f g of water",
                day,
                rebatch.mass().grams(),
                rebatch.water().grams());
    }

    @Test
    void makesItFitToBeReleasedOnceItIsTestedAgain() {
        Cases batch = lyeHeavy();
        double before = batch.diagnosis().anyHazard();
        assertThat(before).isGreaterThan(.9);
        batch.log(said(rebatch(batch), "day 5"), "day 5 touch firm");
        assertThat(batch.diagnosis().of(Conditions.LYE_HEAVY).probability()).isLessThan(.1);
        // The burn stands until another bar is calm and something was measured.
        assertThat(ReleaseGate.of(batch.facts(), batch.diagnosis()).isOpen()).isFalse();
        assertThat(batch.diagnosis().verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
        batch.log("day 12 titrated 0", "day 13 wash calm", "day 13 no white spots");
        assertThat(ReleaseGate.of(batch.facts(), batch.diagnosis()).missing()).isEmpty();
        assertThat(batch.diagnosis().verdict()).isEqualTo(Diagnosis.Verdict.CALM);
    }

    @Test
    void withTooLittleFatStaysLyeHeavy() {
        Cases batch = lyeHeavy().log("day 5 rebatched with olive oil 5 g and 300 g of water", "day 12 touch firm");
        assertThat(batch.diagnosis().of(Conditions.LYE_HEAVY).probability()).isGreaterThan(.8);
        // And without any fat it is what it was.
        assertThat(lyeHeavy()
                        .log("day 5 rebatched with 300 g water", "day 12 touch firm")
                        .diagnosis()
                        .of(Conditions.LYE_HEAVY)
                        .probability())
                .isGreaterThan(.9);
    }

    @Test
    void burnsAgainAndIsHeldAgain() {
        Cases batch = lyeHeavy();
        batch.log(said(rebatch(batch), "day 5"), "day 12 wash burns", "day 12 titrated 0.5");
        assertThat(batch.diagnosis().verdict()).isEqualTo(Diagnosis.Verdict.HOLD);
        assertThat(batch.diagnosis().of(Conditions.LYE_HEAVY).probability()).isGreaterThan(.5);
    }

    @Test
    void isNotForABatchThatIsCalm() {
        Cases calm = batch().log("day 9 wash calm");
        assertThat(Rebatch.of(calm.facts(), calm.diagnosis())).isEmpty();
        // A burn that stands while nothing else speaks for a hazard is repeated, not melted down.
        Cases tender = batch().log(
                        "day 9 titrated 0",
                        "day 9 pen 9.6",
                        "day 9 see only one tester",
                        "day 9 see with any soap",
                        "day 9 wash burns");
        assertThat(tender.diagnosis().signStands()).isTrue();
        assertThat(tender.diagnosis().anyHazard()).isLessThan(Diagnosis.HOLD_FROM);
        assertThat(Rebatch.of(tender.facts(), tender.diagnosis())).isEmpty();
    }

    @Test
    void wantsNoFatWhereLiquorWasClosedIn() {
        Cases pockets = batch().log("day 3 titrated 0", "day 4 see white spots", "day 4 see weeping");
        Rebatch rebatch = rebatch(pockets);
        assertThat(pockets.diagnosis().of(Conditions.LYE_POCKETS).probability()).isGreaterThan(.5);
        assertThat(rebatch.mass()).isEqualTo(Mass.ZERO);
    }

    @Test
    void isNoWayOutOfTwiceTheLye() {
        double lye = batch().facts().asWeighed().weights().naoh().grams();
        assertThat(rebatch(batch().weighed(Weighable.NAOH, Mass.grams(2 * lye), Tare.TAKEN, null)
                                .log("day 3 titrated 8"))
                        .tooMuch())
                .isTrue();
    }
}
