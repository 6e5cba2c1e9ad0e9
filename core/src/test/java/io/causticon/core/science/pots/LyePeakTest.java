package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is stirred into the liquid before the lye counts: its heat, the alkali it takes, its sugar. */
class LyePeakTest {

    private static final Catalogue TABLES = Catalogue.standard();
    private static final Temperature ROOM = Temperature.celsius(20);
    private static final Instant NOW = Instant.parse("2026-11-20T12:00:00Z");

    private static BatchPlan with(BatchPlan plan, String additive, double grams, AdditionStage joins) {
        return plan.with(plan.formula()
                .withAdditives(
                        List.of(new AdditivePortion(TABLES.additive(additive), Mass.grams(grams)).joining(joins))));
    }

    private static BatchPlan plain() {
        return Recipes.recipe()
                .fat("olive-oil", 500)
                .fat("lard", 250)
                .fat("coconut-oil-76", 250)
                .liquid("distilled-water", 100)
                .purity(98)
                .plan();
    }

    private static BatchPlan milk(double frozen) {
        BatchPlan plan = plain();
        return plan.with(plan.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(
                                new LiquidPart(
                                        TABLES.liquid("goat-milk-whole"), Share.fraction(frozen), LiquidState.FROZEN),
                                new LiquidPart(
                                        TABLES.liquid("goat-milk-whole"),
                                        Share.fraction(1 - frozen),
                                        LiquidState.LIQUID))));
    }

    @Test
    void acidMakesItHotter() {
        // 20 g of anhydrous citric acid a kilogram of fats: 0.312 mol x 56 kJ = 17.5 kJ into some 430 g of 33 % liquor
        // with 3.35 J/gK: 12 K, less
        // what the larger liquor takes.
        BatchPlan plan = plain();
        double grams = 0.020 * plan.formula().fatMass().grams();
        double bare = LyePeak.of(plan, ROOM).without().celsius();
        double acid = LyePeak.of(with(plan, "citric-acid", grams, AdditionStage.LYE), ROOM)
                .without()
                .celsius();
        assertThat(bare).isCloseTo(109.9, within(0.5));
        assertThat(acid).isCloseTo(120.9, within(0.7));
    }

    @Test
    void acidInTheFatsDoesNot() {
        BatchPlan plan = plain();
        double fats = LyePeak.of(with(plan, "citric-acid", 20, AdditionStage.FATS), ROOM)
                .without()
                .celsius();
        assertThat(fats).isCloseTo(LyePeak.of(plan, ROOM).without().celsius(), within(0.5));
    }

    @Test
    void acidWithFrozenMilkIsJudgedWithTheAcid() {
        double grams = 0.020 * plain().formula().fatMass().grams();
        double bare = LyePeak.of(milk(0.8), ROOM).without().celsius();
        double acid = LyePeak.of(with(milk(0.8), "citric-acid", grams, AdditionStage.LYE), ROOM)
                .without()
                .celsius();
        // 17.5 kJ into some 290 g of water, 133 g of lye and the milk's solids: 10 to 11 K.
        assertThat(acid - bare).isCloseTo(48.9 - 38.5, within(0.7));
        assertThat(acid).isGreaterThan(40);
    }

    @Test
    void moreMustBeFrozenWithIt() {
        double grams = 0.020 * plain().formula().fatMass().grams();
        BatchLog empty = new BatchLog(NOW, List.of());
        double bare = PotOutlook.of(milk(0.8), empty, ROOM, NOW)
                .frozen()
                .orElseThrow()
                .fraction();
        double acid = PotOutlook.of(with(milk(0.8), "citric-acid", grams, AdditionStage.LYE), empty, ROOM, NOW)
                .frozen()
                .orElseThrow()
                .fraction();
        assertThat(bare).isCloseTo(0.76, within(0.03));
        assertThat(acid).isCloseTo(0.88, within(0.03));
    }

    @Test
    void sugarAndHoneyScorchLikeSugaryLiquids() {
        BatchPlan plan = plain();
        assertThat(LyePeak.of(plan, ROOM).limit()).isEmpty();
        assertThat(LyePeak.of(with(plan, "sugar", 20, AdditionStage.LYE), ROOM).limit())
                .contains(Temperature.celsius(60));
        assertThat(LyePeak.of(with(plan, "honey", 20, AdditionStage.LYE), ROOM).limit())
                .contains(Temperature.celsius(60));
        assertThat(LyePeak.of(with(plan, "honey", 20, AdditionStage.TRACE), ROOM)
                        .limit())
                .isEmpty();
    }

    @Test
    void sugarInHalfOfTheLiquidScorchesInThatHalf() {
        BatchPlan plan = plain();
        BatchPlan split = plan.with(plan.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(
                                new LiquidPart(
                                        TABLES.liquid("distilled-water"),
                                        Share.percent(50),
                                        LiquidState.LIQUID,
                                        AdditionStage.LYE),
                                new LiquidPart(
                                        TABLES.liquid("distilled-water"),
                                        Share.percent(50),
                                        LiquidState.LIQUID,
                                        AdditionStage.EMULSION))));
        // 2.5 g in 130 g of the half that is there are 1.9 %; of the whole 260 g they would be under 1 %.
        assertThat(LyePeak.of(with(split, "sugar", 2.5, AdditionStage.LYE), ROOM)
                        .limit())
                .contains(Temperature.celsius(60));
    }

    private static double peak(LiquidState state) {
        BatchPlan plan = plain();
        return LyePeak.of(
                        plan.with(plan.formula()
                                .withLiquid(
                                        LiquidTarget.concentration(0.33),
                                        List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, state)))),
                        ROOM)
                .without()
                .celsius();
    }

    /**
     * Water of 15 K less: 267 g x 15 K x 4.18 J/(gK) are 16.7 kJ of some 400 g of liquor with 3.35 J/(gK): 12.5 K.
     * Slush: 267 g from 20 to 0 C are 22.3 kJ, and a third of it melts with 333.6 J/g, 29.7 kJ: 39 K together.
     */
    @Test
    void theColderTheLiquidGoesInTheCoolerItStays() {
        double room = peak(LiquidState.LIQUID);
        assertThat(room - peak(LiquidState.CHILLED)).isCloseTo(12.5, within(1.0));
        assertThat(room - peak(LiquidState.SLUSH)).isCloseTo(39, within(2.5));
        assertThat(peak(LiquidState.FROZEN)).isLessThan(peak(LiquidState.SLUSH));
    }

    @Test
    void aFridgeWarmsNothingInAColdRoom() {
        LiquidPart chilled = new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.CHILLED);
        BatchPlan plan = plain();
        BatchPlan cold = plan.with(plan.formula().withLiquid(LiquidTarget.concentration(0.33), List.of(chilled)));
        BatchPlan asRoom = plan.with(plan.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID))));
        Temperature winter = Temperature.celsius(2);
        assertThat(LyePeak.of(cold, winter).without())
                .isEqualTo(LyePeak.of(asRoom, winter).without());
    }

    /** 13.4 g of powder in 86.6 g of water are as dry as the milk: what half of the liquid is, is as hot either way. */
    @Test
    void milkFromPowderIsMilk() {
        BatchPlan plan = plain();
        double share = TABLES.liquid("powdered-goat-milk")
                .shareIn(TABLES.liquid("goat-milk-whole"))
                .fraction();
        assertThat(share).isCloseTo(0.134, within(0.001));
        BatchPlan powder = plan.with(plan.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(
                                new LiquidPart(
                                        TABLES.liquid("powdered-goat-milk"), Share.fraction(share), LiquidState.LIQUID),
                                new LiquidPart(
                                        TABLES.liquid("distilled-water"),
                                        Share.fraction(1 - share),
                                        LiquidState.FROZEN))));
        BatchPlan milk = plan.with(plan.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(new LiquidPart(TABLES.liquid("goat-milk-whole"), Share.WHOLE, LiquidState.FROZEN))));
        assertThat(LyePeak.of(powder, ROOM).without().celsius())
                .isCloseTo(LyePeak.of(milk, ROOM).without().celsius(), within(4.0));
        assertThat(LyePeak.of(powder, ROOM).limit())
                .isEqualTo(LyePeak.of(milk, ROOM).limit());
    }

    @Test
    void limitsAreJudgedWithoutLosses() {
        // Nine tenths frozen: in ice water it likely stays below forty, and yet it may not be promised.
        LyePeak peak = LyePeak.of(milk(0.70), ROOM);
        assertThat(peak.without().celsius()).isGreaterThan(40);
        assertThat(peak.expected().celsius()).isLessThan(peak.without().celsius());
        assertThat(peak.passesLimit()).isTrue();
        assertThat(peak.likely().contains(peak.expected().celsius())).isTrue();
    }

    @Test
    void aFreezerThatBarelyFreezesWantsMoreIce() {
        BatchLog empty = new BatchLog(NOW, List.of());
        double cold = PotOutlook.of(milk(0.8), empty, ROOM, NOW)
                .frozen()
                .orElseThrow()
                .fraction();
        double mild = PotOutlook.of(milk(0.8).with(PlanFields.FREEZER, Temperature.celsius(-6)), empty, ROOM, NOW)
                .frozen()
                .orElseThrow()
                .fraction();
        // 2:1 and a limit of 38: .796 at -18, .841 at -6.
        assertThat(mild - cold).isBetween(0.03, 0.06);
    }
}
