package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafExpectation;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.LoafForecasts;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A loaf from what the plan says of its gel to bars with their embeds whole. */
@Application
class SetAndCutTest {

    @Test
    void isAdvisedWatchedAndCut(RunningApplication application, Browser browser) {
        browser.signIn("odd").open("/plan/new").type("name", "Tide Line");
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "900");
        browser.choose("fatId", 1, "coconut-oil-76").typeInto("fatAmount", 1, "300");
        browser.choose("mould", 0, "oak loaf").waitForText("Gel may stop half-way");
        browser.press("What makes it gel").waitFor(".gel-roads .chip");
        String road = browser.texts(".gel-roads .chip").get(0);
        browser.press(road).waitUntilTrue(() -> browser.all(".gel-roads").isEmpty());
        assertThat(road).isNotEmpty();
        browser.waitUntilTrue(() -> !browser.text().contains("Gel may stop half-way"));
        browser.press("When, what for")
                .type(
                        "begun",
                        Instant.now()
                                .minus(30, ChronoUnit.HOURS)
                                .truncatedTo(ChronoUnit.MINUTES)
                                .toString()
                                .replace('T', ' ')
                                .replace(":00Z", ""));
        browser.press("Make this batch").waitFor(".weigh-list");
        String bench = browser.path();

        BatchId id = new BatchId(UUID.fromString(bench.replaceAll(".*/", "")));
        BatchService batches = application.bean(BatchService.class);
        Instant begun = batches.get(id).log().begun();
        log(batches, id, begun.plus(60, ChronoUnit.MINUTES), new Entry.LyeIntoFats());
        log(
                batches,
                id,
                begun.plus(80, ChronoUnit.MINUTES),
                new Entry.Poured(Temperature.celsius(40)),
                new Entry.Kept(MouldCare.COVERED, null));
        core(batches, id, begun.plus(110, ChronoUnit.MINUTES), 45.5);
        core(batches, id, begun.plus(140, ChronoUnit.MINUTES), 53);
        core(batches, id, begun.plus(200, ChronoUnit.MINUTES), 73);
        browser.quick("@+260m core 76");
        browser.open(bench + "?step=pour&at=%2B270m").waitForText("The middle read 76.0");
        assertThat(browser.text())
                .doesNotContain("No such loaf has these readings")
                .contains("mould, as measured");

        // Bench and batch say one thing, and it is what the core says.
        Batch batch = application.bean(BatchService.class).get(id);
        LoafEnsemble loaf = application
                .bean(LoafForecasts.class)
                .of(batch, Temperature.celsius(17.5))
                .orElseThrow();
        assertThat(loaf.expected()).isNotEqualTo(LoafExpectation.USUAL);
        assertThat(loaf.middle().peak()).isGreaterThan(70);
        String peak = "near " + Math.round(loaf.middle().peak()) + ".0 \u00b0C";
        assertThat(browser.text()).contains(peak);
        browser.open("/batch/" + id).waitFor("[data-section]");
        Number hottest = (Number) browser.script(
                "return Math.max(...[...document.querySelectorAll('.section-table td:nth-child(2)')].map(td =>"
                        + " parseFloat(td.textContent)));");
        assertThat(hottest.doubleValue())
                .isBetween(loaf.middle().peak() - 4, loaf.middle().peak() + 1);

        browser.quick("@+20h side clings");
        browser.open(bench + "?step=out").waitForText("its recipe and 1 try");
        browser.press("Side lets go").waitForText("its recipe and 2 tries");
        browser.press("It is out")
                .waitUntilTrue(() -> !browser.text().contains("It is out"))
                .waitForText("Out of the mould. Cut it");
        browser.type("embeds", "30 62x12 999").press("Draw it").waitForText("above what is possible");
        assertThat(browser.value("embeds")).isEqualTo("30 62x12 999");
        browser.type("embeds", "30 62x12 95").press("Draw it").waitForText("All of them stay whole");
        int bars = browser.all(".bench-right .weigh-list tbody tr").size();
        browser.press("Cut").waitForText("look at the faces of 6 bars from different places");
        browser.press("All 6 are clean").waitForText("Bevel and stamp in an hour or two");
        assertThat(application
                        .bean(BatchService.class)
                        .get(id)
                        .log()
                        .last(Entry.Cut.class)
                        .orElseThrow()
                        .entry()
                        .bars())
                .isEqualTo(bars);
        assertThat(browser.complaints()).isEmpty();
    }

    private static void core(BatchService batches, BatchId id, Instant at, double celsius) {
        log(batches, id, at, new Entry.TemperatureRead(MeasurementPoint.CORE, Temperature.celsius(celsius)));
    }

    private static void log(BatchService batches, BatchId id, Instant at, Entry... lines) {
        batches.log(id, List.of(lines), at, "Odd Brekke", UUID.randomUUID().toString());
    }
}
