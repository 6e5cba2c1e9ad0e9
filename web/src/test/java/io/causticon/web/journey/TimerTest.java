package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Kitchen timers of the bench. */
@Application
class TimerTest {

    @Test
    void goOnAndRingOnEveryPageUntilTheyAreStopped(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Timed", Duration.ofMinutes(2));
        browser.signIn("ines").open("/bench/" + id + "?step=mix");
        browser.press("15").waitFor(".timer-chip");
        browser.focus("[data-own]")
                .keys("3 s", Keys.ENTER)
                .waitUntilTrue(() -> browser.all(".timer-chip").size() == 2);
        // The first to end stands first, by the name of the step it was started at.
        assertThat(browser.texts(".timer-chip small")).containsExactly("Mix", "Mix");
        assertThat(browser.texts(".timer-chip output").get(1)).containsPattern("1[45]:\\d\\d");
        browser.open("/plan").waitFor(".timer.corner .timer-chip.over");
        assertThat(browser.texts(".timer-chip.over output"))
                .singleElement()
                .asString()
                .containsPattern("^(\\+00:\\d\\d|00:00)$");
        browser.pressAt(".timer-chip.over button");
        browser.waitUntilTrue(() -> browser.all(".timer-chip").size() == 1);
        browser.open("/bench/" + id).waitFor("[data-timer] .timer-chip");
        assertThat(browser.all(".timer-chip.over")).isEmpty();
    }

    @Test
    void areNotStartedByWhatIsNoTime(RunningApplication application, Browser browser) {
        BatchId id = Swirl.lyeIn(application, "Not timed", Duration.ofMinutes(2));
        browser.signIn("ines").open("/bench/" + id + "?step=mix");
        browser.focus("[data-own]").keys("soon", Keys.ENTER);
        browser.waitFor("[data-own][aria-invalid=true]");
        assertThat(browser.all(".timer-chip")).isEmpty();
        assertThat(browser.all("[data-own]").get(0).getDomProperty("value")).isEqualTo("soon");
    }
}
