package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Weights;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Batches that were well weighed and made, and what came of them, told in a maker's own words alone: the case finds
 * what it is.
 */
@Application
class CaseStoriesTest {

    private static final Duration AGE = Duration.ofDays(200);

    private static BatchId made(RunningApplication application, String name) {
        BatchService batches = application.bean(BatchService.class);
        BatchPlan swirl = Swirl.plan(name);
        Formula plain = new Formula(
                swirl.formula().fats(),
                swirl.formula().alkali(),
                swirl.formula().superfat(),
                swirl.formula().liquidTarget(),
                swirl.formula().liquidParts(),
                List.of());
        BatchPlan plan = swirl.with(plain).with(Pouring.PLAIN);
        Instant begun = Instant.now().minus(AGE);
        BatchId id = batches.begin(
                plan, null, 1, begun, "Ines", ZoneOffset.UTC, UUID.randomUUID().toString());
        List<Entry> weighed = new ArrayList<>();
        Weights planned = Weights.planned(plain);
        planned.fats()
                .forEach(
                        f -> weighed.add(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l -> weighed.add(
                        new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        weighed.add(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        log(batches, id, begun.plus(Duration.ofMinutes(5)), weighed);
        log(batches, id, begun.plus(Duration.ofMinutes(60)), List.of(new Entry.LyeIntoFats()));
        log(batches, id, begun.plus(Duration.ofMinutes(72)), List.of(new Entry.StageReached(Stage.LIGHT, null)));
        log(batches, id, begun.plus(Duration.ofMinutes(80)), List.of(new Entry.Poured(null)));
        log(batches, id, begun.plus(Duration.ofDays(2)), List.of(new Entry.Unmoulded(), new Entry.Cut(12)));
        return id;
    }

    private static void log(BatchService batches, BatchId id, Instant at, List<Entry> entries) {
        batches.log(id, entries, at, "Ines", UUID.randomUUID().toString());
    }

    /** Says it, and taps the first thing that it may mean. */
    private static void say(Browser browser, BatchId id, String day, String words) {
        browser.open("/casebook/" + id);
        browser.press("Add what you see").type("find", words);
        // The answer to the last letter, not to the first.
        browser.waitFor("#guesses button[value='" + words + "']");
        browser.type("at", day);
        browser.pressAt("#guesses .choice button");
        // The next page knows of no guesses.
        browser.waitUntilTrue(() -> browser.all("#guesses .choice").isEmpty());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "soda-ash      | day 3   | light dusting like flour on the bars    | chalky film that wipes off",
                "overheated    | +5h     | a long crack appeared on top            | it rose like bread",
                "partial-gel   | day 3   | a grey disc in the middle               | gel phase stopped before the"
                        + " edges",
                "stale-spots   | day 190 | dreaded orange spots                    | smells like old oil",
                "glycerin-rivers | day 5 | see-through lines like a map of rivers | translucent mottling in the white",
                "stearic-spots | day 4   | hundreds of minute white points         | dots smear like wax",
                "false-trace   | +75m    | fats are going solid in the batter      | warming brings it back to liquid"
            })
    void endsRight(
            String condition,
            String day,
            String first,
            String second,
            RunningApplication application,
            Browser browser) {
        BatchId id = made(application, "Story of " + condition);
        browser.signIn("ines");
        say(browser, id, day, first);
        say(browser, id, day, second);
        assertThat(browser.text("[data-condition=" + condition + "] .cond-p")).matches("(over 99|[5-9]\\d) %");
        assertThat(browser.text(".cond:not(.hazard)"))
                .as("the likeliest that is none of the hazards")
                .isEqualTo(browser.text("[data-condition=" + condition + "]"));
        assertThat(browser.text(".verdict-box")).doesNotContain("Do not use or sell");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aBatchThatBurnsIsHeldRebatchedAsWorkedOutAndReleasedLater(RunningApplication application, Browser browser) {
        BatchId id = made(application, "Story of a burn");
        browser.signIn("ines").open("/batch/" + id);
        // The quick line asks what is meant, and does not file it.
        browser.type("quick", "day 3 my palms sting after washing").waitForText("speaks of burning");
        browser.waitFor(".under button[value='day 3 see hands burn after a wash']");
        browser.waitUntilTrue(
                () -> !browser.press("hands burn after a wash").path().isEmpty());
        browser.waitUntilTrue(
                () -> browser.texts(".log a").stream().anyMatch(line -> line.contains("hands burn after a wash")));
        browser.quick("day 4 titrated 0.45");
        browser.press("Something is wrong").waitFor(".verdict-box");
        assertThat(browser.text(".verdict-box")).contains("Held. Do not use or sell.");
        assertThat(browser.text(".next-side")).contains("No single look would free this batch.");
        assertThat(browser.text("[data-condition=lye-heavy]")).contains("too much");
        // What is worked out stands in the form.
        assertThat(browser.text(".case-why")).contains("Grate it, melt it with").contains("nine times out of ten");
        assertThat(browser.value("mass")).matches("[\\d.]+ g");
        browser.type("when", "day 6").press("It is rebatched");
        browser.waitForText("since it was rebatched");
        assertThat(browser.text(".next-side")).contains("a burning wash on day 3 stands");
        browser.open("/batch/" + id);
        browser.quick("day 14 titrated 0").quick("day 15 wash calm").quick("day 15 no white spots");
        browser.open("/casebook/" + id);
        assertThat(browser.text(".verdict-box")).contains("Held, and now calm");
        browser.type("reason", "rebatched with what was missing, calm on two bars")
                .press("Release");
        browser.waitForText("No hazard.");
        assertThat(application.bean(BatchService.class).get(id).isHeld()).isFalse();
        assertThat(browser.complaints()).isEmpty();
    }
}
