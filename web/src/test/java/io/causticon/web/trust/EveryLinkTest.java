package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Every link and every button of every page leads somewhere, for everybody, in a full workshop and in an empty one. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class EveryLinkTest {

    private static final String[] PLACES = {
        "/", "/plan", "/plan/new", "/bench", "/casebook", "/shelf", "/devices", "/settings", "/splash"
    };

    private static final String TOLD_TO_NOBODY = """
        return [...document.querySelectorAll('form .field-problem')].filter(p => p.textContent.trim()
            && !p.closest('.field, form').querySelector('[aria-invalid=true]')).map(p => p.outerHTML);
        """;

    private RunningApplication full;
    private RunningApplication empty;

    @BeforeAll
    void start() {
        full = RunningApplication.own(true);
        empty = RunningApplication.own(false);
        AccountService accounts = empty.bean(AccountService.class);
        accounts.openWorkshop("An empty workshop", "UTC", Temperature.celsius(20));
        accounts.create("ines", "Ines Harrow", "lye-into-water", Role.OWNER);
        accounts.create("odd", "Odd Brekke", "lye-into-water", Role.MAKER);
        accounts.create("guest", "A guest", "lye-into-water", Role.VIEWER);
    }

    @AfterAll
    void stop() {
        full.close();
        empty.close();
    }

    // Whoever may change least looks first, before buttons were pressed.
    @ParameterizedTest
    @ValueSource(strings = {"guest", "ines"})
    void leadsSomewhereInTheMadeUpWorkshop(String name) {
        // What the others may open is what the owner may, who comes after them; a maker presses all that is hers below.
        Crawler crawler = new Crawler(full.address())
                .atMost(name.equals("ines") ? 2 : 1)
                .signIn(name)
                .crawl(PLACES);
        assertThat(crawler.faults()).isEmpty();
        assertThat(crawler.followed()).hasSizeGreaterThan(name.equals("guest") ? 60 : 100);
        assertThat(crawler.followed()).anyMatch(f -> f.matches("GET /plan/batch/.*/sheet"));
    }

    @Test
    void tellsOfAMistakeOnAPageThatEverybodyCanUse() {
        Crawler maker =
                new Crawler(full.address()).mistyping().atMost(1).signIn("odd").crawl(PLACES);
        Crawler owner = new Crawler(full.address())
                .mistyping()
                .atMost(1)
                .atMostInAll(12)
                .signIn("ines")
                .crawl("/settings");
        assertThat(maker.faults()).isEmpty();
        assertThat(owner.faults()).isEmpty();
        List<Crawler.Answer> answers =
                Stream.of(owner, maker).flatMap(c -> c.answers().stream()).toList();
        assertThat(answers)
                .extracting(a -> a.path().split("[/?]")[1])
                .contains("plan", "shelf", "devices", "settings", "people", "batch", "bench", "casebook");
        try (Browser browser = new Browser(full.address())) {
            browser.signIn("ines");
            Everybody everybody = new Everybody(browser);
            for (Crawler.Answer answer : answers) {
                browser.size(1280, 800).show(answer.path(), answer.html()).waitFor("main");
                // Whatever is told beside a field is told to those who hear the page too.
                browser.waitUntilTrue(() -> ((List<?>) browser.script(TOLD_TO_NOBODY)).isEmpty());
                everybody.canUse(answer.button());
            }
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"guest", "odd", "ines"})
    void leadsSomewhereInAnEmptyOne(String name) {
        // It is empty until the first button is pressed: what stands in it after that is what the other one has.
        Crawler crawler = new Crawler(empty.address())
                .atMost(1)
                .without("/plan/first/start", "/plan/make")
                .signIn(name)
                .crawl(PLACES);
        assertThat(crawler.faults()).isEmpty();
    }

    @Test
    void leadsSomewhereForSomebodyWhoIsNotSignedIn() {
        Crawler crawler = new Crawler(full.address()).crawl("/", "/sign-in", "/splash", "/first-visit");
        assertThat(crawler.faults()).isEmpty();
    }
}
