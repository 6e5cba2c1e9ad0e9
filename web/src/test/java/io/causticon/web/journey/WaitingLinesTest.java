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
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** Lines that a browser kept because no server answered, and the page was closed before one did. */
@Application
class WaitingLinesTest {

    private static final Duration SLACK = Duration.ofSeconds(20);

    /** As the bench page leaves it behind when nothing answers. */
    private static void leave(Browser browser, BatchId batch, String key, String line, Duration ago) {
        browser.script("""
            const slot = 'outbox:/bench/' + arguments[0] + '/log';
            const kept = JSON.parse(localStorage.getItem(slot) ?? '{}');
            kept[arguments[1]] = { body: new URLSearchParams({ key: arguments[1], quick: arguments[2], at: '', step: 'mix' }).toString(), since: Date.now() - arguments[3] };
            localStorage.setItem(slot, JSON.stringify(kept));
            """, batch.toString(), key, line, ago.toMillis());
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
        assertThat(Duration.between(emulsion, Instant.now())
                        .minus(Duration.ofMinutes(12))
                        .abs())
                .isLessThan(SLACK);
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

    @Test
    void ofAMakerStayWhenAViewerOpensAPage(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Left for Ines", Duration.ofMinutes(20));
        browser.signInAtTheForm("guest");
        leave(browser, id, UUID.randomUUID().toString(), "thin", Duration.ofMinutes(3));
        browser.complaints();
        List<String> refusals = new ArrayList<>();
        for (int page = 1; page <= 2; page++) {
            // Refused, and refused once more with a fresh token: the browser complains of both, and that is all.
            int expected = 2 * page;
            browser.open("/plan").waitUntilTrue(() -> {
                refusals.addAll(browser.complaints());
                return refusals.size() >= expected;
            });
            assertThat(refusals).hasSize(expected).allMatch(c -> c.contains("403"));
        }
        assertThat(isNothingLeft(browser)).isFalse();
        assertThat(browser.path()).isEqualTo("/plan");
        assertThat(application.bean(BatchService.class).get(id).log().of(Entry.StageReached.class))
                .isEmpty();
    }
}
