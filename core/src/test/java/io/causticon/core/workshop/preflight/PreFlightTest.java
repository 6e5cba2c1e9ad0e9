package io.causticon.core.workshop.preflight;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class PreFlightTest {

    private static final Temperature ROOM = Temperature.celsius(20);

    private static List<String> titles(Recipes recipe) {
        return bites(recipe).stream().map(b -> words(b.title())).toList();
    }

    private static List<PlanRisk> bites(Recipes recipe) {
        BatchPlan plan = recipe.plan();
        return PreFlight.of(plan, LyePeak.of(plan, ROOM), Optional.empty(), WorkshopFacts.unknown(ROOM));
    }

    static String words(Phrase phrase) {
        return phrase.written(
                v -> v instanceof Mass m ? String.format(Locale.ROOT, "%.1f g", m.grams()) : v.toString());
    }

    private static Recipes plain() {
        return recipe().fat("olive-oil", 650).fat("coconut-oil-76", 250).purity(98);
    }

    @Test
    void saysNothingOfAnOrdinaryRecipe() {
        assertThat(titles(plain().target(LiquidTarget.concentration(.30)))).isEmpty();
    }

    @Test
    void warnsWhenTheSuperfatReachesBelowZero() {
        assertThat(bites(plain().superfat(1))).anySatisfy(b -> {
            assertThat(words(b.title())).isEqualTo("Superfat reaches below zero");
            assertThat(b.dangerous()).isTrue();
        });
    }

    @Test
    void warnsOfMilkInWarmLye() {
        assertThat(titles(plain().liquid("goat-milk-whole", 100))).contains("The liquid meets warm lye");
    }

    @Test
    void saysOrdinaryHeatCalmlyWithItsNumber() {
        assertThat(bites(plain().target(LiquidTarget.concentration(.38)))).anySatisfy(b -> {
            assertThat(words(b.title())).isEqualTo("The lye pot gets hot");
            assertThat(b.dangerous()).isFalse();
        });
    }

    @Test
    void tellsThatTheScaleCannotShowTheLyeAndOffersWhatLands() {
        Recipes small = recipe().fat("olive-oil", 66).liquid("distilled-water", 100);
        assertThat(bites(small)).anySatisfy(b -> {
            assertThat(words(b.title())).startsWith("The scale cannot show");
            BatchPlan landed = b.changes().get(0).applyTo(small.plan());
            assertThat(
                            PreFlight.of(
                                            landed,
                                            LyePeak.of(landed, ROOM),
                                            Optional.empty(),
                                            WorkshopFacts.unknown(ROOM))
                                    .stream()
                                    .map(x -> words(x.title())))
                    .noneMatch(x -> x.startsWith("The scale cannot show"));
        });
    }

    @Test
    void keepsItsAlarmForABoilOverThatIsLikely() {
        // Thirty grams of citric acid a kilogram and strong lye: 129 C without losses, and a pot that boils at 118.
        assertThat(bites(plain().target(LiquidTarget.concentration(.40)).additive("citric-acid", 27)))
                .anySatisfy(b -> {
                    assertThat(words(b.title())).isEqualTo("The lye pot may boil over");
                    assertThat(b.dangerous()).isTrue();
                });
    }

    @Test
    void warnsOfTooMuchOfAFragranceAsADanger() {
        assertThat(bites(plain().additive("eo-lavender", 90))).anySatisfy(b -> {
            assertThat(words(b.title())).contains("lavender, too much");
            // The cap is 45 g a kg; 900 g of fats take 40.5 g.
            assertThat(words(b.changes().get(0).label())).isEqualTo("Make it 40.5 g");
            assertThat(b.dangerous()).isTrue();
        });
    }

    @Test
    void warnsOfAMoverAndOfHardFatsMixedTooCool() {
        assertThat(titles(plain().additive("eo-clove", 6))).anyMatch(t -> t.contains("may seize"));
        assertThat(titles(plain().fat("stearic-acid", 90))).anyMatch(t -> t.contains("sets before it soaps"));
    }

    @Test
    void warnsWhenTheMouldRunsOver() {
        assertThat(titles(recipe().fat("olive-oil", 1900).fat("coconut-oil-76", 600)))
                .contains("It runs over");
    }

    @Nested
    class LyePots {

        @Test
        void ofClearWaterHaveNoLimit() {
            assertThat(LyePeak.of(plain().plan(), ROOM).limit()).isEmpty();
        }

        @Test
        void ofMilkScorchAtForty() {
            LyePeak milk = LyePeak.of(plain().liquid("goat-milk-whole", 100).plan(), ROOM);
            assertThat(milk.limit()).contains(Temperature.celsius(40));
            assertThat(milk.passesLimit()).isTrue();
        }

        @Test
        void stayBelowTheBalanceWithoutLosses() {
            // 33.3 % lye from 20 C: 110.3 C without any loss, 97-98 C in a plastic jug.
            LyePeak peak = LyePeak.of(
                    recipe().fat("olive-oil", 1000)
                            .target(LiquidTarget.ratio(2))
                            .plan(),
                    ROOM);
            assertThat(peak.without().celsius()).isCloseTo(110.3, within(0.2));
            assertThat(peak.expected().celsius()).isCloseTo(97.7, within(1.5));
        }
    }
}
