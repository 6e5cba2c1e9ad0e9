package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.SignIns;
import io.causticon.web.store.batch.BatchId;
import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What was typed last is there again, however late the server hears of it. */
@Application
class LastWordsTest {

    /** Nothing that the page sends from now on arrives. */
    private static void lose(Browser browser) {
        browser.script("navigator.sendBeacon = () => true; window.fetch = () => new Promise(() => {})");
    }

    private static void say(Browser browser, String field, String words) {
        browser.script("""
            const field = document.querySelector(`[name="${arguments[0]}"]`);
            field.value = arguments[1];
            field.dispatchEvent(new Event('input', { bubbles: true }));
            """, field, words);
    }

    /**
     * Types the name of a new recipe. A page whose scripts did not come, as where the worker of the test before is let
     * go in the same moment, is opened once more.
     */
    private static void begin(Browser browser, String name, Runnable before) {
        browser.waitUntilTrue(() -> {
            browser.open("/plan/new").waitFor("[name=note]");
            before.run();
            say(browser, "name", name);
            return browser.path().matches("/plan/new/.+");
        });
    }

    @Test
    void ofARecipe(Browser browser) {
        browser.signIn("ines").open("/plan/new").waitFor("[name=note]");
        browser.set("name", "Last words");
        browser.waitUntilTrue(() -> browser.path().matches("/plan/new/.+"));
        String draft = browser.path();
        lose(browser);
        say(browser, "note", "melt the butter first");
        browser.open(draft).waitUntilTrue(() -> browser.value("note").equals("melt the butter first"));
        assertThat(browser.value("name")).isEqualTo("Last words");
        // It is the server's now: another tab has it too.
        browser.script("sessionStorage.clear()");
        browser.open(draft).waitFor("[name=note]");
        assertThat(browser.value("note")).isEqualTo("melt the butter first");
    }

    /** Nothing of it came before its page was left. */
    @Test
    void ofARecipeThatTheServerNeverHeardOf(Browser browser) {
        begin(browser.signIn("ines"), "Never heard of", () -> lose(browser));
        browser.open("/shelf").waitFor("main");
        browser.open("/plan").waitForText("Never heard of");
    }

    /** The door is an answer, but it keeps nothing. */
    @Test
    void ofWhoeverWasSignedOutMeanwhile(RunningApplication application, Browser browser) {
        browser.signInAtTheForm("ines").open("/plan/new").waitFor("[name=note]");
        browser.set("name", "Signed out");
        browser.waitUntilTrue(() -> browser.path().matches("/plan/new/.+"));
        String draft = browser.path();
        UUID ines = application
                .bean(AccountService.class)
                .loadUserByUsername("ines")
                .account();
        application.bean(SignIns.class).endAll(ines);
        say(browser, "note", "stir slowly");
        browser.open("/plan").waitFor("[name=password]");
        browser.signInAtTheForm("ines");
        browser.open(draft).waitUntilTrue(() -> browser.value("note").equals("stir slowly"));
    }

    @Test
    void butNotOfWhatWasThrownAway(Browser browser) {
        begin(browser.signIn("ines"), "Thrown away", () -> {});
        String draft = browser.path();
        browser.waitUntilTrue(() -> browser.open("/plan").text().contains("Thrown away"));
        browser.open(draft).press("Throw these changes away").waitUntilTrue(() -> browser.path()
                .equals("/plan"));
        assertThat(browser.waitFor("main").text("main")).doesNotContain("Thrown away");
        assertThat(browser.script("return Object.keys(sessionStorage).filter(k => k.startsWith('typing:')).length"))
                .isEqualTo(0L);
    }

    @Test
    void ofAQuickLine(RunningApplication application, Browser browser) {
        BatchId batch = Swirl.lyeIn(application, "Half a line", Duration.ofMinutes(20));
        browser.signIn("ines").open("/bench/" + batch + "?step=mix").waitFor("[name=quick]");
        browser.type("quick", "add lavender");
        browser.open("/shelf").waitFor("main");
        browser.open("/bench/" + batch + "?step=mix").waitFor("[name=quick]");
        assertThat(browser.value("quick")).isEqualTo("add lavender");
    }

    @Test
    void ofANote(Browser browser) {
        browser.signIn("ines").open("/plan/first").waitFor("textarea");
        String field = String.valueOf(browser.script("return document.querySelector('textarea').name"));
        say(browser, field, "700 g olive\n300 g coconut");
        browser.open("/plan").waitFor("main");
        browser.open("/plan/first").waitUntilTrue(() -> browser.value(field).contains("coconut"));
    }
}
