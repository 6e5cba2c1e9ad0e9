package io.causticon.core.science.forecast;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.science.pots.HeatTransfer;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.science.pots.PotOutlook;
import io.causticon.core.science.pots.SecondFeed;
import io.causticon.core.workshop.preflight.PreFlight;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Plan, bench and case are asked the same question and say the same. */
class OneAnswerTest {

    private static final Catalogue TABLES = Catalogue.standard();
    private static final Temperature ROOM = Temperature.celsius(20);
    private static final Instant BEGUN = Instant.parse("2026-11-20T12:00:00Z");

    private static BatchPlan plan(LiquidPart... parts) {
        BatchPlan plan = Recipes.recipe()
                .fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .liquid("distilled-water", 100)
                .purity(98)
                .plan();
        return plan.with(plan.formula().withLiquid(LiquidTarget.concentration(0.33), List.of(parts)));
    }

    private static LiquidPart part(String id, double percent, boolean frozen, AdditionStage joins) {
        return new LiquidPart(
                TABLES.liquid(id), Share.percent(percent), frozen ? LiquidState.FROZEN : LiquidState.LIQUID, joins);
    }

    private static BatchLog log(Entry... entries) {
        List<LoggedEntry> lines = new ArrayList<>();
        for (Entry entry : entries) {
            lines.add(LoggedEntry.first(
                    "line" + lines.size(), BEGUN.plusSeconds(60L * (lines.size() + 1)), "Ines", entry));
        }
        return new BatchLog(BEGUN, lines);
    }

