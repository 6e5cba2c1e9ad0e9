package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.quantity.Temperature;
import io.causticon.web.account.AccountService;
import io.causticon.web.account.Role;
import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.RunningApplication;
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

    private RunningApplication full;
    private RunningApplication empty;

    @BeforeAll
    void start() {
        full = RunningApplication.own(true);
        empty = RunningApplication.own(false);
        AccountService accounts = empty.bean(AccountService.class);
        accounts.openWorkshop("An empty workshop", "UTC", Temperature.celsius(20));
        accounts.create("ines", "Ines Harrow", "saltern-lane", Role.OWNER);
        accounts.create("odd", "Odd Brekke", "saltern-lane", Role.MAKER);
        accounts.create("guest", "A guest", "saltern-lane", Role.VIEWER);
    }

    @AfterAll
    void stop() {
        full.close();
        empty.close();
    }

    // Whoever may change least looks first, before buttons were pressed.
    @ParameterizedTest
    @ValueSource(strings = {"guest", "odd", "ines"})
    void leadsSomewhereInTheMadeUpWorkshop(String name) {
        // What the others may open is what the owner may, who comes after them.
        Crawler crawler = new Crawler(full.address()).atMost(name.equals("ines") ? 3 : 1).signIn(name).crawl(PLACES);
        assertThat(crawler.faults()).isEmpty();
        assertThat(crawler.followed()).hasSizeGreaterThan(name.equals("guest") ? 60 : 100);
        assertThat(crawler.followed()).anyMatch(f -> f.matches("GET /plan/batch/.*/sheet"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"guest", "odd", "ines"})
    void leadsSomewhereInAnEmptyOne(String name) {
        // It is empty until the first button is pressed: what stands in it after that is what the other one has.
        Crawler crawler = new Crawler(empty.address()).atMost(1).without("/plan/first/start", "/plan/make").signIn(name).crawl(PLACES);
        assertThat(crawler.faults()).isEmpty();
    }

    @Test
    void leadsSomewhereForSomebodyWhoIsNotSignedIn() {
        Crawler crawler = new Crawler(full.address()).crawl("/", "/sign-in", "/splash", "/first-visit");
        assertThat(crawler.faults()).isEmpty();
    }
}
