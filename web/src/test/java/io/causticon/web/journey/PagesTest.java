package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Every page of the made-up workshop, as a maker meets it. */
@Application
class PagesTest {

    /**
     * What a page may weigh before it is compressed; how long it takes is measured elsewhere, where nothing depends on
     * the machine.
     */
    private static final int HEAVIEST = 300_000;

    private static String batch(RunningApplication application, String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .map(Batch::id)
                .orElseThrow()
                .toString();
    }

    private static List<String> paths(RunningApplication application) {
        String live = batch(application, "Whey & Barley");
        String held = batch(application, "Sail Loft Tar");
        return List.of(
                "/",
                "/?show=held",
                "/plan",
                "/plan/new",
                "/bench/" + live,
                "/bench/" + live + "?step=weigh",
                "/bench/" + live + "?step=mix",
                "/bench/" + live + "?step=pour",
                "/batch/" + held,
                "/casebook",
                "/casebook/" + held,
                "/settings");
    }

    @Test
    void areNoHeavierThanTheyNeedBe(RunningApplication application, Client client) {
        client.signIn("ines");
        for (String path : paths(application)) {
            HttpResponse<String> page = client.get(path);
            assertThat(page.statusCode()).as(path).isEqualTo(200);
            assertThat(page.body().length()).as(path).isLessThan(HEAVIEST);
        }
    }

    /**
     * Whatever a link leads to; a laptop, a tablet against the tiles, a phone: each page is opened once and made
     * narrower.
     */
    @Test
    void canBeReadTouchedAndReachedByEverybody(RunningApplication application, Browser browser) {
        Everybody everybody = new Everybody(browser);
        browser.open("/sign-in").waitFor("main");
        everybody.canUse("/sign-in");
        browser.signIn("ines");
        Crawler crawler =
                new Crawler(application.address()).onlyLooking().atMost(1).signIn("ines");
        Stream<String> places =
                Stream.concat(paths(application).stream(), Stream.of("/splash", "/plan/first", "/network", "/nowhere"));
        crawler.crawl(paths(application).toArray(String[]::new));
        List<String> all =
                Stream.concat(places, crawler.pages().stream()).distinct().toList();
        assertThat(all).hasSizeGreaterThan(35);
        for (String path : all) {
            browser.size(1280, 800).open(path).waitFor("main");
            everybody.canUse(path);
            assertThat(browser.complaints().stream().filter(c -> !path.equals("/nowhere")))
                    .as(path)
                    .isEmpty();
        }
        // Layers have drawings and rows of their own, and what is told of mistakes wants room.
        browser.size(1280, 800).open("/plan").press("Three Tides").waitFor("fieldset.portion");
        everybody.canUse("layers");
        browser.size(1280, 800).choose("lyeRoute", 0, "OWN").waitFor(".jug");
        browser.typeInto("portionAmount", 1, "200")
                .type("superfat", "ninety")
                .press("Save")
                .waitFor("[name=superfat][aria-invalid=true]");
        everybody.canUse("layers in jugs that cannot be");
    }

