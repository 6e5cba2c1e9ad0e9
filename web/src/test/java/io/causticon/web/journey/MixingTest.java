package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** A three-colour swirl with a fragrance that rices, from emulsion to the pour. */
@Application
class MixingTest {

    private static Batch batch(RunningApplication application, BatchId id) {
        return application.bean(BatchService.class).get(id);
    }

    /** Does something that logs, and waits until the log has so many lines of a kind. */
    private static void until(
            RunningApplication application,
            BatchId id,
            Class<? extends Entry> type,
            long count,
            Browser browser,
            Runnable act) {
        browser.script("window.answered = false");
        act.run();
        browser.waitUntilTrue(() -> batch(application, id).log().of(type).count() == count
                && Boolean.TRUE.equals(
                        browser.script("return window.answered === undefined && document.readyState === 'complete'")));
    }

    private static void everyTapIsOnTheStrip(RunningApplication application, Browser browser, BatchId id) {
        Batch made = batch(application, id);
        assertThat(made.log()
                        .of(Entry.StageReached.class)
                        .map(s -> s.entry().stage().name()))
                .containsExactly("EMULSION", "THIN", "RICED", "LIGHT");
        assertThat(made.log()
                        .of(Entry.BlenderBurst.class)
                        .findFirst()
                        .orElseThrow()
                        .entry()
                        .seconds())
                .isBetween(1, 4);
        assertThat(made.log()
                        .of(Entry.Added.class)
                        .map(a -> a.entry().what().name()
                                + (a.entry().portion() == null
                                        ? ""
                                        : " to " + a.entry().portion().name())))
                .containsExactly("tarred hemp", "madder root powder to madder", "activated charcoal to charcoal");
        assertThat(made.log()
                        .of(Entry.PortionTaken.class)
                        .map(t -> t.entry().portion().name()))
                .containsExactly("plain", "madder", "charcoal");
        assertThat(made.log()
                        .of(Entry.LayerPoured.class)
                        .map(l -> l.entry().portion().name()))
                .containsExactly("plain", "madder", "charcoal");
        browser.open("/batch/" + id).waitFor(".strip svg");
        // Stages are marks on the ladder, bursts and events strokes; each has its words in the log beside.
        long strokes = (Long) browser.script("return document.querySelectorAll('.strip svg .event').length");
        assertThat(strokes).isGreaterThanOrEqualTo(1 + 3 + 3 + 3 + 1 + 1 + 1);
        assertThat((Long) browser.script("return document.querySelectorAll('.strip svg .burst').length"))
                .isEqualTo(1);
        String all =
                (String) browser.script("return [...document.querySelectorAll('.log a, .strip svg text')].map((e) =>"
                        + " e.textContent).join(' | ')");
        assertThat(all)
                .contains(
                        "emulsion",
                        "blender",
                        "thin trace",
                        "tarred hemp",
                        "riced",
                        "portion plain",
                        "portion madder",
                        "madder root",
                        "portion charcoal",
                        "activated charcoal",
                        "light trace",
                        "plain",
                        "air tapped out",
                        "poured",
                        "covered");
    }

    @Test
    void isMadeThroughTheKeyboardAlone(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Nets by Key");
        browser.signIn("ines").open("/bench/" + id).waitFor(".ladder");
        key(application, browser, id, Entry.StageReached.class, 1, "e");
        browser.keys("b");
        until(
                application,
                id,
                Entry.BlenderBurst.class,
                1,
                browser,
                () -> browser.holdKey(" ", Duration.ofMillis(1600)));
        key(application, browser, id, Entry.StageReached.class, 2, "n");
        key(application, browser, id, Entry.Added.class, 1, "x");
        key(application, browser, id, Entry.StageReached.class, 3, "r");
        browser.keys("w", "2").waitFor(".rescue");
        assertThat(browser.text(".rescue")).contains("Nothing more goes in", "grains", "You have about");
        key(application, browser, id, Entry.StageReached.class, 4, "l");
        key(application, browser, id, Entry.PortionTaken.class, 1, "x");
        key(application, browser, id, Entry.PortionTaken.class, 2, "x");
        key(application, browser, id, Entry.Added.class, 2, "x");
        key(application, browser, id, Entry.PortionTaken.class, 3, "x");
        key(application, browser, id, Entry.Added.class, 3, "x");
        browser.keys("p").waitFor(".face");
        for (int i = 1; i <= 3; i++) {
            key(application, browser, id, Entry.LayerPoured.class, i, "x");
        }
        browser.keys("/");
        until(application, id, Entry.AirTapped.class, 1, browser, () -> browser.keys("tapped", Keys.ENTER));
        key(application, browser, id, Entry.Poured.class, 1, "d");
        browser.keys("/");
        until(application, id, Entry.Kept.class, 1, browser, () -> browser.keys("cover", Keys.ENTER));
        everyTapIsOnTheStrip(application, browser, id);
        assertThat(browser.complaints()).isEmpty();
    }

