package io.causticon.core.model.plan;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.FormulaCheck;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Lye and liquid given as masses, and what follows from them. */
class FixedAmountsTest {

    private static Formula fixed(Formula formula, Double lye, Double liquid) {
        return formula.fixing(
                new FixedAmounts(lye == null ? null : Mass.grams(lye), liquid == null ? null : Mass.grams(liquid)));
    }

    /**
     * Plain, with an acid, with fat and sugar in the liquid, with both alkalis, and by each way of telling the liquid.
     */
    static Stream<Formula> recipes() {
        AlkaliChoice both = new AlkaliChoice(Share.percent(60), Share.percent(98), Share.percent(90));
        return Stream.of(
                recipe().fat("olive-oil", 500).purity(98).formula(),
                recipe().fat("lard", 600)
                        .fat("castor-oil", 50)
                        .liquid("vinegar-5", 40)
                        .liquid("distilled-water", 60)
                        .superfat(7)
                        .formula(),
                recipe().fat("olive-oil", 700)
                        .liquid("heavy-cream-36", 30)
                        .liquid("distilled-water", 70)
                        .additive("citric-acid", 12)
                        .formula(),
                recipe().fat("olive-oil", 700)
                        .fat("coconut-oil-76", 300)
                        .alkali(both)
                        .superfat(3)
                        .target(LiquidTarget.ratio(2.2))
                        .formula(),
                recipe().fat("tallow-beef", 450)
                        .liquid("goat-milk-whole", 100)
                        .superfat(-2)
                        .target(LiquidTarget.ofFats(.31))
                        .formula());
    }

    @ParameterizedTest
    @MethodSource("recipes")
    void theMassesOfARecipeGiveTheRecipeBack(Formula of) {
        AlkaliBalance balance = AlkaliBalance.of(of);
        double lye = balance.lye().grams();
        double liquid = balance.liquidMass().grams();
        for (Formula back : List.of(
                fixed(of.withSuperfat(Share.percent(12)), lye, null),
                fixed(of, null, liquid),
                fixed(of.withSuperfat(Share.percent(12)), lye, liquid))) {
            assertThat(back.superfat().fraction()).isCloseTo(of.superfat().fraction(), within(1e-9));
            assertThat(back.liquidTarget().value()).isCloseTo(of.liquidTarget().value(), within(1e-9));
            assertThat(AlkaliBalance.of(back).lye().grams()).isCloseTo(lye, within(1e-7));
            assertThat(AlkaliBalance.of(back).liquidMass().grams()).isCloseTo(liquid, within(1e-7));
        }
    }

    /**
     * 500 g of olive oil want 67.72 g of pure NaOH (128.674 g at 5 % a kilogram); 62 g at 98 % are 60.76 g: 1 - 60.76 /
     * 67.72 = 10.28 %.
     */
    @Test
    void aNoteThatSays62OfLyeAnd130OfWater() {
        Formula note = fixed(recipe().fat("olive-oil", 500).purity(98).formula(), 62.0, 130.0);
        assertThat(note.superfat().inPercent()).isCloseTo(10.28, within(.02));
        assertThat(AlkaliBalance.of(note).concentration().inPercent()).isCloseTo(100 * 62 / 192.0, within(1e-6));
        assertThat(FormulaCheck.of(note).isEmpty()).isTrue();
        // Said as a ratio it is the same note.
        assertThat(fixed(note.withLiquid(LiquidTarget.ratio(1), note.liquidParts()), 62.0, 130.0)
                        .liquidTarget()
                        .value())
                .isCloseTo(130 / 62.0, within(1e-9));
    }

    @Test
    void aSlippedDigitIsToldWithWhatWouldDo() {
        Recipes olive = recipe().fat("olive-oil", 500).purity(98);
        assertThat(FormulaCheck.of(fixed(olive.formula(), 86.0, 130.0)).all())
                .singleElement()
                .satisfies(p -> {
                    assertThat(p.key()).isEqualTo(ProblemKey.LYE_TOO_MUCH);
                    assertThat(p.field()).isEqualTo("lyeMass");
                    assertThat(((Mass) p.values().get(2)).grams()).isCloseTo(65.65, within(.05));
                });
        assertThat(FormulaCheck.of(fixed(olive.formula(), 6.2, 130.0)).all())
                .extracting(Problem::key)
                .containsExactly(ProblemKey.LYE_TOO_LITTLE);
        // A little too much is let through here, and warned of by the superfat.
        assertThat(FormulaCheck.of(fixed(olive.formula(), 70.0, 130.0)).isEmpty())
                .isTrue();
        assertThat(fixed(olive.formula(), 70.0, 130.0).superfat().fraction()).isNegative();
    }

    @Test
    void anotherSizeTakesTheMassesWithItAndOtherFatsKeepTheSuperfat() {
        Formula note = fixed(recipe().fat("olive-oil", 500).purity(98).formula(), 62.0, 130.0);
        Formula twice = note.scaledTo(Mass.grams(1000));
        assertThat(twice.fixed()).isEqualTo(new FixedAmounts(Mass.grams(124), Mass.grams(260)));
        assertThat(AlkaliBalance.of(twice).lye().grams()).isCloseTo(124, within(1e-7));
        Formula coconut =
                note.withFats(recipe().fat("coconut-oil-76", 500).formula().fats());
        assertThat(coconut.fixed().lye()).isNull();
        assertThat(coconut.superfat()).isEqualTo(note.superfat());
        assertThat(AlkaliBalance.of(coconut).liquidMass().grams()).isCloseTo(130, within(1e-7));
        assertThat(note.withSuperfat(Share.percent(5)).fixed().lye()).isNull();
        // An acid that comes by a tap does not eat into the superfat unseen.
        Formula sour = note.withAdditives(
                recipe().additive("citric-acid", 10).formula().additives());
        assertThat(sour.superfat()).isEqualTo(note.superfat());
    }
}