    @Test
    void listTheirKeysWhenAsked(Browser browser) {
        browser.signIn("ines").open("/plan").waitFor("main").keys("?").waitFor(".key-list[open]");
        assertThat(browser.text(".key-list")).contains("G R").contains("Rack").contains("New recipe");
        browser.press("Close")
                .waitUntilTrue(() -> browser.all(".key-list[open]").isEmpty());
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void moveTheRowThatTheKeyboardIsIn(RunningApplication application, Browser browser) {
        String recipe = application
                .bean(BatchService.class)
                .recipe(new BatchId(UUID.fromString(batch(application, "Whey & Barley"))))
                .orElseThrow()
                .toString();
        browser.signIn("guest").open("/plan/" + recipe).waitFor("main");
        List<String> before = browser.values("fatAmount");
        browser.focus("[name=fatAmount]").keyWith(Keys.ALT, Keys.ARROW_DOWN);
        assertThat(browser.values("fatAmount").subList(0, 2)).containsExactly(before.get(1), before.get(0));
        assertThat(browser.script("return document.activeElement.getAttribute('aria-label')"))
                .asString()
                .contains("fat 2");
        browser.keyWith(Keys.ALT, Keys.ARROW_UP).keyWith(Keys.ALT, Keys.ARROW_UP);
        assertThat(browser.values("fatAmount")).isEqualTo(before);
    }

    @Test
    void putTheCursorWhereTypingGoesOn(RunningApplication application, Browser browser) {
        browser.signIn("ines")
                .open("/casebook/" + batch(application, "Sail Loft Tar"))
                .waitFor("main")
                .keys("f");
        browser.waitUntilTrue(() -> "find".equals(browser.script("return document.activeElement.name")));
        browser.keys("chalky").waitFor("#guesses");
        assertThat(browser.value("find")).isEqualTo("chalky");
        browser.open("/batch/" + batch(application, "Sail Loft Tar"))
                .waitFor("main")
                .keys("l");
        browser.waitUntilTrue(() -> "quick".equals(browser.script("return document.activeElement.name")));
    }

    @Nested
    class TheBench {

        @Test
        void showsHowALineIsUnderstoodBeforeItIsLogged(RunningApplication application, Browser browser) {
            browser.signIn("ines").open("/bench/" + batch(application, "Whey & Barley"));
            browser.type("quick", "lye 33.8 smells sweet")
                    .waitForText("lye 33.8 \u00b0C \u00b7 \u201csmells sweet\u201d");
            browser.type("quick", "oil 130F").waitForText("fats 54.4 \u00b0C");
            browser.type("quick", "oil 300").waitForText("is above what is possible");
        }

        @Test
        void keepsALineThatCannotBeAndSaysWhy(RunningApplication application, Browser browser) {
            browser.signIn("ines").open("/bench/" + batch(application, "Whey & Barley"));
            browser.type("quick", "lye 900" + Keys.ENTER).waitForText("Lye (900.0 \u00b0C) is above what is possible");
            assertThat(browser.value("quick")).isEqualTo("lye 900");
        }

        @Test
        void hasLargeTargetsOnTheLadder(RunningApplication application, Browser browser) {
            browser.signIn("ines").size(820, 1180).open("/bench/" + batch(application, "Whey & Barley") + "?step=mix");
            assertThat(browser.all(".rung, .side-rungs .button, main .button.big"))
                    .hasSizeGreaterThan(12)
                    .allSatisfy(e -> assertThat(e.getRect().getHeight()).isGreaterThanOrEqualTo(48));
        }

        @Test
        void opensFirstAidAtOnceAndWithoutTheServer(RunningApplication application, Browser browser) {
            browser.signIn("ines").open("/bench/" + batch(application, "Whey & Barley"));
            // From here on nothing reaches the server.
            browser.script("window.fetch = () => Promise.reject(new Error('gone'))");
            browser.press("Splash!").waitFor("dialog[open]");
            assertThat(browser.text("dialog"))
                    .contains("Water, at once, a lot.")
                    .contains("No vinegar")
                    .contains("safety data sheet, local rules and trained help come before");
        }

        @Test
        void isReachedByKeysAlone(RunningApplication application, Browser browser) {
            browser.signInAtTheForm("ines").keys("g", "b").waitFor("a[href='/bench'][aria-current]");
            assertThat(browser.path()).startsWith("/bench");
            browser.open("/bench/" + batch(application, "Whey & Barley"))
                    .keys("5")
                    .waitFor(".ladder");
            browser.keys("/");
            assertThat(browser.script("return document.activeElement.name")).isEqualTo("quick");
        }
    }

    @Nested
    class TheRack {

        @Test
        void narrowsByStateNameAndFat(Client client) {
            client.signIn("ines");
            assertThat(client.get("/?show=held").body())
                    .contains("Sail Loft Tar")
                    .doesNotContain(">Ferry Bar<");
            assertThat(client.get("/?find=tallow").body())
                    .contains("Rye-beer Tar")
                    .doesNotContain(">Long Shelf<");
            assertThat(client.get("/?find=nothing-like-it").body()).contains("Nothing here fits");
            assertThat(client.get("/?show=no-such-filter").statusCode()).isEqualTo(200);
        }

        @Test
        void showsWhatIsHeldSinceItWasOpened(RunningApplication application, Client client, Browser browser) {
            BatchId swirl = Swirl.lyeIn(application, "Rack that stays open");
            browser.signIn("odd").open("/?find=Rack+that+stays+open");
            String before = browser.text("[data-keeps-up='tabs']");
            Map<String, String> hold =
                    Map.of("reason", "its jug leaked", "key", UUID.randomUUID().toString());
            assertThat(client.signIn("ines")
                            .post("/casebook/" + swirl + "/hold", hold)
                            .statusCode())
                    .isEqualTo(302);
            // Nobody presses or loads anything.
            browser.waitUntilTrue(() -> !browser.text("[data-keeps-up='tabs']").equals(before));
            assertThat(browser.text("[data-keeps-up='tabs']")).contains("Held");
        }

        @Test
        void showsWhatIsBegunSinceAndLeavesWhatIsTyped(RunningApplication application, Browser browser) {
            browser.signIn("odd").open("/");
            browser.script("document.querySelector('.rack-chart details').open = true");
            browser.type("find", "half a wo");
            Swirl.lyeIn(application, "Begun beside an open rack");
            browser.waitUntilTrue(() -> browser.text(".rack-chart").contains("Begun beside an open rack"));
            assertThat(browser.value("find")).isEqualTo("half a wo");
            assertThat(browser.all(".rack-chart details[open]")).hasSize(1);
        }

        @Test
        void hasATableForThoseWhoDoNotSeeTheChart(Client client) {
            assertThat(client.signIn("guest").get("/").body())
                    .contains("The same as a table")
                    .contains("aria-label=\"Batches by age on a logarithmic scale\"");
        }
    }

    @Nested
    class UnitsOfTheMaker {

        @Test
        void reachEveryPage(RunningApplication application, Client client) {
            client.signIn("odd");
            client.post("/settings", Map.of("mass", "OUNCE", "temperature", "FAHRENHEIT", "theme", "night"));
            String bench =
                    client.get("/bench/" + batch(application, "Whey & Barley")).body();
            assertThat(bench).contains("\u00b0F").contains("data-theme=\"night\"");
            assertThat(client.get("/bench/" + batch(application, "Whey & Barley") + "?step=weigh")
                            .body())
                    .contains("17.78 oz");
            client.post("/settings", Map.of("mass", "GRAM", "temperature", "CELSIUS", "theme", "day"));
        }
    }
}
