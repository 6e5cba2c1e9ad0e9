package io.causticon.core.model.plan;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.FormulaCheck;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class AlkaliBalanceTest {

    @Nested
    class Lye {

        @Test
        void forOneFatIsItsSaponificationValue() {
            // 1000 g olive x 190 mg KOH/g = 190 g KOH = 190 x 39.997 / 56.106 = 135.446 g NaOH; less 5 % = 128.674 g.
            AlkaliBalance balance =
                    AlkaliBalance.of(recipe().fat("olive-oil", 1000).formula());
            assertThat(balance.forFats().grams()).isCloseTo(135.446, within(0.01));
            assertThat(balance.leftOut().grams()).isCloseTo(6.772, within(0.01));
            assertThat(balance.naoh().grams()).isCloseTo(128.674, within(0.01));
            assertThat(balance.koh().grams()).isZero();
        }

        @Test
        void forThreeFatsIsTheSum() {
            // 500 olive (190) + 300 coconut (256) + 200 shea (178.5): 95 + 76.8 + 35.7 = 207.5 g KOH
            // = 147.923 g NaOH; less 5 % = 140.527; at 98 % purity 143.395 g.
            AlkaliBalance balance = AlkaliBalance.of(recipe().fat("olive-oil", 500)
                    .fat("coconut-oil-76", 300)
                    .fat("shea-butter", 200)
                    .purity(98)
                    .formula());
            assertThat(balance.naoh().grams()).isCloseTo(143.395, within(0.02));
            assertThat(balance.forPurity().grams()).isCloseTo(2.868, within(0.01));
        }

        @Test
        void ofBothAlkalisIsSharedByMassOfPureAlkali() {
            // 1000 g stearic 50:50 (208 mg/g) = 3.7073 mol. 60 % NaOH by mass: per gram of pure alkali
            // 0.6/39.997 + 0.4/56.106 = 0.0221306 mol, so 3.7073 x 0.95 / 0.0221306 = 159.14 g pure: 95.49 NaOH, 63.66
            // KOH.
            AlkaliChoice choice = new AlkaliChoice(Share.percent(60), Share.WHOLE, Share.percent(90));
            AlkaliBalance balance = AlkaliBalance.of(
                    recipe().fat("stearic-acid", 1000).alkali(choice).formula());
            assertThat(balance.naoh().grams()).isCloseTo(95.49, within(0.05));
            assertThat(balance.koh().grams()).isCloseTo(63.66 / 0.9, within(0.05));
        }

        @Test
        void risesForAcidInTheLiquid() {
            // 30.0 g of 5 % acetic vinegar takes 30 x 0.05 / 60.052 x 39.997 = 0.999 g NaOH.
            LiquidPortion vinegar = new LiquidPortion(
                    io.causticon.core.model.substance.Catalogue.standard().liquid("vinegar-5"),
                    io.causticon.core.quantity.Mass.grams(30),
                    LiquidState.LIQUID);
            assertThat(Alkali.NAOH.mass(vinegar.acidMoles()).grams()).isCloseTo(0.999, within(0.001));
        }

        @Test
        void risesForCitricAcidAsAnAdditive() {
            // 10 g anhydrous citric acid takes 10 x 3 / 192.124 x 39.997 = 6.2455 g NaOH.
            AlkaliBalance with = AlkaliBalance.of(
                    recipe().fat("olive-oil", 1000).additive("citric-acid", 10).formula());
            assertThat(with.forAcid().grams()).isCloseTo(6.2455, within(0.001));
            assertThat(with.naoh().grams()).isCloseTo(128.674 + 6.2455, within(0.01));
        }

        @Test
        void risesForTheFatOfCream() {
            AlkaliBalance balance = AlkaliBalance.of(recipe().fat("olive-oil", 1000)
                    .liquid("distilled-water", 50)
                    .liquid("heavy-cream-36", 50)
                    .formula());
            // Half of the liquid is cream; its butterfat (227.5 mg/g) needs alkali like any other.
            double cream = balance.liquids().get(1).mass().grams();
            double butterfat = 0.36 * cream;
            assertThat(balance.fatInLiquids().grams()).isCloseTo(butterfat, within(0.01));
            double naohForButterfat = butterfat * 0.2275 * 39.997 / 56.106;
            assertThat(balance.forFats().grams()).isCloseTo(135.446 + naohForButterfat, within(0.02));
        }
    }

    @Nested
    class LiquidFigures {

        @Test
        void areOneThingSaidInThreeWays() {
            Formula byConcentration = recipe().fat("olive-oil", 1000)
                    .target(LiquidTarget.concentration(0.30))
                    .formula();
            AlkaliBalance first = AlkaliBalance.of(byConcentration);
            AlkaliBalance byRatio = AlkaliBalance.of(recipe().fat("olive-oil", 1000)
                    .target(LiquidTarget.ratio(first.waterPerLye()))
                    .formula());
            AlkaliBalance ofFats = AlkaliBalance.of(recipe().fat("olive-oil", 1000)
                    .target(LiquidTarget.ofFats(first.waterOfFats().fraction()))
                    .formula());
            assertThat(first.waterPerLye()).isCloseTo(70.0 / 30, within(1e-9));
            assertThat(byRatio.water().grams()).isCloseTo(first.water().grams(), within(1e-6));
            assertThat(ofFats.water().grams()).isCloseTo(first.water().grams(), within(1e-6));
        }

        @Test
        void reachTheConcentrationAlsoWhenTheLiquidTakesUpLye() {
            AlkaliBalance lemon = AlkaliBalance.of(recipe().fat("olive-oil", 1000)
                    .liquid("lemon-juice", 100)
                    .target(LiquidTarget.concentration(0.33))
                    .formula());
            assertThat(lemon.concentration().fraction()).isCloseTo(0.33, within(1e-9));
            assertThat(lemon.forAcid().grams()).isGreaterThan(5);
        }

        @Test
        void countOnlyTheWaterInTheMilk() {
            AlkaliBalance milk = AlkaliBalance.of(recipe().fat("olive-oil", 1000)
                    .liquid("goat-milk-whole", 100)
                    .formula());
            assertThat(milk.water().grams()).isCloseTo(0.87 * milk.liquidMass().grams(), within(1e-6));
        }

        @Test
        void cannotBeReachedWithALiquidThatTakesMoreLyeThanItBringsWater() {
            Formula cream = recipe().fat("olive-oil", 1000)
                    .liquid("powdered-whole-milk", 100)
                    .target(LiquidTarget.ratio(2))
                    .formula();
            assertThatThrownBy(() -> AlkaliBalance.of(cream))
                    .isInstanceOfSatisfying(
                            ProblemsException.class,
                            e -> assertThat(e.problems())
                                    .extracting(Problem::key)
                                    .containsExactly(ProblemKey.LIQUID_WITHOUT_WATER));
        }
    }

    @Nested
    class Checks {

        @Test
        void refuseMoreLyeThanItsOwnMassOfWaterDissolves() {
            assertThat(keys(recipe().fat("olive-oil", 1000)
                            .target(LiquidTarget.ratio(0.8))
                            .formula()))
                    .containsExactly(ProblemKey.LYE_CANNOT_DISSOLVE);
            assertThat(keys(recipe().fat("olive-oil", 1000)
                            .target(LiquidTarget.ratio(1))
                            .formula()))
                    .isEmpty();
        }

        @Test
        void refuseARecipeWithoutFat() {
            assertThat(keys(recipe().formula())).containsExactly(ProblemKey.NO_FATS);
        }

        @Test
        void tellAllFaultsTogether() {
            Formula formula = recipe().fat("olive-oil", 500)
                    .fat("olive-oil", -3)
                    .superfat(70)
                    .liquid("distilled-water", 60)
                    .liquid("beer-flat", 30)
                    .formula();
            assertThat(keys(formula))
                    .containsExactlyInAnyOrder(
                            ProblemKey.TWICE, ProblemKey.TOO_LOW, ProblemKey.TOO_HIGH, ProblemKey.SHARES_DO_NOT_SUM);
        }

        private java.util.List<ProblemKey> keys(Formula formula) {
            return FormulaCheck.of(formula).all().stream().map(Problem::key).toList();
        }
    }
}
