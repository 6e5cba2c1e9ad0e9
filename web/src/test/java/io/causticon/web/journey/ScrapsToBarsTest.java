package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.quantity.Mass;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Scrap;
import io.causticon.web.store.batch.Scraps;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Trimmings of two batches, onto the shelf, into the pot, and out of the mould again. */
@Application
class ScrapsToBarsTest {

    private static BatchId called(RunningApplication application, String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static Scrap scrap(RunningApplication application, String name) {
        return application.bean(Scraps.class).onTheShelf().stream()
                .filter(s -> s.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void becomeABatchThatKnowsWhatItIsMadeOf(RunningApplication application, Browser browser) {
        BatchId nettle = called(application, "Nettle");
        browser.signIn("odd").open("/bench/" + nettle + "?step=out").waitForText("Cut.");
        browser.typeInto("degrees", 0, "green 90 g").press("Trimmings").waitForText("On the shelf: 90.0 g green");
        browser.quick("trimmings green 35 g").waitForText("On the shelf: 125.0 g green");
        browser.open("/shelf").waitForText("green of Nettle");

        // What is typed wrongly is told beside it, and stays.
        Scrap green = scrap(application, "green of Nettle");
        Scrap pale = scrap(application, "pale of Long Shelf");
        browser.press("Melt some down").waitFor(".rework-rows");
        browser.type("take-" + green.id(), "a lump")
                .type("take-" + pale.id(), "900 g")
                .type("water", "much")
                .press("Work it out")
                .waitForText("There is only");
        assertThat(browser.value("take-" + green.id())).isEqualTo("a lump");
        assertThat(browser.value("water")).isEqualTo("much");
        assertThat(browser.texts(".field-problem").stream().filter(x -> !x.isBlank()))
                .hasSize(3);
        browser.type("take-" + green.id(), "125")
                .type("take-" + pale.id(), "200")
                .type("water", "")
                .press("Work it out")
                .waitFor(".rework-out .verdict-box");
        assertThat(browser.text()).contains("fat enough by themselves").contains("Grate or cut it");
        browser.press("Begin the batch").waitFor(".field-problem:not(:empty)");
        assertThat(browser.value("take-" + pale.id())).isEqualTo("200");
        browser.type("name", "Tideline Crumbs").press("Begin the batch").waitFor(".weigh-list");
        BatchId id = new BatchId(UUID.fromString(browser.path().replaceAll(".*/", "")));

        // What a batch took is not on the shelf any more, and what its log says of it counts.
        assertThat(application.bean(Scraps.class).onTheShelf()).noneMatch(s -> s.id().equals(green.id()));
        browser.quick("green of nettle 121 g").quick("pale of long shelf 200 g").quick("water 80 g");
        browser.open("/bench/" + id).waitForText("Heat on");
        assertThat(browser.text()).doesNotContain("Lye pot").contains("Melt");
        browser.press("Heat on").waitForText("stir every");
        browser.press("lumpy").waitForText("mash is lumpy").press("even").waitForText("Spoon it in while it is soft");
        browser.press("To the mould").waitForText("Spoon it in hot");
        browser.press("It is poured").waitUntilTrue(() -> !browser.text().contains("It is poured"));
        browser.press("Covered").waitForText("covered");
        browser.open("/bench/" + id + "?step=out").press("It is out").waitForText("Out of the mould. Cut it");
        browser.typeInto("degrees", 0, "4").press("Cut").waitForText("Bevel and stamp");

        Batch made = application.bean(BatchService.class).get(id);
        assertThat(made.log().has(Entry.Kept.class, k -> k.keeping() == MouldCare.COVERED))
                .isTrue();
        assertThat(scrap(application, "green of Nettle").left()).isEqualTo(Mass.grams(4));
        browser.open("/batch/" + id).waitForText("Made from 121.0 g green of Nettle, 200.0 g pale of Long Shelf");
        browser.open("/batch/" + nettle).waitForText("Went into Tideline Crumbs, 121.0 g");
        browser.open("/?find=" + green.id()).waitForText("Tideline Crumbs");
        // Who looks for a batch finds what was melted down from it, too.
        browser.open("/recall?find="
                        + application.bean(BatchService.class).get(nettle).code())
                .waitForText("Tideline Crumbs");
        browser.open("/casebook/" + id).waitForText("7 days is the least");
        browser.open("/plan/batch/" + id + "/sheet").waitForText("green of Nettle");
        assertThat(browser.text()).doesNotContain("hydroxide");
        assertThat(browser.complaints()).isEmpty();
    }

    /** Who amends how much was put aside, or gives the rework up, finds it on the shelf. */
    @Test
    void areOnTheShelfAsTheLogsSay(RunningApplication application, Browser browser) {
        BatchId harbour = called(application, "Harbour Milk");
        browser.signIn("odd")
                .open("/batch/" + harbour)
                .quick("trimmings beige 60 g")
                .waitForText("60.0 g of scraps kept: beige");
        Scrap beige = scrap(application, "beige of Harbour Milk");
        browser.open("/rework?take-" + beige.id() + "=60&name=Milk%20Ends")
                .press("Begin the batch")
                .waitFor(".weigh-list");
        assertThat(application.bean(Scraps.class).find(beige.id()).orElseThrow().left())
                .isEqualTo(Mass.ZERO);
        browser.press("Begun by mistake, or given up?")
                .type("reason", "the pot is dirty" + Keys.ENTER)
                .waitForText("given up");
        assertThat(application.bean(Scraps.class).find(beige.id()).orElseThrow().left())
                .isEqualTo(Mass.grams(60));
        browser.open("/batch/" + harbour)
                .pressAt(".log-scroll a")
                .waitForText("Amend it")
                .type("quick", "scraps beige 75 g" + Keys.ENTER)
                .waitForText("75.0 g of scraps kept");
        assertThat(application.bean(Scraps.class).find(beige.id()).orElseThrow().left())
                .isEqualTo(Mass.grams(75));
    }

    /** A held batch is melted down with the fat that its case worked out. */
    @Test
    void ofAHeldBatchWantTheFatOfItsCase(RunningApplication application, Browser browser) {
        BatchId held = called(application, "Sail Loft Tar");
        browser.signIn("odd").open("/casebook/" + held).waitForText("Rebatch");
        String ofCase = browser.value("mass");
        browser.press("Plan it as a batch").waitFor(".rework-out .verdict-box");
        assertThat(browser.text()).contains("is held").contains("gloves and goggles until a test");
        double proposed =
                Double.parseDouble(browser.all("[name=fatMass]").get(0).getDomAttribute("placeholder"));
        assertThat(proposed)
                .isCloseTo(
                        Double.parseDouble(ofCase.replace(" g", "")),
                        org.assertj.core.api.Assertions.withinPercentage(6));
        browser.type("fatMass", "0")
                .type("name", "Never")
                .press("Begin the batch")
                .waitForText("That would leave alkali in it");
        assertThat(browser.value("name")).isEqualTo("Never");
    }
}
