package io.causticon.core.science.formula;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class JugTest {

    private static final Catalogue TABLES = Catalogue.standard();
    private static final double[] SHARES = {30, 25, 20, 15, 10};

    private static BatchPlan layers(Portioning.LyeRoute route) {
        BatchPlan plan = recipe().fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .purity(98)
                .plan();
        List<Portion> parts = Stream.of(0, 1, 2, 3, 4)
                .map(i -> Portion.sharing("part " + i, Share.percent(SHARES[i])))
                .toList();
        return plan.with(
                plan.pouring().divided(new Portioning(Portioning.Way.SHARES, parts, Share.percent(3), null, route)));
    }

    private static BatchPlan withOwn(BatchPlan plan, int part, String additive, double grams, AdditionStage joins) {
        Portioning before = plan.pouring().portioning();
        List<Portion> parts = Stream.of(0, 1, 2, 3, 4)
                .map(i -> i != part
                        ? before.portions().get(i)
                        : new Portion(
                                "part " + i,
                                null,
                                Share.percent(SHARES[i]),
                                List.of(new Portion.OwnAdditive(
                                        TABLES.additive(additive), Dose.mass(Mass.grams(grams)), joins)),
                                List.of()))
                .toList();
        return plan.with(
                plan.pouring().divided(new Portioning(before.way(), parts, before.stuck(), null, before.route())));
    }

    private static double sum(List<Jug> jugs, Function<Jug, Mass> of) {
        return jugs.stream().mapToDouble(j -> of.apply(j).grams()).sum();
    }

    @Test
    void thereIsNoneOfOneBatter() {
        assertThat(Jug.of(layers(Portioning.LyeRoute.TOGETHER))).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(names = {"MASTER", "OWN"})
    void allOfThemAreTheWholeRecipe(Portioning.LyeRoute route) {
        BatchPlan plan = layers(route);
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        List<Jug> jugs = Jug.of(plan);
        assertThat(jugs).hasSize(5);
        // Nothing stays on a bowl that is not used.
        assertThat(sum(jugs, Jug::fats)).isCloseTo(1000, within(1e-9));
        assertThat(sum(jugs, Jug::solution))
                .isCloseTo(balance.lye().plus(balance.liquidMass()).grams(), within(1e-9));
        assertThat(jugs.get(4).fatsAfter().grams()).isCloseTo(0, within(1e-9));
        assertThat(jugs).allSatisfy(j -> assertThat(j.superfat().fraction()).isCloseTo(0.05, within(1e-9)));
    }

    /** 700 g of olive and 300 g of coconut oil: the lye of all, 3 : 2.5 : 2 : 1.5 : 1. */
    @Test
    void eachDissolvesItsOwnLyeInItsOwnWater() {
        BatchPlan plan = layers(Portioning.LyeRoute.OWN);
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        List<Jug> jugs = Jug.of(plan);
        assertThat(jugs.get(0).naoh().grams()).isCloseTo(0.30 * balance.naoh().grams(), within(1e-9));
        assertThat(jugs.get(4).liquids().get(0).mass().grams())
                .isCloseTo(0.10 * balance.liquidMass().grams(), within(1e-9));
        assertThat(jugs.get(1).solutionAfter()).isEqualTo(Mass.ZERO);
    }

    @Test
    void theOneLyeIsPouredDownToNothing() {
        BatchPlan plan = layers(Portioning.LyeRoute.MASTER);
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        double whole = balance.lye().plus(balance.liquidMass()).grams();
        List<Jug> jugs = Jug.of(plan);
        assertThat(jugs.get(0).solutionAfter().grams()).isCloseTo(0.70 * whole, within(1e-9));
        assertThat(jugs.get(4).solutionAfter().grams()).isCloseTo(0, within(1e-9));
        assertThat(jugs.get(0).naoh()).isEqualTo(Mass.ZERO);
    }

    @Test
    void whatIsStirredIntoAllFatsIsPouredWithThem() {
        BatchPlan plan = layers(Portioning.LyeRoute.OWN);
        AdditivePortion clay = AdditivePortion.dosed(
                TABLES.additive("kaolin"),
                Dose.mass(Mass.grams(20)),
                AdditionStage.FATS,
                plan.formula().fatMass());
        List<Jug> jugs = Jug.of(plan.with(plan.formula().withAdditives(List.of(clay))));
        assertThat(jugs.get(0).fats().grams()).isCloseTo(0.30 * 1020, within(1e-9));
        assertThat(jugs.get(0).fatAdditives()).isEmpty();
    }

    @Test
    void itsOwnGoesIntoItsLyeItsFatsOrItsBatter() {
        BatchPlan plan = layers(Portioning.LyeRoute.OWN);
        assertThat(Jug.of(withOwn(plan, 1, "kaolin", 3, AdditionStage.FATS))
                        .get(1)
                        .fatAdditives())
                .hasSize(1);
        assertThat(Jug.of(withOwn(plan, 1, "kaolin", 3, AdditionStage.TRACE))
                        .get(1)
                        .later())
                .containsExactly(new Jug.Addition(TABLES.additive("kaolin").name(), Mass.grams(3)));
        Jug dyed = Jug.of(withOwn(plan, 1, "kaolin", 3, AdditionStage.LYE)).get(1);
        assertThat(dyed.lyeAdditives()).hasSize(1);
        assertThat(dyed.solution().minus(Jug.of(plan).get(1).solution()).grams())
                .isCloseTo(3, within(1e-9));
    }

    /** 5 g of citric acid take 78.1 mmol of alkali, as much as 14.9 % of what 250 g of these fats are given. */
    @Test
    void anAcidInOneLyeLeavesThatPartAloneSofter() {
        BatchPlan plan = layers(Portioning.LyeRoute.OWN);
        List<Jug> jugs = Jug.of(withOwn(plan, 1, "citric-acid", 5, AdditionStage.LYE));
        double given = 0.25 * AlkaliBalance.of(plan.formula()).naoh().grams() * 0.98 / 39.997;
        double taken = 3 * 5 / 192.12;
        assertThat(jugs.get(1).superfat().fraction()).isCloseTo(0.05 + 0.95 * taken / given, within(0.002));
        assertThat(jugs.get(0).superfat().fraction()).isCloseTo(0.05, within(1e-9));
    }

    @Test
    void cupsOfSoMuchBatterGiveTheFats() {
        BatchPlan plan = recipe().fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .purity(98)
                .plan();
        Formula bare = plan.formula();
        Pouring pouring = new Pouring(
                Pouring.SizedBy.CUPS,
                null,
                Share.NONE,
                null,
                25,
                new Portioning(
                        Portioning.Way.CUPS,
                        Stream.of(1, 2, 3, 4, 5, 6)
                                .map(i -> Portion.sharing("cup " + i, Share.NONE))
                                .toList(),
                        Share.percent(3)),
                Mass.grams(100));
        Mass fats = Sizing.fatsForCups(bare::scaledTo, Mass.grams(100), 6, pouring);
        Portions portions = Portions.of(plan.with(bare.scaledTo(fats)).with(pouring));
        assertThat(portions.amounts())
                .hasSize(6)
                .allSatisfy(a -> assertThat(a.batter().grams()).isCloseTo(100, within(1e-6)));
        // 600 g of batter and the 3 % that stick: 618.6 g.
        assertThat(portions.whole().grams()).isCloseTo(600 / 0.97, within(1e-6));
    }
}
