package io.causticon.core.model.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ReworkTest {

    private static final Fat OLIVE = Catalogue.standard().fat("olive-oil");
    private static final Fat COCONUT = Catalogue.standard().fat("coconut-oil-76");

    private static ScrapPortion scrap(
            String source, Fat fat, double grams, double superfat, double spread, double water) {
        return new ScrapPortion(
                source + "-cream",
                source,
                "cream of " + source,
                Mass.grams(grams),
                List.of(new FatPortion(fat, Mass.grams(700))),
                Share.WHOLE,
                new Estimate(superfat, spread),
                new Estimate(water, 0.02),
                0,
                true,
                Set.of());
    }

    private static Rework of(ScrapPortion... scraps) {
        return new Rework(List.of(scraps), List.of(), Mass.grams(50), Rework.Way.POT);
    }

    /** Grams of pure NaOH that a gram of a fat takes, without moles. */
    private static double lyePerGram(Fat fat) {
        return fat.saponificationValue() / 1000 * 39.997 / 56.106;
    }

    /**
     * By another road: the fat of each is sought by halving until fat, lye and water make up its mass; then grams of
     * lye are compared.
     */
    @Test
    void mixesTheSuperfatsByWhatTheFatsTakeAndNotByMass() {
        double fatA = fatIn(200, OLIVE, 0.08, 0.12);
        double fatB = fatIn(100, COCONUT, -0.03, 0.20);
        double takes = fatA * lyePerGram(OLIVE) + fatB * lyePerGram(COCONUT);
        double holds = fatA * lyePerGram(OLIVE) * 0.92 + fatB * lyePerGram(COCONUT) * 1.03;
        Rework rework = of(scrap("a", OLIVE, 200, 0.08, 0.01, 0.12), scrap("b", COCONUT, 100, -0.03, 0.01, 0.20));
        assertThat(rework.superfat().value()).isCloseTo(1 - holds / takes, within(1e-4));
        // By mass alone it would be 4.3 %.
        assertThat(rework.superfat().value()).isLessThan(0.042);
        assertThat(rework.fats().get(0).mass().grams()).isCloseTo(fatA, within(0.01));
    }

    private static double fatIn(double grams, Fat fat, double superfat, double water) {
        double low = 0;
        double high = grams;
        for (int i = 0; i < 60; i++) {
            double middle = (low + high) / 2;
            boolean tooMuch = middle + middle * lyePerGram(fat) * (1 - superfat) + grams * water > grams;
            low = tooMuch ? low : middle;
            high = tooMuch ? middle : high;
        }
        return low;
    }

    @Test
    void keepsTheMassOfAllThatGoesIn() {
        Rework rework = new Rework(
                List.of(scrap("a", OLIVE, 200, 0.08, 0.01, 0.12), scrap("b", COCONUT, 100, 0.02, 0.01, 0.20)),
                List.of(new FatPortion(OLIVE, Mass.grams(9))),
                Mass.grams(70),
                Rework.Way.OVEN);
        assertThat(Weights.planned(rework.formula(List.of())).total().grams()).isCloseTo(379, within(0.05));
        assertThat(rework.waterShare().fraction()).isCloseTo((24 + 20 + 70) / 379.0, within(1e-9));
        // The same fat from a scrap and from the bottle stands once.
        assertThat(rework.formula(List.of()).fats())
                .extracting(f -> f.fat().id())
                .containsExactly("olive-oil", "coconut-oil-76");
    }

    @Test
    void ofABatchHoldsWhatItsBatchWasMadeOf() {
        Formula formula = Recipes.recipe()
                .fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .superfat(6)
                .purity(97)
                .additive("salt-bar", 200)
                .formula();
        Weights weights = Weights.planned(formula);
        ScrapPortion all = ScrapPortion.of(
                "x",
                "b",
                "all",
                weights.total(),
                weights,
                new Estimate(0.06, 0.01),
                new Estimate(weights.water().dividedBy(weights.total()), 0),
                true,
                Set.of());
        Rework rework = new Rework(List.of(all), List.of(), Mass.grams(100), Rework.Way.POT);
        // The two or three grams that are no lye in the bag count as salt does.
        assertThat(rework.fats().get(0).mass().grams()).isCloseTo(700, within(2.5));
        assertThat(rework.fats().get(1).mass().grams()).isCloseTo(300, within(1.2));
        assertThat(rework.superfat().value()).isCloseTo(0.06, within(1e-9));
    }

    @Test
    void makesItAsFatAsIsWantedAndNeverLyeHeavyAtTheWorst() {
        Rework before = of(scrap("a", OLIVE, 800, -0.06, 0.02, 0.12), scrap("b", COCONUT, 200, 0.05, 0.01, 0.12));
        Mass wanted = before.fatFor(OLIVE, Share.percent(5));
        Rework after =
                new Rework(before.scraps(), List.of(new FatPortion(OLIVE, wanted)), before.water(), before.way());
        assertThat(after.superfat().value()).isBetween(0.05, 0.0515);
        // A little known scrap wants more than the middle says.
        Rework unknown = of(scrap("a", OLIVE, 800, -0.06, 0.06, 0.12));
        Rework mended = new Rework(
                unknown.scraps(),
                List.of(new FatPortion(OLIVE, unknown.fatFor(OLIVE, Share.percent(5)))),
                unknown.water(),
                unknown.way());
        assertThat(mended.superfat().value()).isGreaterThan(0.08);
        assertThat(mended.superfat().probabilityBelow(0)).isLessThan(0.03);
        assertThat(of(scrap("a", OLIVE, 800, 0.08, 0.01, 0.12)).fatFor(OLIVE, Share.percent(5)))
                .isEqualTo(Mass.ZERO);
    }

    @Test
    void knowsTwoScrapsOfOneBatchNoBetterThanOne() {
        ScrapPortion one = scrap("a", OLIVE, 100, 0.05, 0.02, 0.1);
        double same = of(one, one).superfat().standardDeviation();
        double others =
                of(one, scrap("b", OLIVE, 100, 0.05, 0.02, 0.1)).superfat().standardDeviation();
        assertThat(same).isCloseTo(0.02, within(1e-6));
        assertThat(others).isCloseTo(0.02 / Math.sqrt(2), within(1e-4));
    }

    @Test
    void wantsMoreWaterTheDrierItIs() {
        Mass fresh = Rework.waterFor(List.of(scrap("a", OLIVE, 1000, 0.05, 0.01, 0.26)));
        Mass cured = Rework.waterFor(List.of(scrap("a", OLIVE, 1000, 0.05, 0.01, 0.10)));
        Mass old = Rework.waterFor(List.of(scrap("a", OLIVE, 1000, 0.05, 0.01, 0.02)));
        assertThat(fresh.grams()).isEqualTo(50);
        assertThat(cured.grams()).isEqualTo(250);
        assertThat(old.grams()).isEqualTo(300);
    }

    /** Whatever goes in: a number, between the leanest and the fattest scrap, and fatter with every gram of fat. */
    @Test
    void staysWithinWhatGoesIn() {
        Random random = new Random(5);
        List<Fat> fats = List.copyOf(Catalogue.standard().fats());
        for (int i = 0; i < 10_000; i++) {
            ScrapPortion a = scrap(
                    "a",
                    fats.get(random.nextInt(fats.size())),
                    1 + 5000 * random.nextDouble(),
                    -0.2 + 0.4 * random.nextDouble(),
                    0.05 * random.nextDouble(),
                    0.35 * random.nextDouble());
            ScrapPortion b = scrap(
                    "b",
                    fats.get(random.nextInt(fats.size())),
                    1 + 5000 * random.nextDouble(),
                    -0.2 + 0.4 * random.nextDouble(),
                    0.05 * random.nextDouble(),
                    0.35 * random.nextDouble());
            Rework rework = of(a, b);
            double superfat = rework.superfat().value();
            assertThat(superfat)
                    .isBetween(
                            Math.min(a.superfat().value(), b.superfat().value()) - 1e-9,
                            Math.max(a.superfat().value(), b.superfat().value()) + 1e-9);
            assertThat(rework.superfat().standardDeviation()).isFinite();
            Fat more = fats.get(random.nextInt(fats.size()));
            Mass wanted = rework.fatFor(more, Share.percent(5));
            Rework after =
                    new Rework(rework.scraps(), List.of(new FatPortion(more, wanted)), rework.water(), rework.way());
            assertThat(after.superfat().value()).isGreaterThanOrEqualTo(Math.max(superfat, 0.05) - 1e-9);
        }
    }
}
