package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.observation.Entry;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchService;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import java.util.List;
import org.junit.jupiter.api.Test;

/** From an empty workshop to the first weight, counting what a newcomer taps and types. */
class FirstMinutesTest {

    private static final int MOST_TAPS = 12;
    private static final int MOST_KEYS = 60;

    private int taps;
    private int keys;

    private FirstMinutesTest type(Browser browser, String field, String text) {
        // A field is touched, then typed into.
        taps++;
        keys += text.length();
        browser.type(field, text);
        return this;
    }

    private void press(Browser browser, String words) {
        taps++;
        browser.press(words);
    }

    @Test
    void aTwoLineRecipeIsOnTheScale() {
        try (RunningApplication application = RunningApplication.own(false);
                Browser browser = new Browser(application.address())) {
            browser.open("/").waitFor("[data-first-visit]");
            type(browser, "name", "mara").type(browser, "password", "tide-salt-9");
            press(browser, "Open the workshop");
            browser.waitFor(".note-form");
            type(browser, "note", "olive 400\nlye 52\nwater 120");
            browser.waitForText("superfat");
            press(browser, "Make this batch");
            browser.waitForText("next on the scale");
            type(browser, "amount", "400");
            press(browser, "Weighed");
            browser.waitForText("Distilled");
            List<Batch> batches = application.bean(BatchService.class).all();
            browser.waitUntilTrue(() -> application.bean(BatchService.class).all().get(0).log().first(Entry.Weighed.class).isPresent());
            assertThat(batches).hasSize(1);
            System.out.println("From creating the account to the first weight: " + taps + " taps, " + keys + " keys");
            assertThat(taps).isLessThanOrEqualTo(MOST_TAPS);
            assertThat(keys).isLessThanOrEqualTo(MOST_KEYS);
            assertThat(browser.complaints()).isEmpty();
        }
    }
}
