package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/**
 * Strong lye in water, frozen milk into that, an acid in the water, honey and clay in the fats: each is asked for in
 * its step.
 */
@Application
class SplitMilkTest {

    private static final Catalogue TABLES = Catalogue.standard();

    private static AdditivePortion portion(String id, double grams, AdditionStage joins) {
        return new AdditivePortion(TABLES.additive(id), Mass.grams(grams)).joining(joins);
    }

    private static BatchId weighedAndReady(RunningApplication application) {
        BatchPlan swirl = Swirl.plan("Goat by halves");
        BatchPlan plan = swirl.with(swirl.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(
                                new LiquidPart(
                                        TABLES.liquid("distilled-water"),
                                        Share.percent(55),
                                        LiquidState.LIQUID,
                                        AdditionStage.LYE),
                                new LiquidPart(
                                        TABLES.liquid("goat-milk-whole"),
                                        Share.percent(45),
                                        LiquidState.FROZEN,
                                        AdditionStage.COOLED_LYE)))
                .withAdditives(List.of(
                        portion("citric-acid", 10, AdditionStage.LYE),
                        portion("honey", 15, AdditionStage.FATS),
                        portion("kaolin", 20, AdditionStage.FATS))));
        BatchService batches = application.bean(BatchService.class);
        Instant begun = Instant.now().minus(Duration.ofMinutes(20));
        BatchId id = batches.begin(
                plan, null, 1, begun, "Ines", ZoneOffset.UTC, UUID.randomUUID().toString());
        Weights planned = Weights.planned(plan.formula());
        List<Entry> lines = new ArrayList<>();
        planned.fats()
                .forEach(f -> lines.add(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l ->
                        lines.add(new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        lines.add(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        lines.add(new Entry.ReadyForLye(List.of()));
        batches.log(id, lines, begun.plusSeconds(60), "Ines", UUID.randomUUID().toString());
        return id;
    }

    private static long count(RunningApplication application, BatchId id, Class<? extends Entry> type) {
        return application.bean(BatchService.class).get(id).log().of(type).count();
    }

    @Test
    void isAskedForEverythingInItsStep(RunningApplication application, Browser browser) {
        BatchId id = weighedAndReady(application);
        browser.signIn("ines")
                .open("/bench/" + id)
                .waitForText("Citric acid, anhydrous, into the liquid, before the lye");
        // The lye before the acid: asked.
        browser.press("Portion 1 of 4 in")
                .waitForText("Not logged yet: Citric acid")
                .waitForText("Go on without");
        assertThat(count(application, id, Entry.PortionFed.class)).isZero();
        // "Clear" with nothing fed: asked as well.
        browser.press("Clear, strained").waitForText("Not logged yet: Citric acid");
        browser.press("In").waitUntilTrue(() -> count(application, id, Entry.Added.class) == 1);
        browser.open("/bench/" + id).press("Clear, strained").waitForText("No portion of lye is logged");
        assertThat(count(application, id, Entry.LyeClear.class)).isZero();
        for (int i = 1; i <= 4; i++) {
            int fed = i;
            browser.press("Portion " + i + " of 4 in")
                    .waitUntilTrue(() -> count(application, id, Entry.PortionFed.class) == fed);
        }
        browser.open("/bench/" + id).press("Clear, strained").waitForText("The goat milk into the lye, frozen solid");
        assertThat(browser.text("main"))
                .contains("Thawed in the fridge it would reach", "scorches from", "40.0 \u00b0C");
        // Lye that is too warm for it is told, and so is a pot that passes its limit.
        browser.open("/bench/" + id).quick("lye 55").waitForText("Let the lye cool to");
        browser.open("/bench/" + id).quick("lye 28").waitForText("frozen solid, a portion at a time");
        browser.press("Portion 1 of 6 of the goat milk in")
                .waitUntilTrue(() -> count(application, id, Entry.PortionFed.class) == 5);
        browser.open("/bench/" + id).quick("lye 44").waitForText("where it scorches. No more of it now");
        browser.open("/bench/" + id).quick("lye 30");
        for (int i = 2; i <= 6; i++) {
            int fed = 4 + i;
            browser.press("Portion " + i + " of 6 of the goat milk in")
                    .waitUntilTrue(() -> count(application, id, Entry.PortionFed.class) == fed);
        }
        // Lye and fats: what goes into the fats is asked for there, and before they are poured together.
        browser.open("/bench/" + id)
                .waitForText("Honey, into the fats, before the lye")
                .waitForText("Kaolin (white clay), into the fats, before the lye");
        browser.quick("oil 31").press("Lye into the fats").waitForText("Not logged yet: Honey");
        assertThat(count(application, id, Entry.LyeIntoFats.class)).isZero();
        browser.press("In").waitUntilTrue(() -> count(application, id, Entry.Added.class) == 2);
        browser.open("/bench/" + id).press("Lye into the fats").waitForText("Not logged yet: Kaolin");
        browser.press("Go on without").waitUntilTrue(() -> count(application, id, Entry.LyeIntoFats.class) == 1);
        // What was left out is still asked for, and what is in is not.
        browser.open("/bench/" + id).waitFor(".ladder");
        assertThat(browser.text(".batter-steps"))
                .contains("Kaolin")
                .doesNotContain("Honey")
                .doesNotContain("Citric");
    }

    @Test
    void countsItsPortionsApartFromThoseOfTheLye(RunningApplication application) {
        BatchId id = weighedAndReady(application);
        BatchService batches = application.bean(BatchService.class);
        Instant at = Instant.now().minus(Duration.ofMinutes(10));
        batches.log(
                id,
                List.of(
                        new Entry.PortionFed(4, 4),
                        new Entry.LyeClear(),
                        new Entry.PortionFed(2, 6),
                        new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(31))),
                at,
                "Ines",
                UUID.randomUUID().toString());
        var batch = batches.get(id);
        var pot = io.causticon.core.science.pots.PotOutlook.of(
                batch.plan(), batch.log(), Temperature.celsius(20), Instant.now());
        assertThat(pot.fed()).isEqualTo(4);
        var feed = io.causticon.core.science.pots.SecondFeed.of(
                batch.plan(), batch.log(), Temperature.celsius(20), java.util.Optional.of(Temperature.celsius(31)));
        assertThat(feed.orElseThrow().fed()).isEqualTo(2);
        assertThat(feed.orElseThrow().passesLimit()).isFalse();
    }
}
