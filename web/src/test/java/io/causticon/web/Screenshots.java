package io.causticon.web;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of the main views for the documents: {@code ./causticon screenshots}. */
@Application
@EnabledIfSystemProperty(named = "causticon.screenshots", matches = ".+")
class Screenshots {

    private static final Path FOLDER = Path.of(System.getProperty("causticon.screenshots", "target")).toAbsolutePath();

    @Test
    void ofTheMainViews(Browser browser) {
        browser.open("/sign-in").picture(FOLDER.resolve("sign-in.png"));
        browser.signIn("ines").picture(FOLDER.resolve("rack.png"));
        browser.open("/plan").press("Whey & Barley").waitFor(".lye-head").picture(FOLDER.resolve("plan.png"));
        browser.open("/plan").press("Three Tides").waitFor("svg.face");
        browser.script("document.querySelector('svg.face').scrollIntoView({block: 'center'})");
        browser.picture(FOLDER.resolve("plan-layers.png"));
        browser.open("/shelf").picture(FOLDER.resolve("shelf.png"));
        browser.open("/bench").waitFor(".huge").waitUntilTrue(() -> !browser.texts(".device b").contains("\u2013"));
        browser.picture(FOLDER.resolve("bench-match.png"));
        String bench = browser.path();
        browser.open(bench + "?step=weigh").picture(FOLDER.resolve("bench-weigh.png"));
        browser.open(bench + "?step=lye").waitFor(".alarm-line, .says").picture(FOLDER.resolve("bench-lye.png"));
        browser.size(820, 1180).picture(FOLDER.resolve("bench-lye-tablet.png"));
        browser.size(820, 1180).open(bench + "?step=mix").waitFor(".ladder").picture(FOLDER.resolve("bench-mix-tablet.png"));
        browser.size(1280, 800);
        open(browser, "Sea Buckthorn Winter").picture(FOLDER.resolve("batch.png"));
        open(browser, "Sail Loft Tar").press("Something is wrong").waitFor(".verdict-box").picture(FOLDER.resolve("casebook.png"));
        browser.open("/settings").choose("theme", 0, "night").press("Keep these").waitFor("[data-theme=night]");
        open(browser, "Honey Loft").picture(FOLDER.resolve("batch-night.png"));
        browser.open("/settings").choose("theme", 0, "day").press("Keep these").waitFor("[data-theme=day]");
        assertThat(browser.complaints()).isEmpty();
    }

    private static Browser open(Browser browser, String name) {
        browser.open("/?find=" + name.replace(" ", "+"));
        String href = browser.all("details a").get(0).getDomAttribute("href");
        return browser.open(href).waitFor(".strip svg");
    }
}