    private static void key(
            RunningApplication application,
            Browser browser,
            BatchId id,
            Class<? extends Entry> type,
            long count,
            String key) {
        until(application, id, type, count, browser, () -> browser.keys(key));
    }

    @Test
    void isMadeByTouchAlone(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Nets by Touch");
        browser.signIn("ines").size(820, 1180).open("/bench/" + id).waitFor(".ladder");
        touch(application, browser, id, Entry.StageReached.class, 1, ".rung[value=emulsion]");
        until(
                application,
                id,
                Entry.BlenderBurst.class,
                1,
                browser,
                () -> browser.touch("[data-hold]", Duration.ofMillis(1600)));
        touch(application, browser, id, Entry.StageReached.class, 2, ".rung[value=thin]");
        touch(application, browser, id, Entry.Added.class, 1, ".next-step .go");
        touch(application, browser, id, Entry.StageReached.class, 3, ".side-rung[value=rice]");
        browser.touch(".going-wrong a:nth-of-type(2)", Duration.ZERO).waitFor(".rescue");
        touch(application, browser, id, Entry.StageReached.class, 4, ".rung[value=light]");
        touch(application, browser, id, Entry.PortionTaken.class, 1, ".next-step .go");
        touch(application, browser, id, Entry.PortionTaken.class, 2, ".next-step .go");
        touch(application, browser, id, Entry.Added.class, 2, ".next-step .go");
        touch(application, browser, id, Entry.PortionTaken.class, 3, ".next-step .go");
        touch(application, browser, id, Entry.Added.class, 3, ".next-step .go");
        browser.touch("a.go.big", Duration.ZERO).waitFor(".face");
        for (int i = 1; i <= 3; i++) {
            touch(application, browser, id, Entry.LayerPoured.class, i, ".next-step .go");
        }
        touch(application, browser, id, Entry.AirTapped.class, 1, "button[value=tapped]");
        touch(application, browser, id, Entry.Poured.class, 1, "button[value=poured]");
        touch(application, browser, id, Entry.Kept.class, 1, "button[value=cover]");
        everyTapIsOnTheStrip(application, browser, id);
    }

    private static void touch(
            RunningApplication application,
            Browser browser,
            BatchId id,
            Class<? extends Entry> type,
            long count,
            String css) {
        until(application, id, type, count, browser, () -> browser.touch(css, Duration.ZERO));
    }

    @Test
    void everythingAtTheBenchIsLargeEnoughForAGloveAndNothingNeedsHover(
            RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Nets by Glove");
        browser.signIn("ines").size(820, 1180);
        for (String step : List.of("weigh", "ready", "lye", "match", "mix", "mix&rescue=seizing", "pour")) {
            browser.open("/bench/" + id + "?step=" + step).waitFor("main");
            @SuppressWarnings("unchecked")
            List<String> small = (List<String>) browser.script(TOO_SMALL);
            assertThat(small).as(step).isEmpty();
            assertThat((Long) browser.script("return document.documentElement.scrollWidth"))
                    .as("width at " + step)
                    .isLessThanOrEqualTo(820L);
        }
        // A rule for :hover may colour what can be seen anyway; it must not show what is hidden otherwise.
        @SuppressWarnings("unchecked")
        List<String> revealing = (List<String>) browser.script(REVEALED_BY_HOVER);
        assertThat(revealing).isEmpty();
    }

