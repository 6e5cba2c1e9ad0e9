package io.causticon.web;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledIfSystemProperty;

/** Takes the pictures of the main views for the documents: {@code ./causticon screenshots}. */
@Application
@EnabledIfSystemProperty(named = "causticon.screenshots", matches = ".+")
class Screenshots {

    private static final Path FOLDER =
            Path.of(System.getProperty("causticon.screenshots", "target")).toAbsolutePath();

    @Test
    void ofTheMainViews(RunningApplication application, Browser browser) {
        browser.signIn("ines").open("/").picture(FOLDER.resolve("rack.png"));
        browser.open("/plan").press("Whey & Barley").waitFor(".lye-head").picture(FOLDER.resolve("plan.png"));
        browser.open("/plan/first")
                .type("note", "olive oil 360\nlard 150\ncoconut 120\ncastor 30\nlye 90\nwater 190")
                .waitForText("superfat");
        browser.picture(FOLDER.resolve("plan-first.png"));
        browser.open("/plan").press("Three Tides").waitFor("svg.face");
        browser.script("document.querySelector('svg.face').scrollIntoView({block: 'center'})");
        browser.picture(FOLDER.resolve("plan-layers.png"));
        browser.open("/shelf").picture(FOLDER.resolve("shelf.png"));
        browser.press("Melt some down").waitFor(".rework-rows");
        browser.all(".rework-rows input").get(0).sendKeys("150");
        browser.all(".rework-rows input").get(2).sendKeys("236");
        browser.type("name", "Quay Crumbs").press("Work it out").waitFor(".rework-out .verdict-box");
        browser.picture(FOLDER.resolve("rework.png"));
        browser.open("/bench/" + Swirl.potsCoolingDown(application, "Slack Water") + "?step=match")
                .waitFor(".stands");
        browser.picture(FOLDER.resolve("bench-match.png"));
        browser.open("/bench/" + Swirl.onTheScale(application, "Two Quays"))
                .waitFor(".advice")
                .picture(FOLDER.resolve("bench-weigh.png"));
        milk(application, browser);
        swirl(application, browser);
        open(browser, "Sea Buckthorn Winter").picture(FOLDER.resolve("batch.png"));
        open(browser, "Sail Loft Tar")
                .press("Something is wrong")
                .waitFor(".verdict-box")
                .picture(FOLDER.resolve("casebook.png"));
        browser.press("Add what you see")
                .press("In pictures")
                .waitFor(".tiles")
                .pressAt("[aria-label='top, open to air']")
                .waitForText("Look: top");
        browser.press("thin pale bloom").waitFor(".looking-say form").picture(FOLDER.resolve("casebook-look.png"));
        browser.open(open(browser, "Sea Buckthorn Winter").path() + "/cure").waitFor(".cure-head");
        for (String weighed : List.of("bar 1 138.9 g", "bar 2 137.2 g")) {
            browser.type("bar", weighed)
                    .press("Weighed")
                    .waitForText(weighed.substring(0, 5).replace("bar ", ""));
        }
        browser.picture(FOLDER.resolve("cure.png"));
        browser.open("/dates")
                .type("bars", "40")
                .chooseText("recipe", "Honey Loft")
                .type("by", "12 March")
                .press("When to make them")
                .waitFor(".goal-found");
        browser.picture(FOLDER.resolve("dates.png"));
        browser.open("/history").waitFor(".multiples").picture(FOLDER.resolve("history.png"));
        browser.open("/settings")
                .choose("theme", 0, "night")
                .press("Keep these")
                .waitFor("[data-theme=night]");
        open(browser, "Honey Loft").picture(FOLDER.resolve("batch-night.png"));
        browser.open("/settings").choose("theme", 0, "day").press("Keep these").waitFor("[data-theme=day]");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Lye into frozen milk, four of nine portions in. */
    private static void milk(RunningApplication application, Browser browser) {
        String bench = "/bench/" + Swirl.milkInTheIceBath(application, "Cold Ferry");
        browser.open(bench + "?step=lye").waitFor(".two-buttons").picture(FOLDER.resolve("bench-lye.png"));
    }

    /** A swirl at light trace, riced, and on its way into the mould. */
    private static void swirl(RunningApplication application, Browser browser) {
        String bench = "/bench/" + Swirl.lyeIn(application, "Three Nets", Duration.ofMinutes(14));
        browser.size(1280, 800);
        log(browser, bench, "@+29m emulsion; blend 14", "@+34m thin; blend 9", "@+39m light");
        browser.open(bench + "?step=mix").waitFor(".ladder").picture(FOLDER.resolve("bench-mix.png"));
        log(browser, bench, "batter 37; add tarred hemp 25 g lot TH-2; rice");
        browser.open(bench + "?step=mix").waitFor(".rescue");
        log(
                browser,
                bench,
                "take plain; take madder; add madder root to madder; take charcoal; add activated charcoal to charcoal",
                "layer plain");
        browser.size(1280, 800).open(bench + "?step=pour").waitFor(".face").picture(FOLDER.resolve("bench-pour.png"));
        log(browser, bench, "poured", "cover");
        browser.open(bench + "?step=out&embeds=30+62x12+95")
                .waitFor(".bench-right .drawing")
                .picture(FOLDER.resolve("bench-out.png"));
    }

    private static void log(Browser browser, String bench, String... lines) {
        browser.open(bench + "?step=mix").waitFor(".ladder");
        for (String line : lines) {
            browser.quick(line);
        }
    }

    private static Browser open(Browser browser, String name) {
        browser.open("/?find=" + name.replace(" ", "+"));
        String href = browser.all("details a").get(0).getDomAttribute("href");
        return browser.open(href).waitFor(".strip svg");
    }
}
