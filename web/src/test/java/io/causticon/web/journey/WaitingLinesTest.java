package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Stage;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Lines that a browser kept because no server answered, and the page was closed before one did. */
@Application
class WaitingLinesTest {

    private static final Duration SLACK = Duration.ofMinutes(2);

    /** As the bench page of Ines leaves it behind when nothing answers. */
    private static void leave(Browser browser, BatchId batch, String key, String line, Duration ago) {
        leave(browser, batch, key, line, ago, "ines");
    }

    private static void leave(
            Browser browser, BatchId batch, String key, String line, Duration ago, String whose) {
        browser.script("""
            const slot = 'outbox:/bench/' + arguments[0] + '/log';
            const kept = JSON.parse(localStorage.getItem(slot) ?? '{}');
            kept[arguments[1]] = {
              body: new URLSearchParams({ key: arguments[1], quick: arguments[2], at: '', step: 'mix' }).toString(),
              since: Date.now() - arguments[3],
              whose: { name: arguments[4], shown: arguments[4] },
            };
            localStorage.setItem(slot, JSON.stringify(kept));
            """, batch.toString(), key, line, ago.toMillis(), whose);
    }

    private static boolean isNothingLeft(Browser browser) {
        return Boolean.TRUE.equals(
                browser.script("return Object.keys(localStorage).every(k => !k.startsWith('outbox:'))"));
    }

    @Test
    void areLoggedFromWhicheverPageComesNextAtTheMomentTheyWereMade(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Left behind", Duration.ofMinutes(20));
        browser.signInAtTheForm("ines");
        String key = UUID.randomUUID().toString();
        Instant left = Instant.now().minus(Duration.ofMinutes(12));
        leave(browser, id, key, "emulsion", Duration.ofMinutes(12));
        leave(browser, id, UUID.randomUUID().toString(), "thin", Duration.ofMinutes(4));
        browser.open("/plan").waitForText("2 lines that had waited here are logged");
        assertThat(isNothingLeft(browser)).isTrue();
        // The same line once more, as another window would send it.
        leave(browser, id, key, "emulsion", Duration.ofMinutes(12));
        browser.open("/").waitUntilTrue(() -> isNothingLeft(browser));

        Batch made = application.bean(BatchService.class).get(id);
        assertThat(made.log().of(Entry.StageReached.class).map(s -> s.entry().stage()))
                .containsExactly(Stage.EMULSION, Stage.THIN);
        Instant emulsion =
                made.log().first(Entry.StageReached.class).orElseThrow().at();
        assertThat(emulsion).isBetween(left.minus(SLACK), left.plus(SLACK));
    }

    @Test
    void areShownWithTheReasonWhenTheyCannotBeTaken(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Left and wrong", Duration.ofMinutes(20));
        browser.signInAtTheForm("ines");
        leave(browser, id, UUID.randomUUID().toString(), "lye 900", Duration.ofMinutes(3));
        browser.open("/bench/" + id).waitFor(".not-taken");
        assertThat(browser.text(".not-taken"))
                .contains("Not taken: \u201clye 900\u201d")
                .contains("140");
        // It stays until it was read.
        browser.open("/plan").waitFor(".not-taken");
        browser.press("Lay it aside")
                .waitUntilTrue(() -> browser.all(".not-taken").isEmpty());
        assertThat(isNothingLeft(browser)).isTrue();
        assertThat(application
                        .bean(BatchService.class)
                        .get(id)
                        .log()
                        .of(Entry.TemperatureRead.class)
                        .filter(t -> t.entry().temperature().celsius() > 200))
                .isEmpty();
    }

    /** One tablet, of which the line is down; who tapped signs out, another signs in, and the first comes back. */
    @Test
    void areSignedByWhoMadeThemWhoeverSignsInMeanwhile(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "One tablet", Duration.ofMinutes(20));
        browser.signInAtTheForm("odd");
        browser.open("/bench/" + id + "?step=mix").waitFor("[name=quick]");
        browser.script("window.fetch = () => Promise.reject(new TypeError('no line'))");
        browser.type("quick", "emulsion").keys(Keys.ENTER).waitForText("No answer from the server");
        signOut(browser);

        browser.signInAtTheForm("ines").open("/plan").waitFor(".not-mine");
        assertThat(browser.text(".not-mine"))
                .contains("\u201cemulsion\u201d of ")
                .contains("Odd Brekke made it, and it is logged when Odd Brekke signs in on this device");
        browser.press("Keep it").waitUntilTrue(() -> browser.all(".not-mine").isEmpty());
        assertThat(isNothingLeft(browser)).isFalse();
        assertThat(stages(application, id)).isEmpty();
        signOut(browser);

        browser.signInAtTheForm("odd").waitForText("A line that had waited here is logged");
        assertThat(isNothingLeft(browser)).isTrue();
        assertThat(signers(application, id)).containsExactly("Odd Brekke");
        signOut(browser);
    }

    @Test
    void areHandedOverWhereSomebodyTakesThemOn(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Handed over", Duration.ofMinutes(20));
        browser.signInAtTheForm("ines");
        leave(browser, id, UUID.randomUUID().toString(), "thin", Duration.ofMinutes(3), "odd");
        browser.open("/plan").waitFor(".not-mine").press("Log it as mine").waitForText("is logged");
        assertThat(stages(application, id)).containsExactly(Stage.THIN);
        assertThat(signers(application, id)).containsExactly("Ines Harrow");
        browser.open("/people/audit").waitForText("which odd had left waiting");
    }

    /** From the page that is open, so that no other page of hers sends what waits. */
    private static void signOut(Browser browser) {
        browser.script("""
            const form = document.createElement('form');
            form.method = 'post';
            form.action = '/sign-out';
            form.innerHTML = '<input name="_csrf">';
            form.elements._csrf.value = document.querySelector('meta[name="csrf"]').content;
            document.body.append(form);
            form.submit();
            """);
        browser.waitFor("[name=password]");
    }

    private static List<String> signers(RunningApplication application, BatchId batch) {
        return application.bean(BatchService.class).get(batch).log().entries().stream()
                .filter(l -> l.current().entry() instanceof Entry.StageReached)
                .map(l -> l.current().by())
                .toList();
    }

    private static List<Stage> stages(RunningApplication application, BatchId batch) {
        return application
                .bean(BatchService.class)
                .get(batch)
                .log()
                .of(Entry.StageReached.class)
                .map(s -> s.entry().stage())
                .toList();
    }

    @Test
    void ofAMakerAreOnlyToldOfToAViewer(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Left for Ines", Duration.ofMinutes(20));
        browser.signInAtTheForm("guest");
        leave(browser, id, UUID.randomUUID().toString(), "thin", Duration.ofMinutes(3));
        for (int page = 1; page <= 2; page++) {
            browser.open("/plan").waitFor(".not-mine");
            assertThat(browser.texts(".not-mine button")).containsExactly("Keep it");
        }
        assertThat(isNothingLeft(browser)).isFalse();
        assertThat(browser.path()).isEqualTo("/plan");
        assertThat(stages(application, id)).isEmpty();
    }
}