    /**
     * Targets of the work: all that can be pressed or typed into, but for links inside a line of text and what amends
     * the log.
     */
    private static final String TOO_SMALL = """
        return [...document.querySelectorAll('main button, main a.button, main select, main input:not([type=hidden]):not([type=checkbox]), main label:has(input), '
            + '.devices .button, .devices summary, .quick button, .quick .line, .bar .alarm, .steps a')]
          .filter((e) => e.checkVisibility() && !e.closest('details:not([open]) > :not(summary)'))
          .map((e) => ({e, r: e.getBoundingClientRect()}))
          .filter(({r}) => r.width > 0 && (r.height < 47.5 || r.width < 47.5))
          .map(({e, r}) => `${e.tagName} ${e.className} "${(e.innerText || e.name || '').slice(0, 30)}" ${Math.round(r.width)}x${Math.round(r.height)}`);
        """;

    private static final String REVEALED_BY_HOVER = """
        const found = [];
        const look = (rules) => [...rules].forEach((rule) => {
          if (rule.cssRules) { look(rule.cssRules); }
          if (rule.selectorText?.includes(':hover')) {
            for (const property of ['display', 'visibility', 'opacity', 'max-height', 'height', 'content', 'clip']) {
              if (rule.style.getPropertyValue(property)) { found.push(rule.selectorText + ' ' + property); }
            }
          }
        });
        [...document.styleSheets].forEach((sheet) => look(sheet.cssRules));
        return found;
        """;

    @Test
    void aRungTakesTheBattersTemperatureAlongAndASwitchLogsItsBursts(
            RunningApplication application, Browser browser, Client client) {
        BatchId id = Swirl.lyeIn(application, "Nets by Probe");
        DeviceService devices = application.bean(DeviceService.class);
        DeviceService.Added probe =
                devices.add("batter probe " + id.toString().substring(0, 8), DeviceKind.THERMOMETER, false);
        DeviceService.Added blender =
                devices.add("blender " + id.toString().substring(0, 8), DeviceKind.BLENDER, false);
        devices.watch(probe.device().id(), id, MeasurementPoint.BATTER, null, null);
        devices.watch(blender.device().id(), id, null, null, null);
        browser.signIn("ines").open("/bench/" + id).waitFor(".ladder");
        assertThat(client.ingest(probe.token(), "{\"seq\":1,\"value\":39.4}")).isEqualTo(200);
        assertThat(client.ingest(blender.token(), "{\"seq\":1,\"value\":7.6,\"unit\":\"s\"}"))
                .isEqualTo(200);
        touch(application, browser, id, Entry.StageReached.class, 1, ".rung[value=emulsion]");
        Batch made = batch(application, id);
        assertThat(made.log().last(Entry.TemperatureRead.class).orElseThrow().entry())
                .isEqualTo(new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(39.4)));
        assertThat(made.log().of(Entry.BlenderBurst.class).map(b -> b.entry().seconds()))
                .containsExactly(8);
    }

    @Test
    void aTroubleThatIsTappedOpensItsCard(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Nets that Part");
        application
                .bean(BatchService.class)
                .log(
                        id,
                        List.of(new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(27))),
                        Instant.now(),
                        "Ines Harrow",
                        UUID.randomUUID().toString());
        browser.signIn("ines").open("/bench/" + id).waitFor(".ladder");
        touch(application, browser, id, Entry.StageReached.class, 1, ".side-rung[value=separate]");
        assertThat(browser.text(".rescue")).contains("Do not pour", "False trace", "bath of 55");
        browser.press("Close").waitUntilTrue(() -> browser.all(".rescue").isEmpty());
    }

    @Test
    void whatAFragranceDidIsRememberedOnTheShelfAndInThePlan(RunningApplication application, Browser browser) {
        assertThat(application.bean(ShelfService.class).pantry().lot("TH-2")).isPresent();
        browser.signIn("ines").open("/shelf").waitFor("#memory");
        assertThat(browser.text("#memory")).contains("Tarred hemp", "riced", "minutes left", "Lot TH-1", "Lot TH-2");
        browser.open("/plan/new").type("name", "Hemp again");
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "700");
        browser.choose("additiveId", 0, "own-tarred-hemp").typeInto("additiveAmount", 0, "20");
        browser.waitForText("Tarred hemp was trouble before");
    }
}
