package io.causticon.core.model.log;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.ScaledPlan;
import io.causticon.core.science.facts.SwappedFats;
import io.causticon.core.science.facts.WeighOutAdvice;
import io.causticon.core.science.facts.WeighingOrder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** The weigh-out: what comes after what, and what is said of a weight that is off. */
class WeighingTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");

    private final BatchPlan plan = recipe().fat("olive-oil", 700)
            .fat("coconut-oil-76", 300)
            .additive("madder-root", 5)
            .plan();
    private final List<LoggedEntry> lines = new ArrayList<>();

    private WeighingTest weigh(Weighable what, double grams) {
        return log(new Entry.Weighed(what, Mass.grams(grams), Tare.TAKEN, null));
    }

    private WeighingTest log(Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), BEGUN.plusSeconds(30L * lines.size()), "ines", entry));
        return this;
    }

    private BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    private WeighingOrder order() {
        return WeighingOrder.of(plan, log());
    }

    private List<WeighOutAdvice> advice() {
        return WeighOutAdvice.of(
                plan, log(), new KnownVessels(Map.of("blue jug", Mass.grams(84), "thimble", Mass.grams(3)), Map.of()));
    }

    @Nested
    class Order {

        @Test
        void isFatsLiquidsAlkaliAdditives() {
            assertThat(order().targets().keySet())
                    .containsExactly(
                            Weighable.fat("olive-oil"),
                            Weighable.fat("coconut-oil-76"),
                            Weighable.liquid("distilled-water"),
                            Weighable.NAOH,
                            Weighable.additive("madder-root"));
        }

        @Test
        void hasBothAlkalisOfASoftSoap() {
            AlkaliChoice both = new AlkaliChoice(Share.percent(40), Share.percent(98), Share.percent(90));
            BatchPlan soft = recipe().fat("olive-oil", 700).alkali(both).plan();
            WeighingOrder order = WeighingOrder.of(soft, log());
            AlkaliBalance balance = AlkaliBalance.of(soft.formula());
            // As the scale can show them.
            assertThat(order.targets())
                    .containsEntry(
                            Weighable.NAOH, Mass.grams(Math.rint(balance.naoh().grams())))
                    .containsEntry(
                            Weighable.KOH, Mass.grams(Math.rint(balance.koh().grams())));
        }

        @Test
        void goesOnWithWhatWasNotWeighedAlsoWhenOneWasSkipped() {
            weigh(Weighable.fat("coconut-oil-76"), 300);
            assertThat(order().next()).contains(Weighable.fat("olive-oil"));
            weigh(Weighable.fat("olive-oil"), 700);
            assertThat(order().next()).contains(Weighable.liquid("distilled-water"));
        }

        @Test
        void doesNotAskForWhatIsInThePotAlready() {
            order().targets().forEach((what, mass) -> weigh(what, mass.grams()));
            assertThat(order().again()).isPresent();
            log(new Entry.PortionFed(1, 4));
            assertThat(order().again()).isEmpty();
        }

        @Test
        void asksForLiquidAndLyeTwiceBeforeWhatGoesInLater() {
            order().targets().entrySet().stream()
                    .filter(t -> t.getKey().kind() != Weighable.Kind.ADDITIVE)
                    .forEach(t -> weigh(t.getKey(), t.getValue().grams()));
            assertThat(order().next()).contains(Weighable.additive("madder-root"));
            assertThat(order().isForTheSecondTime()).isTrue();
            assertThat(order().onTheScale()).contains(Weighable.liquid("distilled-water"));
            log(new Entry.WeighedAgain(
                    Weighable.liquid("distilled-water"), order().targets().get(Weighable.liquid("distilled-water"))));
            assertThat(order().onTheScale()).contains(Weighable.NAOH);
            log(new Entry.WeighedAgain(Weighable.NAOH, order().targets().get(Weighable.NAOH)));
            assertThat(order().isForTheSecondTime()).isFalse();
            assertThat(order().onTheScale()).contains(Weighable.additive("madder-root"));
            weigh(Weighable.additive("madder-root"), 5);
            assertThat(order().onTheScale()).isEmpty();
        }
    }

    @Nested
    class Advice {

        @Test
        void isSilentWithinHalfAPerCent() {
            assertThat(weigh(Weighable.fat("olive-oil"), 703).advice()).isEmpty();
        }

        @Test
        void scalesTheRestWhenThereIsTooMuchOfOne() {
            WeighOutAdvice over =
                    weigh(Weighable.fat("olive-oil"), 735).advice().get(0);
            assertThat(over.factor()).hasValueSatisfying(f -> assertThat(f).isCloseTo(1.05, within(1e-9)));
        }

        @Test
        void scaledAtTheScaleThePlanIsWhatWasWeighed() {
            weigh(Weighable.fat("olive-oil"), 735).log(new Entry.RestScaled(1.05));
            BatchPlan grown = ScaledPlan.of(plan, log());
            assertThat(WeighOutAdvice.of(grown, log(), KnownVessels.NONE)).isEmpty();
            WeighingOrder after = WeighingOrder.of(grown, log());
            order().targets()
                    .forEach((what, target) -> assertThat(
                                    after.targets().get(what).grams())
                            .isCloseTo(1.05 * target.grams(), within(1.1)));
            // A second slip grows it once more.
            log(new Entry.RestScaled(1.1));
            assertThat(ScaledPlan.of(plan, log()).formula().fatMass().grams())
                    .isCloseTo(1000 * 1.05 * 1.1, within(1e-9));
        }

        @Test
        void isNotScaledOnceTheLyeIsInNorByALineThatWasTakenBack() {
            log(new Entry.LyeIntoFats()).log(new Entry.RestScaled(1.05));
            assertThat(ScaledPlan.of(plan, log())).isSameAs(plan);
            lines.clear();
            log(new Entry.RestScaled(1.05));
            LoggedEntry.Revision first = lines.get(0).current();
            lines.set(
                    0,
                    new LoggedEntry(
                            "l0",
                            new LoggedEntry.Revision(2, BEGUN, BEGUN, "ines", first.entry(), true),
                            List.of(first)));
            assertThat(ScaledPlan.of(plan, log())).isSameAs(plan);
        }

        @Test
        void doesNotScaleUpForALargeSlipNorForTooLittle() {
            assertThat(weigh(Weighable.fat("olive-oil"), 1400).advice().get(0).factor())
                    .isEmpty();
            lines.clear();
            assertThat(weigh(Weighable.fat("olive-oil"), 650).advice().get(0).factor())
                    .isEmpty();
        }

        @Test
        void tellsTheSuperfatThatWouldBeLeft() {
            // A tenth more alkali than 95 % of what the fats need is 104.5 % of it.
            double lye = Weights.planned(plan.formula()).naoh().grams();
            WeighOutAdvice over = weigh(Weighable.NAOH, 1.1 * lye).advice().get(0);
            assertThat(over.accepted().value()).isCloseTo(-0.045, within(1e-6));
            assertThat(over.accepted().probabilityBelow(0)).isGreaterThan(0.97);
        }

        @Test
        void tellsTheLyeConcentrationThatTooMuchWaterWouldLeave() {
            double lye = Weights.planned(plan.formula()).naoh().grams();
            double water = lye * (1 - 0.33) / 0.33;
            WeighOutAdvice over = weigh(Weighable.liquid("distilled-water"), water + 50)
                    .advice()
                    .get(0);
            assertThat(over.concentration().fraction()).isCloseTo(lye / (lye + water + 50), within(1e-9));
            assertThat(over.accepted().value()).isCloseTo(0.05, within(1e-9));
        }

        @Test
        void speaksOfPotassiumHydroxideToo() {
            BatchPlan soft = recipe().fat("olive-oil", 700)
                    .alkali(new AlkaliChoice(Share.fraction(0), Share.WHOLE, Share.percent(90)))
                    .target(LiquidTarget.concentration(0.3))
                    .plan();
            double koh = AlkaliBalance.of(soft.formula()).koh().grams();
            weigh(Weighable.KOH, koh + 20);
            assertThat(WeighOutAdvice.of(soft, log(), KnownVessels.NONE))
                    .singleElement()
                    .satisfies(a -> assertThat(a.what()).isEqualTo(Weighable.KOH));
        }

        @Test
        void suspectsOuncesEitherWay() {
            // 700 g are 24.69 oz.
            assertThat(weigh(Weighable.fat("olive-oil"), 24.69).advice().get(0).ounces())
                    .isTrue();
            lines.clear();
            assertThat(weigh(Weighable.fat("olive-oil"), 700 * 28.35)
                            .advice()
                            .get(0)
                            .ounces())
                    .isTrue();
            lines.clear();
            assertThat(weigh(Weighable.fat("olive-oil"), 350).advice().get(0).ounces())
                    .isFalse();
        }

        @Test
        void suspectsAVesselThatWasWeighedWithIt() {
            WeighOutAdvice over =
                    weigh(Weighable.fat("olive-oil"), 786).advice().get(0);
            assertThat(over.vessel()).isEqualTo("blue jug");
            assertThat(over.vesselMissing()).contains(Mass.grams(84));
            lines.clear();
            // Three grams are nobody's tare: that is the hand.
            assertThat(weigh(Weighable.fat("coconut-oil-76"), 303)
                            .advice()
                            .get(0)
                            .vessel())
                    .isEmpty();
        }
    }

    @Nested
    class Swap {

        private boolean swapped() {
            return SwappedFats.in(
                            Weights.planned(plan.formula()),
                            AsWeighed.of(plan, log()).weights())
                    .isPresent();
        }

        @Test
        void isSeenOnlyWhenBothWereLoggedWithTheOthersMass() {
            assertThat(weigh(Weighable.fat("olive-oil"), 300).swapped()).isFalse();
            assertThat(weigh(Weighable.fat("coconut-oil-76"), 702).swapped()).isTrue();
        }

        private WeighingTest.Swap weigh(Weighable what, double grams) {
            WeighingTest.this.weigh(what, grams);
            return this;
        }

        @Test
        void isNoQuestionWhenBothAreOfOneMass() {
            BatchPlan even =
                    recipe().fat("olive-oil", 500).fat("coconut-oil-76", 495).plan();
            weigh(Weighable.fat("olive-oil"), 495).weigh(Weighable.fat("coconut-oil-76"), 500);
            assertThat(SwappedFats.in(
                            Weights.planned(even.formula()),
                            AsWeighed.of(even, log()).weights()))
                    .isEmpty();
        }
    }
}
