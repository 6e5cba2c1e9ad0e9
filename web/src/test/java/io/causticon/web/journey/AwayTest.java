package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Stage;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.places.network.NetworkPlace;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/**
 * A tablet in the workshop's network, which knows the machine by another name than it knows itself: the server goes,
 * and comes back.
 */
class AwayTest {

    private static final String PORT =
            Integer.toString(20_000 + (int) (ProcessHandle.current().pid() % 20_000));

    @Test
    void firstAidOpensAndLinesWaitAndCome() {
        Path data = RunningApplication.folder(true);
        RunningApplication application = RunningApplication.listening(data, PORT);
        BatchId batch = Swirl.lyeIn(application, "Away", Duration.ofMinutes(20));
        String address = application.bean(NetworkPlace.class).addresses().get(0);
        assertThat(address).startsWith("https://").doesNotContain("localhost").endsWith(":" + PORT);
        try (Browser browser = new Browser(address)) {
            browser.open("/sign-in")
                    .waitFor("main")
                    .type("name", "ines")
                    .type("password", "lye-into-water")
                    .press("Sign in")
                    .waitFor("nav.places");
            assertThat(browser.cookieNames()).hasSize(4).allMatch(name -> name.startsWith("__Host-causticon"));
            browser.open("/network").waitFor(".qr");
            assertThat(browser.text("main")).contains(address);
            browser.waitUntilTrue(
                    () -> Boolean.TRUE.equals(browser.script("return Boolean(navigator.serviceWorker.controller)")));
            browser.open("/bench/" + batch + "?step=mix").waitFor("[name=quick]");
            // The page and its sheet are on the device.
            browser.waitUntilTrue(() -> Boolean.TRUE.equals(browser.script(
                    "return caches.open('causticon-pages-1').then(c => c.keys()).then(k => k.length === 2)")));
            application.close();

            browser.open("/bench/" + batch + "?step=mix").waitFor(".away-note");
            browser.type("quick", "emulsion").keys(Keys.ENTER);
            browser.waitUntilTrue(() -> Boolean.TRUE.equals(
                    browser.script("return Object.keys(localStorage).some(k => k.startsWith('outbox:'))")));
            browser.open("/").waitFor("[data-offline] .offline-list a");
            assertThat(browser.text("main"))
                    .contains("The server does not answer")
                    .contains("Away on the bench")
                    .contains("Away, batch sheet");
            browser.press("Splash!").waitForText("Lye on skin or in an eye");
            browser.complaints();

            RunningApplication back = RunningApplication.listening(data, PORT);
            browser.open("/bench/" + batch + "?step=mix").waitForText("A line that had waited here is logged");
            assertThat(back.bean(BatchService.class)
                            .get(batch)
                            .log()
                            .of(Entry.StageReached.class)
                            .map(s -> s.entry().stage()))
                    .containsExactly(Stage.EMULSION);
            // Who signs out leaves nothing of the workshop on the device.
            browser.open("/settings")
                    .waitFor("main")
                    .press("Sign out")
                    .waitUntilTrue(() -> Boolean.TRUE.equals(
                            browser.script("return caches.keys().then(names => names.length === 1)")));
            back.close();
        }
    }
}