    private static Entry lye(double celsius) {
        return new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(celsius));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "goat-milk-whole",
                "beer-flat",
                "aloe-juice",
                "coconut-water",
                "distilled-water",
                "whey-sweet",
                "apple-juice"
            })
    void whereALiquorScorches(String liquid) {
        if (TABLES.liquids().stream().noneMatch(l -> l.id().equals(liquid))) {
            return;
        }
        BatchPlan plan = plan(part(liquid, 100, false, AdditionStage.LYE));
        BatchLog read = log(new Entry.PortionFed(1, 4), lye(55));
        Optional<Temperature> planned = LyePeak.of(plan, ROOM).limit();
        assertThat(PotOutlook.of(plan, read, ROOM, BEGUN.plusSeconds(200)).limit())
                .isEqualTo(planned);
        Optional<BatchFacts.Scorching> diagnosed =
                BatchFacts.of(plan, read, BEGUN.plusSeconds(200)).scorching();
        assertThat(diagnosed.map(BatchFacts.Scorching::limit)).isEqualTo(planned);
        // Fine at the bench is fine in the case.
        assertThat(diagnosed.map(BatchFacts.Scorching::passed).orElse(false))
                .isEqualTo(planned.filter(l -> l.celsius() < 55).isPresent());
    }

    @Test
    void sugarInTheLiquorScorchesInTheCaseToo() {
        BatchPlan water = plan(part("distilled-water", 100, false, AdditionStage.LYE));
        BatchPlan sugared = water.with(water.formula()
                .withAdditives(List.of(
                        new AdditivePortion(TABLES.additive("sugar"), Mass.grams(20)).joining(AdditionStage.LYE))));
        BatchFacts facts = BatchFacts.of(sugared, log(new Entry.PortionFed(1, 4), lye(88)), BEGUN.plusSeconds(200));
        assertThat(facts.scorching())
                .contains(new BatchFacts.Scorching(Temperature.celsius(60), Temperature.celsius(88)));
        assertThat(LyePeak.of(sugared, ROOM).limit()).contains(Temperature.celsius(60));
    }

    @Test
    void milkThatJoinedCooledLyeDidNotMeetTheHeatBefore() {
        BatchPlan split = plan(
                part("distilled-water", 55, false, AdditionStage.LYE),
                part("goat-milk-whole", 45, true, AdditionStage.COOLED_LYE));
        BatchLog calm = log(
                new Entry.PortionFed(1, 1),
                lye(92),
                new Entry.LyeClear(),
                lye(28),
                new Entry.PortionFed(1, 6),
                lye(34));
        BatchFacts facts = BatchFacts.of(split, calm, BEGUN.plusSeconds(2000));
        assertThat(facts.scorching())
                .contains(new BatchFacts.Scorching(Temperature.celsius(40), Temperature.celsius(34)));
        BatchLog hot = log(
                new Entry.PortionFed(1, 1),
                lye(92),
                new Entry.LyeClear(),
                lye(28),
                new Entry.PortionFed(1, 6),
                lye(46));
        assertThat(BatchFacts.of(split, hot, BEGUN.plusSeconds(2000))
                        .scorching()
                        .orElseThrow()
                        .passed())
                .isTrue();
        assertThat(SecondFeed.planned(split, ROOM).orElseThrow().limit()).contains(Temperature.celsius(40));
    }

    @Test
    void milkAtEmulsionMeetsNoLyePot() {
        BatchPlan late = plan(
                part("distilled-water", 60, false, AdditionStage.LYE),
                part("goat-milk-whole", 40, false, AdditionStage.EMULSION));
        BatchFacts facts = BatchFacts.of(late, log(new Entry.PortionFed(1, 1), lye(92)), BEGUN.plusSeconds(2000));
        assertThat(facts.scorching()).isEmpty();
        assertThat(facts.canScorch()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"distilled-water, false", "goat-milk-whole, true", "goat-milk-whole, false"})
    void howHotTheLyeGets(String liquid, boolean frozen) {
        BatchPlan plan = plan(part(liquid, 100, frozen, AdditionStage.LYE))
                .with(PlanFields.LYE_VESSEL, new Vessel("jug", VesselMaterial.GLASS, Mass.grams(300)));
        LyePeak planned = LyePeak.of(plan, ROOM);
        PotOutlook pot = PotOutlook.of(plan, log(), ROOM, BEGUN.plusSeconds(60));
        assertThat(pot.adiabaticPeak()).isEqualTo(planned.without());
        // The same runs.
        assertThat(pot.forecast().peakBand().high()).isEqualTo(planned.likely().high());
        assertThat(pot.forecast().peakBand().low()).isEqualTo(planned.likely().low());
        assertThat(pot.boilingCelsius()).isEqualTo(planned.boils().celsius());
    }

    @ParameterizedTest
    @CsvSource({
        // Up to half from the lower end of its range; of three quarters from half-way up.
        "cocoa-butter, 100, false",
        "cocoa-butter, 300, false",
        "lard, 500, false",
        "lard, 750, false",
        "beeswax, 20, true",
        "olive-oil, 500, false"
    })
    void whenAFatSets(String id, double grams, boolean wax) {
        BatchPlan plan = Recipes.recipe()
                .fat("sunflower-oil-high-oleic", 1000 - grams)
                .fat(id, grams)
                .liquid("distilled-water", 100)
                .purity(98)
                .plan();
        List<SettingFat> setting = SettingFat.of(plan.formula());
        var range = TABLES.fat(id).meltingRange();
        if (range == null || range.low() < -5) {
            assertThat(setting.stream().filter(s -> s.clearFrom().celsius() > 10))
                    .isEmpty();
            return;
        }
        SettingFat fat = setting.get(0);
        assertThat(fat.clearFrom().celsius())
                .isCloseTo(
                        range.low() + (wax ? 0 : Math.max(0, 2 * grams / 1000 - 1)) * (range.high() - range.low()),
                        within(1e-9));
        for (double off : new double[] {-1, 1}) {
            Temperature at = Temperature.celsius(fat.clearFrom().celsius() + off);
            boolean sets = off < 0;
            assertThat(SettingFat.at(plan.formula(), at).isPresent()).isEqualTo(sets);
            // The plan bites at that temperature, and not above it.
            BatchPlan mixed = plan.with(PlanFields.MIX_AT, at);
            assertThat(PreFlight.of(mixed, LyePeak.of(mixed, ROOM), Optional.empty(), WorkshopFacts.unknown(ROOM)))
                    .filteredOn(b -> b.title().toString().contains("sets before it soaps"))
                    .hasSize(sets ? 1 : 0);
            assertThat(HeatTransfer.of(plan.formula(), at, ROOM).clearFrom()).isEqualTo(fat.clearFrom());
        }
    }
}
