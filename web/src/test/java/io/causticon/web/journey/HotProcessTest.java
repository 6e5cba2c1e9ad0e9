package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Cooked soap, from the plan to bars. */
@Application
class HotProcessTest {

    @Test
    void isPlannedCookedTestedAndSpooned(RunningApplication application, Browser browser) {
        browser.signIn("odd").open("/plan/new").type("name", "Saltern Kettle");
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "700");
        browser.choose("fatId", 1, "coconut-oil-76").typeInto("fatAmount", 1, "250");
        browser.choose("fatId", 2, "shea-butter").typeInto("fatAmount", 2, "50");
        browser.choose("mould", 0, "oak loaf").choose("process", 0, "HOT");
        browser.choose("additiveId", 0, "eo-lavender").typeInto("additiveAmount", 0, "25");
        browser.tickAll(".entry-row:nth-child(3) [name=fatAfter]");
        browser.waitForText("After the cook, once a test is calm: 50.0 g Shea butter. It stays what it is");
        // What would steam off or stand stiff is told, and mended with a tap.
        browser.press("Into the paste, after the cook")
                .waitUntilTrue(() -> !browser.text().contains("would be cooked off"));
        browser.press("Lye at 26 %").waitForText("26.0 %");
        browser.press("Make this batch").waitFor(".weigh-list");
        String bench = browser.path();

        browser.quick("oil 62")
                .quick("lye in")
                .waitFor(".ladder")
                .quick("medium")
                .open(bench + "?step=cook")
                .waitFor(".ladder");
        browser.press("Heat on").waitForText("Heat off");
        browser.press("rises").waitFor(".rung[value='cook rises'].reached").waitForText("Stir it down now");
        browser.press("Stirred")
                .waitForText("0 min ago")
                .waitUntilTrue(() -> !browser.text().contains("Stir it down now"));
        browser.quick("pot 1790; pot 1560").waitForText("stir in, hot");
        browser.press("clear").waitFor(".rung[value='cook clear'].reached").waitForText("Read the pot");
        browser.quick("batter 78").waitForText("Gel is clear, too");

        // Nobody spoons it in untested without being asked; a test that is not calm keeps it on the heat.
        browser.type("quick", "poured" + Keys.ENTER).waitForText("No calm test of clear paste is logged");
        browser.open(bench + "?step=cook").waitFor("[aria-label^='pH of paste']");
        assertThat(browser.text()).doesNotContain("1 Shea butter");
        browser.quick("ph 12").waitForText("Alkali is left: the heat stays on");
        browser.quick("ph 9.8").waitForText("1 Shea butter");
        browser.press("In").waitForText("2 lavender");
        browser.press("In").waitUntilTrue(() -> browser.all(".next-step").isEmpty());
        browser.quick("cook off")
                .open(bench + "?step=pour")
                .waitForText("Spoon it in hot")
                .press("It is poured")
                .waitUntilTrue(() -> !browser.text().contains("It is poured"));
        browser.quick("unmould; cut 8").waitForText("cut into 8 bars");

        Batch batch =
                application.bean(BatchService.class).get(new BatchId(UUID.fromString(bench.replaceAll(".*/", ""))));
        assertThat(batch.log().of(Entry.Cooked.class).map(c -> c.entry().what()))
                .containsExactly(Cooking.HEAT_ON, Cooking.RISES, Cooking.STIRRED, Cooking.CLEAR, Cooking.HEAT_OFF);
        assertThat(batch.plan().formula().fats().get(2).afterCook()).isTrue();
        assertThat(batch.log().of(Entry.Added.class)).hasSize(2);
        assertThat(browser.complaints()).isEmpty();
    }
}
