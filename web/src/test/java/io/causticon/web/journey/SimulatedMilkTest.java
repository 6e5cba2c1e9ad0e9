package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.web.CausticonApplication;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.SteppedClock;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;

/**
 * A milk batch from weighing to match with simulated devices, the server restarted in the middle. Time passes while the
 * test waits for something, and by as much each time it looks: some sixty-five times as fast as at a bench on an idle
 * machine, and no faster for the batch on a busy one.
 */
class SimulatedMilkTest {

    private static final int PORTIONS = 9;
    private static final Duration STEP = Duration.ofSeconds(16);
    private static final int LOOKS_BEFORE_TAPPING_AGAIN = 35;

    /** Before the clock, so that nothing of it was made later than now. */
    private final Path data = RunningApplication.folder(true);

    private final SteppedClock clock = new SteppedClock();

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private ConfigurableApplicationContext start(int port) {
        SpringApplication application = CausticonApplication.create();
        application.addInitializers(c -> ((GenericApplicationContext) c)
                .registerBean("steppedClock", Clock.class, () -> clock, bean -> bean.setPrimary(true)));
        return application.run(
                "--server.port=" + port,
                "--causticon.data=" + data,
                "--causticon.demo=true",
                "--causticon.password-strength=4",
                "--logging.level.io.causticon=warn");
    }

    @Test
    void isMadeWithOneRestartAndNothingLostOrDoubled() throws IOException {
        int port = freePort();
        ConfigurableApplicationContext server = start(port);
        try (Browser browser = new Browser("http://localhost:" + port)) {
            browser.whileWaiting(() -> clock.pass(STEP)).signIn("ines");
            device(browser, "probe one", "THERMOMETER");
            device(browser, "probe two", "THERMOMETER");
            device(browser, "bench scale", "SCALE");
            BatchId batch = plan(browser);
            weigh(browser);
            browser.waitFor(".ready-list");
            browser.tickAll(".ready-list input[type=checkbox]");
            browser.press("Ready for lye").waitFor(".two-buttons");
            use(browser, "probe one, thermometer", "LYE", "60");
            useOnChange(browser, "probe two, thermometer", "FATS", "0.8");

            for (int portion = 1; portion <= PORTIONS; portion++) {
                browser.waitForText("Portion " + portion + " of " + PORTIONS + " in");
                if (portion == 3) {
                    // A probe falls silent within a minute, is shown as such, and comes back.
                    browser.waitUntilTrue(() -> !browser.texts(".device.dead").isEmpty());
                    browser.waitUntilTrue(() -> browser.texts(".device.dead").isEmpty());
                }
                if (portion == 5) {
                    server = restartWhileATapWaits(browser, server, port);
                } else {
                    feed(browser, portion);
                }
            }
            browser.waitUntilTrue(() -> browser.texts(".two-buttons button").size() == 1);
            browser.press("Clear, strained").waitForText("Lye and fats");
            bringTogether(browser);
            browser.press("Lye into the fats").waitFor(".ladder");

            Batch made = server.getBean(BatchService.class).get(batch);
            // Each portion once, also the one that was tapped while no server was there.
            assertThat(made.log()
                            .of(Entry.PortionFed.class)
                            .map(p -> p.entry().portion())
                            .sorted())
                    .containsExactly(1, 2, 3, 4, 5, 6, 7, 8, 9);
            assertThat(made.log().of(Entry.LyeIntoFats.class)).hasSize(1);
            // Each weight once, as the scale showed it, and liquid and lye a second time.
            assertThat(made.log()
                            .of(Entry.Weighed.class)
                            .map(w -> w.entry().what().id()))
                    .containsExactly("olive-oil", "coconut-oil-76", "goat-milk-whole", "naoh");
            assertThat(made.log().of(Entry.WeighedAgain.class)).hasSize(2);
            WeighingOrder.of(made.plan(), made.log())
                    .targets()
                    .forEach((what, target) -> assertThat(
                                    AsWeighed.sums(made.log()).get(what).grams())
                            .as(what.id())
                            .isCloseTo(target.grams(), within(0.35)));
            assertThat(made.log()
                            .of(Entry.TemperatureRead.class)
                            .filter(t -> t.entry().spot() == MeasurementPoint.LYE)
                            .count())
                    .isGreaterThan(5);
            assertThat(made.log()
                            .of(Entry.TemperatureRead.class)
                            .filter(t -> t.entry().spot() == MeasurementPoint.FATS)
                            .count())
                    .isGreaterThan(3);
            assertThat(made.log().entries().stream().map(LoggedEntry::id)).doesNotHaveDuplicates();
            double together =
                    made.log().first(Entry.LyeIntoFats.class).orElseThrow().at().toEpochMilli();
            assertThat(Math.abs(
                            last(made, MeasurementPoint.LYE, together) - last(made, MeasurementPoint.FATS, together)))
                    .isLessThan(7.5);
            assertThat(last(made, MeasurementPoint.LYE, together)).isBetween(23.5, 36.5);
            // Frozen milk never came near where it scorches.
            assertThat(made.log()
                            .of(Entry.TemperatureRead.class)
                            .filter(t -> t.entry().spot() == MeasurementPoint.LYE)
                            .mapToDouble(t -> t.entry().temperature().celsius())
                            .max()
                            .orElseThrow())
                    .isLessThan(40);
        } finally {
            server.close();
        }
    }

