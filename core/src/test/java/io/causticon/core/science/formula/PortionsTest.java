package io.causticon.core.science.formula;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.said.notation.LineNotation;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class PortionsTest {

    private static final Catalogue TABLES = Catalogue.standard();

    private static Recipes plain() {
        return recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).purity(98);
    }

    private static BatchPlan divided(BatchPlan plan, Portioning.Way way, Portion... portions) {
        return plan.with(plan.pouring().divided(new Portioning(way, List.of(portions), Share.percent(3))));
    }

    private static void partsMakeTheWhole(Portions portions, BatchPlan plan) {
        Mass batter = portions.amounts().stream().map(PortionAmounts::batter).reduce(Mass.ZERO, Mass::plus);
        assertThat(batter.plus(portions.stuck()).grams())
                .isCloseTo(portions.whole().grams(), within(1e-9));
        double kept = 1 - plan.pouring().portioning().stuck().fraction();
        double fats = portions.amounts().stream()
                .mapToDouble(a -> a.weights().fatMass().grams())
                .sum();
        assertThat(fats).isCloseTo(kept * plan.formula().fatMass().grams(), within(1e-9));
        double lye = portions.amounts().stream()
                .mapToDouble(a -> a.weights().lye().grams())
                .sum();
        assertThat(lye).isCloseTo(kept * AlkaliBalance.of(plan.formula()).lye().grams(), within(1e-9));
        PortionAmounts last = portions.amounts().get(portions.amounts().size() - 1);
        assertThat(last.bowlAfter().grams()).isCloseTo(portions.stuck().grams(), within(1e-9));
    }

    @Test
    void ofAFiveLayerSculptedLoafFollowTheDrawing() {
        Mould loaf = new Mould("loaf", MouldKind.WOODEN_LOAF, 300, 80, 75, 1);
        BatchPlan plan = divided(
                plain().plan().with(loaf),
                Portioning.Way.LAYERS,
                layer("sand", "12"),
                layer("shallows", "20 26 18"),
                layer("sea", "34 30 36"),
                layer("haze", "46"),
                layer("sky", "60 72 60"));
        assertThat(Portions.check(plan).all()).isEmpty();
        Portions portions = Portions.of(plan);
        partsMakeTheWhole(portions, plan);
        // Sand: 12 mm of a mean height of 60/2 + 72/2 = 66 mm.
        assertThat(portions.amounts().get(0).share().fraction()).isCloseTo(12.0 / 66, within(1e-9));
        // 66 x 80 x 300 mm3 of batter.
        assertThat(portions.drawn().grams())
                .isCloseTo(
                        66 * 80 * 300 / 1000.0 * BatterAmount.of(plan.formula()).density(), within(1e-6));
    }

    private static Portion layer(String name, String line) {
        return Portion.layer(name, LineNotation.read("line", line, 80));
    }

    @Test
    void ofATwoColourSplitAreWeighedFromTheBowl() {
        BatchPlan plan = divided(
                plain().plan(),
                Portioning.Way.SHARES,
                Portion.sharing("plain", Share.percent(65)),
                Portion.sharing("charcoal", Share.percent(35))
                        .with(TABLES.additive("activated-charcoal"), Dose.ofFats(Share.percent(1))));
        Portions portions = Portions.of(plan);
        partsMakeTheWhole(portions, plan);
        PortionAmounts charcoal = portions.amounts().get(1);
        // 1 % of the fats of this part: 35 % of 97 % of 1000 g is 339.5 g.
        assertThat(charcoal.weights().fatMass().grams()).isCloseTo(339.5, within(1e-9));
        assertThat(charcoal.additives().get(0).mass().grams()).isCloseTo(3.395, within(1e-9));
        assertThat(portions.amounts().get(0).bowlAfter().grams())
                .isCloseTo(
                        portions.whole().grams()
                                - 0.65 * 0.97 * portions.whole().grams(),
                        within(1e-9));
    }

    @Test
    void ofSixCupsEachHaveTheirOwnSuperfat() {
        BatchPlan plan = divided(
                plain().target(LiquidTarget.concentration(0.45)).plan(),
                Portioning.Way.CUPS,
                cup("water", "distilled-water", 30),
                cup("goat milk", "goat-milk-whole", 30),
                cup("cream", "heavy-cream-36", 30),
                cup("lemon", "lemon-juice", 30),
                cup("vinegar", "vinegar-5", 30),
                cup("beer", "beer-flat", 30));
        Portions portions = Portions.of(plan);
        partsMakeTheWhole(portions, plan);
        double plainCup = portions.amounts().get(0).superfat().fraction();
        assertThat(plainCup).isCloseTo(0.05, within(1e-9));
        PortionAmounts vinegar = portions.amounts().get(4);
        // 30 g of 5 % vinegar bind 30 x .05 / 60.052 = 0.024978 mol of alkali; the cup's fats, 161.667 g, need
        // 161.667 x (0.7 x 190 + 0.3 x 256) / 56106 = 0.60453 mol: 4.13 points more superfat.
        assertThat(vinegar.superfat().inPercent()).isCloseTo(5 + 4.132, within(0.01));
        PortionAmounts cream = portions.amounts().get(2);
        // 10.8 g of butterfat need 10.8 x 227.5 / 56106 = 0.043792 mol, and 0.03 g of lactic acid
        // binds 0.000333: 1 - (0.95 x 0.60453 - 0.000333) / (0.60453 + 0.043792) = 11.47 %.
        assertThat(cream.superfat().inPercent()).isCloseTo(11.47, within(0.02));
        assertThat(cream.concentration().fraction())
                .isGreaterThan(vinegar.concentration().fraction());
    }

    private static Portion cup(String name, String liquid, double grams) {
        return Portion.sharing(name, Share.NONE).with(TABLES.liquid(liquid), Dose.mass(Mass.grams(grams)));
    }

    @RepeatedTest(25)
    void alwaysMakeTheWhole(RepetitionInfo info) {
        Random random = new Random(info.getCurrentRepetition());
        int count = 2 + random.nextInt(10);
        Portion[] portions = Stream.generate(() -> Portion.sharing("cup", Share.NONE))
                .limit(count)
                .toArray(Portion[]::new);
        BatchPlan plan = divided(
                plain().fat("lard", 10 + random.nextInt(400))
                        .liquid("goat-milk-whole", 100)
                        .plan(),
                Portioning.Way.CUPS,
                portions);
        partsMakeTheWhole(Portions.of(plan), plan);
    }

    @Nested
    class Faults {

        private List<ProblemKey> keys(BatchPlan plan) {
            return Portions.check(plan).all().stream().map(Problem::key).toList();
        }

        @Test
        void areSharesThatMakeNoWhole() {
            assertThat(keys(divided(
                            plain().plan(),
                            Portioning.Way.SHARES,
                            Portion.sharing("a", Share.percent(60)),
                            Portion.sharing("b", Share.percent(60)))))
                    .containsExactly(ProblemKey.SHARES_DO_NOT_SUM);
        }

        @Test
        void areLayersWithoutAMould() {
            BatchPlan none = plain().plan().with((Mould) null);
            assertThat(keys(divided(none, Portioning.Way.LAYERS, Portion.layer("a", Line.flat(10)))))
                    .containsExactly(ProblemKey.MISSING);
        }

        @Test
        void areBentLayersInATube() {
            Mould tube = new Mould("tube", MouldKind.TUBE, 72, 72, 300, 1);
            assertThat(keys(divided(plain().plan().with(tube), Portioning.Way.LAYERS, layer("a", "100 140 100"))))
                    .containsExactly(ProblemKey.NOT_FLAT);
            assertThat(keys(divided(
                            plain().plan().with(tube), Portioning.Way.LAYERS, layer("a", "100"), layer("b", "250"))))
                    .isEmpty();
        }

        @Test
        void areTooManyParts() {
            Portion[] many = Stream.generate(() -> Portion.sharing("cup", Share.NONE))
                    .limit(25)
                    .toArray(Portion[]::new);
            assertThat(keys(divided(plain().plan(), Portioning.Way.CUPS, many))).containsExactly(ProblemKey.TOO_MANY);
        }
    }

    @Nested
    class Sizes {

        private final Mould loaf = new Mould("loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1);

        @Test
        void followTheMould() {
            Formula formula = Sizing.toFill(plain().formula(), loaf, Pouring.PLAIN);
            BatterAmount batter = BatterAmount.of(formula);
            assertThat(loaf.fillHeight(batter.mass(), batter.density())).isCloseTo(75, within(1e-6));
        }

        @Test
        void allowForOverageAndFillHeight() {
            Pouring pouring = new Pouring(Pouring.SizedBy.MOULD, 60.0, Share.percent(15), null, 25, Portioning.WHOLE);
            BatterAmount batter = BatterAmount.of(Sizing.toFill(plain().formula(), loaf, pouring));
            assertThat(loaf.fillHeight(batter.mass(), batter.density())).isCloseTo(60 * 1.15, within(1e-6));
        }

        @Test
        void keepWhatDoesNotGrowWithTheFats() {
            Formula bare = plain().formula();
            var salt = TABLES.additive("salt-bar");
            Mass fats = Sizing.fatsToFill(
                    m -> bare.scaledTo(m).withAdditives(List.of(new AdditivePortion(salt, Mass.grams(400)))),
                    loaf,
                    Pouring.PLAIN);
            BatterAmount batter = BatterAmount.of(
                    bare.scaledTo(fats).withAdditives(List.of(new AdditivePortion(salt, Mass.grams(400)))));
            assertThat(loaf.fillHeight(batter.mass(), batter.density())).isCloseTo(75, within(0.01));
        }

        @Test
        void fillSpareCavitiesWithWhatIsLeftOver() {
            Mould cup = new Mould("cup", MouldKind.CAVITIES, 60, 60, 30, 6);
            Pouring pouring = new Pouring(Pouring.SizedBy.WEIGHTS, 50.0, Share.NONE, cup, 25, Portioning.WHOLE);
            BatterAmount batter = BatterAmount.of(plain().formula());
            Mass over = Sizing.leftOver(batter, loaf, pouring);
            // Stands 50 mm: 300 x 85 x 50 mm3 = 1275 ml.
            assertThat(over.grams()).isCloseTo(batter.mass().grams() - 1275 * batter.density(), within(1e-6));
            assertThat(Sizing.spareCavities(batter, loaf, pouring))
                    .isEqualTo((int) Math.ceil(over.grams() / (108 * batter.density())));
        }
    }

    @Test
    void batterIsAboutAsDenseAsWater() {
        // 1000 g olive / .915 = 1092.9 ml; 389.9 g of 33 % lye / 1.3663 = 285.4 ml: 1389.9 g / 1378.3 ml.
        BatterAmount batter = BatterAmount.of(recipe().fat("olive-oil", 1000).formula());
        assertThat(batter.density()).isCloseTo(1.0085, within(0.001));
    }
}
