package io.causticon.core.model.plan;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.Composition;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SuperfatTest {

    @Nested
    class Properties {

        @RepeatedTest(60)
        void weighedAsPlannedIsThePlannedSuperfat(RepetitionInfo info) {
            Formula formula = randomFormula(new Random(info.getCurrentRepetition()));
            assertThat(Superfat.of(Weights.planned(formula), formula.alkali()).fraction())
                    .isCloseTo(formula.superfat().fraction(), within(1e-9));
        }

        @RepeatedTest(30)
        void scalingARecipeScalesTheLye(RepetitionInfo info) {
            Formula formula = randomFormula(new Random(1000 + info.getCurrentRepetition()));
            Formula twice = formula.scaledTo(formula.fatMass().times(2));
            assertThat(AlkaliBalance.of(twice).lye().grams())
                    .isCloseTo(2 * AlkaliBalance.of(formula).lye().grams(), within(1e-6));
            assertThat(AlkaliBalance.of(twice).concentration().fraction())
                    .isCloseTo(AlkaliBalance.of(formula).concentration().fraction(), within(1e-9));
        }

        private Formula randomFormula(Random random) {
            List<String> fats = List.of("olive-oil", "coconut-oil-76", "lard", "shea-butter", "castor-oil", "palm-oil");
            List<String> liquids = List.of("distilled-water", "goat-milk-whole", "vinegar-5", "coconut-milk-canned");
            var recipe = recipe().superfat(random.nextInt(20)).purity(95 + random.nextInt(6));
            fats.forEach(f -> recipe.fat(f, 20 + random.nextInt(500)));
            int first = random.nextInt(liquids.size());
            recipe.liquid(liquids.get(first), 40).liquid(liquids.get((first + 1) % liquids.size()), 60);
            return recipe.target(LiquidTarget.concentration(0.26 + 0.1 * random.nextDouble()))
                    .formula();
        }
    }

    @Nested
    class Distribution {

        @Test
        void ofAKilogramOnAKitchenScaleIsAboutOneAndAHalfPointsWide() {
            Estimate estimate =
                    distribution(recipe().fat("olive-oil", 1000).purity(98).formula());
            assertThat(estimate.value()).isCloseTo(0.05, within(1e-9));
            assertThat(estimate.halfWidth95()).isBetween(0.012, 0.017);
            assertThat(estimate.probabilityBelow(0)).isLessThan(1e-4);
        }

        @Test
        void ofATestBarOnAKitchenScaleIsACoinToss() {
            Estimate small = distribution(
                    recipe().fat("olive-oil", 60).superfat(3).purity(98).formula());
            assertThat(small.halfWidth95()).isGreaterThan(0.05);
            assertThat(small.probabilityBelow(0)).isGreaterThan(0.10);
        }

        @Test
        void agreesWithASimulationOfEveryError() {
            Formula formula = recipe().fat("olive-oil", 300)
                    .fat("coconut-oil-76", 150)
                    .fat("lard", 50)
                    .purity(98)
                    .formula();
            Weights weights = Weights.planned(formula);
            Estimate estimate = distribution(formula);
            Random random = new Random(8424);
            double[] draws = IntStream.range(0, 100_000)
                    .mapToDouble(i -> draw(weights, formula.alkali(), random))
                    .toArray();
            double mean = java.util.Arrays.stream(draws).average().orElseThrow();
            double deviation = Math.sqrt(java.util.Arrays.stream(draws)
                    .map(d -> (d - mean) * (d - mean))
                    .average()
                    .orElseThrow());
            // Within 0.1 point.
            assertThat(estimate.value()).isCloseTo(mean, within(0.001));
            assertThat(estimate.halfWidth95()).isCloseTo(1.96 * deviation, within(0.001));
        }

        /** What the superfat really is when the display shows these weights. */
        private double draw(Weights shown, AlkaliChoice alkali, Random random) {
            double needed = shown.fats().stream()
                    .mapToDouble(f -> new FatPortion(f.fat(), truth(f.mass(), random)).alkaliMoles()
                            * (1 + f.fat().saponificationSpread().fraction() / 1.96 * random.nextGaussian()))
                    .sum();
            double purity = alkali.naohPurity().fraction() * (1 + 0.01 / 1.96 * random.nextGaussian());
            double given = Alkali.NAOH.moles(truth(shown.naoh(), random).times(purity));
            return 1 - given / needed;
        }

        private Mass truth(Mass shown, Random random) {
            return shown.plus(Mass.grams(random.nextDouble() - 0.5));
        }

        private Estimate distribution(Formula formula) {
            return Superfat.distribution(Weights.planned(formula), formula.alkali(), Scales.KITCHEN);
        }
    }

    @Test
    void isThatOfWhatTheScaleShows() {
        // 8.75 g of lye on a scale of whole grams is weighed as 9: 1 - 0.95 x 9 / 8.75 = 2.3 %. Its step alone is 0.289
        // / 9 = 3.2 % either way:
        // 2.3 / 3.2 sigmas above nothing, and the rest of the spread, leave excess in some 24 to 30 of a hundred.
        Formula formula = recipe().fat("olive-oil", 62).formula();
        double lye = AlkaliBalance.of(formula).naoh().grams();
        Formula landed = formula.scaledTo(formula.fatMass().times(8.75 / lye));
        Scales fine = new Scales(Mass.grams(0.1), Mass.grams(1));
        Estimate exact = Superfat.distribution(Weights.planned(landed), landed.alkali(), fine);
        Estimate shown = Superfat.distribution(Weights.planned(landed).shownOn(fine), landed.alkali(), fine);
        assertThat(exact.probabilityBelow(0)).isCloseTo(0.065, within(0.015));
        assertThat(100 * shown.value()).isCloseTo(2.3, within(0.2));
        assertThat(shown.probabilityBelow(0)).isBetween(0.22, 0.31);
    }

    @Test
    void knowsPotassiumHydroxideLessWell() {
        AlkaliChoice labelled = new AlkaliChoice(Share.NONE, Share.percent(98), Share.percent(90), false);
        AlkaliChoice certified = new AlkaliChoice(Share.NONE, Share.percent(98), Share.percent(90), true);
        Weights weights =
                Weights.planned(recipe().fat("olive-oil", 1000).alkali(labelled).formula());
        Scales scales = new Scales(Mass.grams(0.1), Mass.grams(0.1));
        double label = Superfat.distribution(weights, labelled, scales).halfWidth95();
        double certificate = Superfat.distribution(weights, certified, scales).halfWidth95();
        // Three points of ninety are 3.3 %, one is 1.1 %; of 0.95 that was given.
        assertThat(label * label - certificate * certificate)
                .isCloseTo(square(0.95 * 0.0333) - square(0.95 * 0.0111), within(5e-5));
    }

    @Test
    void weighsTwoAlkalisTwice() {
        AlkaliChoice both = new AlkaliChoice(Share.percent(50), Share.WHOLE, Share.WHOLE, true);
        Weights weights =
                Weights.planned(recipe().fat("olive-oil", 60).alkali(both).formula());
        double coarse = Superfat.distribution(weights, both, new Scales(Mass.grams(1), Mass.grams(1)))
                .standardDeviation();
        double naoh = 0.2887 / weights.naoh().grams() * Alkali.NAOH.moles(weights.naoh());
        double koh = 0.2887 / weights.koh().grams() * Alkali.KOH.moles(weights.koh());
        double all = Alkali.NAOH.moles(weights.naoh()) + Alkali.KOH.moles(weights.koh());
        assertThat(coarse)
                .isGreaterThan(0.95 * Math.hypot(naoh, koh) / all)
                .isLessThan(0.95 * Math.hypot(naoh, koh) / all + 0.012);
    }

    @Test
    void countsTheErrorOfTwoScalesThatDoNotShareOne() {
        Weights weights = Weights.planned(recipe().fat("olive-oil", 1000).formula());
        AlkaliChoice alkali = AlkaliChoice.naoh(Share.WHOLE);
        double one = Superfat.distribution(weights, alkali, new Scales(Mass.grams(0.1), Mass.grams(0.1)))
                .halfWidth95();
        double two = Superfat.distribution(weights, alkali, new Scales(Mass.grams(0.1001), Mass.grams(0.1)))
                .halfWidth95();
        assertThat(two * two - one * one).isCloseTo(square(0.95) * 2 * square(0.003), within(1e-6));
    }

    private static double square(double x) {
        return x * x;
    }

    @Test
    void isNegativeWhenFatIsMissing() {
        Formula formula = recipe().fat("olive-oil", 800).fat("lard", 200).formula();
        Weights without = Weights.planned(formula)
                .withFats(List.of(new FatPortion(Catalogue.standard().fat("olive-oil"), Mass.grams(800))));
        // Olive alone needs 800 x 190 = 152 000 of the 191 200 that lye was weighed for at 5 %: 1 - 0.95 x 191.2 / 152
        // = -19.5 %.
        assertThat(Superfat.of(without, formula.alkali()).inPercent()).isCloseTo(-19.5, within(0.05));
    }

    @Test
    void compositionReadsFromTheFats() {
        Composition coconut =
                Composition.of(recipe().fat("coconut-oil-76", 100).formula().fats());
        // C8 to C14: 7.2 + 6.0 + 47.5 + 18.5.
        assertThat(coconut.of(io.causticon.core.model.substance.FattyAcid.Family.SHORT_SATURATED)
                        .inPercent())
                .isCloseTo(79.2, within(0.01));
        assertThat(coconut.saturated().compareTo(Share.percent(90))).isPositive();
    }

    @Test
    void mouldsTellTheirFill() {
        Mould loaf = new Mould("oak loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
        assertThat(loaf.volume()).isCloseTo(1428, within(0.01));
        assertThat(loaf.fillHeight(Mass.grams(1020))).isCloseTo(50, within(0.01));
    }
}