    private static double last(Batch made, MeasurementPoint spot, double before) {
        return made.log()
                .of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot && t.at().toEpochMilli() <= before)
                .reduce((a, b) -> b)
                .orElseThrow()
                .entry()
                .temperature()
                .celsius();
    }

    /** A page that moves under a finger makes it land beside its button; then it taps again, as a maker would. */
    private static void feed(Browser browser, int portion) {
        String button = "Portion " + portion + " of " + PORTIONS + " in";
        browser.press(button);
        int[] looks = {0};
        browser.waitUntilTrue(() -> {
            boolean there = browser.texts(".two-buttons button").stream().anyMatch(words -> words.startsWith(button));
            if (there && ++looks[0] % LOOKS_BEFORE_TAPPING_AGAIN == 0) {
                browser.press(button);
            }
            return !there;
        });
    }

    /**
     * Lye from frozen milk is colder than the room: waiting does not bring it to warm fats, so both go into baths until
     * the bench says so.
     */
    private static void bringTogether(Browser browser) {
        browser.waitForText("They will not meet by waiting");
        browser.waitForText("Sooner: ");
        press(browser, "lye in: warm");
        browser.waitUntilTrue(() -> says(browser).startsWith("Out of the bath with the lye")
                || says(browser).startsWith("They are together"));
        press(browser, "lye in: room");
        browser.waitUntilTrue(() ->
                says(browser).startsWith("They are together") || !says(browser).startsWith("Out of"));
        if (!says(browser).startsWith("They are together")) {
            press(browser, "fats in: cold");
            browser.waitUntilTrue(() -> says(browser).startsWith("Out of the bath with the fats")
                    || says(browser).startsWith("They are together"));
            press(browser, "fats in: room");
        }
        browser.waitForText("They are together");
    }

    private static String says(Browser browser) {
        return browser.text(".bench-left .says");
    }

    private static void press(Browser browser, String place) {
        String button = ".stands [aria-label='" + place + "']";
        browser.pressAt(button);
        int[] looks = {0};
        // As with the portions: where the page moved under the finger, she taps again.
        browser.waitUntilTrue(() -> {
            boolean done = !browser.all(button + "[aria-pressed='true']").isEmpty();
            if (!done && ++looks[0] % LOOKS_BEFORE_TAPPING_AGAIN == 0) {
                browser.pressAt(button);
            }
            return done;
        });
    }

    /** The server goes; the maker taps all the same; the server comes back and the tap is there. */
    private ConfigurableApplicationContext restartWhileATapWaits(
            Browser browser, ConfigurableApplicationContext server, int port) {
        server.close();
        browser.waitUntilTrue(() -> browser.texts(".device.dead").size() == 3);
        browser.press("Portion 5 of").waitForText("What you tapped is kept here");
        return start(port);
    }

    private static void device(Browser browser, String name, String kind) {
        browser.open("/devices").type("name", name).choose("kind", 0, kind);
        browser.pressAt("[name=simulated]");
        browser.press("Add the device").waitForText(name);
    }

    private static BatchId plan(Browser browser) {
        browser.open("/plan/new").type("name", "Hurried Milk");
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "500");
        browser.choose("fatId", 1, "coconut-oil-76").typeInto("fatAmount", 1, "250");
        browser.choose("liquidId", 0, "goat-milk-whole").choose("liquidState", 0, "FROZEN");
        browser.type("mixAt", "30").choose("vessel", 0, "steel pot").choose("pot", 0, "wide pot");
        browser.press("Make this batch").waitFor(".weigh-list");
        return new BatchId(UUID.fromString(browser.path().replace("/bench/", "")));
    }

    /** The scale writes its number; the maker only taps. Liquid and lye stand on it twice. */
    private static void weigh(Browser browser) {
        browser.press("Use a device")
                .chooseText("device", "bench scale, scale")
                .press("Use it here")
                .waitFor(".device");
        for (String what : List.of("Olive", "Coconut", "Goat milk", "NaOH")) {
            browser.waitForText("next on the scale: " + what);
            tapWhenTheScaleIsThere(browser, "Weighed");
        }
        for (String what : List.of("Goat milk", "NaOH")) {
            browser.waitForText("once more, to be sure: " + what);
            tapWhenTheScaleIsThere(browser, "Weighed again");
        }
        browser.waitForText("All is weighed").press("Make ready");
    }

    private static void tapWhenTheScaleIsThere(Browser browser, String words) {
        double target = Double.parseDouble(browser.all("main input[name=amount]")
                .get(0)
                .getDomAttribute("placeholder")
                .replace(",", ""));
        browser.waitUntilTrue(() -> {
            String shown = browser.value("amount");
            return !shown.isEmpty() && Math.abs(Double.parseDouble(shown) - target) <= 0.3;
        });
        browser.press(words);
    }

    private static void useOnChange(Browser browser, String device, String spot, String kelvin) {
        browser.press("Use a device").chooseText("device", device).choose("spot", 0, spot);
        browser.type("onChange", kelvin).press("Use it here");
        browser.waitForText("logs on a change of " + kelvin + " °C");
    }

    private static void use(Browser browser, String device, String spot, String seconds) {
        browser.press("Use a device").chooseText("device", device).choose("spot", 0, spot);
        browser.type("everySeconds", seconds).press("Use it here");
        browser.waitForText("logs every " + seconds + " s");
    }
}
