package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.RunningApplication;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
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

    /** What a page may weigh before it is compressed; how long it takes is measured elsewhere, where nothing depends on the machine. */
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

    /** What is smaller than a thumb, or at the bench than a thumb in a glove; words within a sentence or a table are not meant. */
    private static final String SMALL = """
            const least = location.pathname.startsWith('/bench/') ? 48 : 44;
            const small = [];
            if (document.documentElement.scrollWidth > innerWidth + 1) {
                small.push('the page scrolls sideways, ' + document.documentElement.scrollWidth);
            }
            for (const e of document.querySelectorAll('button, a[href], input:not([type=hidden]), select, textarea, summary')) {
                const shown = e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden';
                const within = e.matches('a') && e.closest('p, dd, td') || e.closest('svg, .visually-hidden') || e.matches('.visually-hidden, .skip');
                const label = e.matches('input[type=checkbox], input[type=radio]') && e.closest('label');
                if (shown && !within && (label || e).getBoundingClientRect().height < least - 0.5) {
                    small.push(e.localName + ' ' + (e.innerText || e.name || e.id) + ' ' + Math.round(e.getBoundingClientRect().height));
                }
            }
            return small;
            """;

    /** What cannot be read: cut off by its box, or letters of a chart below 11 px; and what does not show that the keyboard is at it. */
    private static final String UNSEEN = """
            document.activeElement?.blur();
            const unseen = [];
            const shown = e => e.getClientRects().length > 0 && !e.closest('.visually-hidden, [hidden], .skip');
            for (const e of document.querySelectorAll('body *:not(svg *)')) {
                if (!shown(e) || ![...e.childNodes].some(n => n.nodeType === Node.TEXT_NODE && n.textContent.trim())) {
                    continue;
                }
                for (let box = e; box !== document.body; box = box.parentElement) {
                    if (['hidden', 'clip'].includes(getComputedStyle(box).overflowX) && box.clientWidth > 1 && box.scrollWidth > box.clientWidth + 1) {
                        unseen.push('cut: ' + e.textContent.trim().slice(0, 40));
                        break;
                    }
                }
            }
            for (const t of document.querySelectorAll('svg text')) {
                const svg = t.ownerSVGElement;
                const size = parseFloat(getComputedStyle(t).fontSize) * svg.getBoundingClientRect().width / (svg.viewBox.baseVal.width || 1);
                if (shown(t) && svg.getBoundingClientRect().width > 0 && size < 10.9) {
                    unseen.push('small: ' + t.textContent + ' ' + size.toFixed(1));
                }
            }
            for (const e of document.querySelectorAll('a[href], button, input:not([type=hidden]), select, textarea, summary')) {
                const look = () => { const s = getComputedStyle(e); return [s.outlineStyle, s.outlineWidth, s.boxShadow, s.borderColor, s.backgroundColor].join(); };
                const before = look();
                if (shown(e) && e.tabIndex >= 0 && !e.disabled) {
                    e.focus();
                    if (document.activeElement === e && look() === before) {
                        unseen.push('no focus: ' + e.localName + ' ' + (e.innerText || e.name));
                    }
                    e.blur();
                }
            }
            return unseen;
            """;

    /** What the rules of axe-core say; it comes with the tools that build the styles. */
    private static final String VIOLATIONS = """
            return axe.run(document, {rules: {'label-content-name-mismatch': {enabled: true}}, resultTypes: ['violations']})
                .then(result => result.violations.map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 120)).join(' | ')));
            """;

    /** Whatever a link leads to; a laptop, a tablet against the tiles, a phone: each page is opened once and made narrower. */
    @Test
    void canBeReadTouchedAndReachedByEverybody(RunningApplication application, Browser browser) throws IOException {
        String axe = Files.readString(Path.of("../frontend/node_modules/axe-core/axe.min.js"));
        browser.open("/sign-in").waitFor("main").script(axe);
        assertThat((List<?>) browser.script(VIOLATIONS)).as("/sign-in").isEmpty();
        browser.signIn("ines");
        Crawler crawler = new Crawler(application.address()).onlyLooking().atMost(1).signIn("ines");
        Stream<String> places = Stream.concat(paths(application).stream(), Stream.of("/splash", "/plan/first", "/network", "/nowhere"));
        crawler.crawl(paths(application).toArray(String[]::new));
        List<String> all = Stream.concat(places, crawler.pages().stream()).distinct().toList();
        assertThat(all).hasSizeGreaterThan(35);
        for (String path : all) {
            browser.size(1280, 800).open(path).waitFor("main");
            isForEverybody(browser, axe, path);
            assertThat(browser.complaints().stream().filter(c -> !path.equals("/nowhere"))).as(path).isEmpty();
        }
        // Layers have drawings and rows of their own, and what is told of mistakes wants room.
        browser.size(1280, 800).open("/plan").press("Three Tides").waitFor("fieldset.portion");
        isForEverybody(browser, axe, "layers");
        browser.size(1280, 800).choose("lyeRoute", 0, "OWN").waitFor(".jug");
        browser.typeInto("portionAmount", 1, "200").type("superfat", "ninety").press("Save").waitFor("[name=superfat][aria-invalid=true]");
        isForEverybody(browser, axe, "layers in jugs that cannot be");
    }

    private static void isForEverybody(Browser browser, String axe, String page) {
        browser.script(axe);
        assertThat((List<?>) browser.script(VIOLATIONS)).as(page).isEmpty();
        // As after a key: a browser shows where the keyboard is to those who use one.
        browser.keys(Keys.TAB);
        for (int width : new int[] {1280, 820, 390}) {
            browser.size(width, 900);
            assertThat((List<?>) browser.script(SMALL)).as(page + " at " + width).isEmpty();
            assertThat((List<?>) browser.script(UNSEEN)).as(page + " at " + width).isEmpty();
        }
    }

    @Test
    void listTheirKeysWhenAsked(Browser browser) {
        browser.signIn("ines").open("/plan").waitFor("main").keys("?").waitFor(".key-list[open]");
        assertThat(browser.text(".key-list")).contains("G R").contains("Rack").contains("New recipe");
        browser.press("Close").waitUntilTrue(() -> browser.all(".key-list[open]").isEmpty());
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void moveTheRowThatTheKeyboardIsIn(RunningApplication application, Browser browser) {
        String recipe = application.bean(BatchService.class).recipe(new BatchId(UUID.fromString(batch(application, "Whey & Barley")))).orElseThrow().toString();
        browser.signIn("guest").open("/plan/" + recipe).waitFor("main");
        List<String> before = browser.values("fatAmount");
        browser.focus("[name=fatAmount]").keyWith(Keys.ALT, Keys.ARROW_DOWN);
        assertThat(browser.values("fatAmount").subList(0, 2)).containsExactly(before.get(1), before.get(0));
        assertThat(browser.script("return document.activeElement.getAttribute('aria-label')")).asString().contains("fat 2");
        browser.keyWith(Keys.ALT, Keys.ARROW_UP).keyWith(Keys.ALT, Keys.ARROW_UP);
        assertThat(browser.values("fatAmount")).isEqualTo(before);
    }

    @Test
    void putTheCursorWhereTypingGoesOn(RunningApplication application, Browser browser) {
        browser.signIn("ines").open("/casebook/" + batch(application, "Sail Loft Tar")).waitFor("main").keys("f");
        browser.waitUntilTrue(() -> "find".equals(browser.script("return document.activeElement.name")));
        browser.keys("chalky").waitFor("#guesses");
        assertThat(browser.value("find")).isEqualTo("chalky");
        browser.open("/batch/" + batch(application, "Sail Loft Tar")).waitFor("main").keys("l");
        browser.waitUntilTrue(() -> "quick".equals(browser.script("return document.activeElement.name")));
    }

    @Nested
    class TheBench {

        @Test
        void showsHowALineIsUnderstoodBeforeItIsLogged(RunningApplication application, Browser browser) {
            browser.signIn("ines").open("/bench/" + batch(application, "Whey & Barley"));
            browser.type("quick", "lye 33.8 smells sweet").waitForText("lye 33.8 \u00b0C \u00b7 \u201csmells sweet\u201d");
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
            browser.open("/bench/" + batch(application, "Whey & Barley")).keys("5").waitFor(".ladder");
            browser.keys("/");
            assertThat(browser.script("return document.activeElement.name")).isEqualTo("quick");
        }
    }

    @Nested
    class TheRack {

        @Test
        void narrowsByStateNameAndFat(Client client) {
            client.signIn("ines");
            assertThat(client.get("/?show=held").body()).contains("Sail Loft Tar").doesNotContain(">Ferry Bar<");
            assertThat(client.get("/?find=tallow").body()).contains("Rye-beer Tar").doesNotContain(">Long Shelf<");
            assertThat(client.get("/?find=nothing-like-it").body()).contains("Nothing here fits");
            assertThat(client.get("/?show=no-such-filter").statusCode()).isEqualTo(200);
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
            String bench = client.get("/bench/" + batch(application, "Whey & Barley")).body();
            assertThat(bench).contains("\u00b0F").contains("data-theme=\"night\"");
            assertThat(client.get("/bench/" + batch(application, "Whey & Barley") + "?step=weigh").body()).contains("17.78 oz");
            client.post("/settings", Map.of("mass", "GRAM", "temperature", "CELSIUS", "theme", "day"));
        }
    }
}
