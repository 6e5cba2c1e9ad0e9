package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Standing;
import io.causticon.core.science.cure.Readiness;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.awt.image.BufferedImage;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Bars as they stand and as they look over the weeks; what was made over the years. */
@Application
class FacesAndYearsTest {

    private static Batch called(RunningApplication application, String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Browser choose(Browser browser, Path picture) {
        browser.all("[name=photo]").get(0).sendKeys(picture.toString());
        return browser;
    }

    @Test
    void aFaceStandsBesideItselfAndHowBarsStandMovesTheirDate(RunningApplication application, Browser browser)
            throws Exception {
        Batch batch = called(application, "Sea Buckthorn Winter");
        Path picture = Files.createTempFile("face", ".png");
        ImageIO.write(new BufferedImage(80, 60, BufferedImage.TYPE_INT_RGB), "png", picture.toFile());
        String cure = "/batch/" + batch.id() + "/cure";
        browser.signIn("odd").open(cure).waitForText("A face over the weeks");
        assertThat(browser.text("main")).contains("How long they keep").contains("in half of such bars by");

        // A bar that is none is asked about; what was typed stays.
        choose(browser, picture)
                .type("of", "the bluest one")
                .type("caption", "end face")
                .press("Keep it")
                .waitFor("#picture-problem");
        assertThat(browser.value("of")).isEqualTo("the bluest one");
        assertThat(browser.value("caption")).isEqualTo("end face");
        choose(browser, picture).type("of", "bar 3").press("Keep it").waitFor(".face figure");
        choose(browser, picture)
                .type("of", "3")
                .type("caption", "a month on")
                .press("Keep it")
                .waitUntilTrue(() -> browser.all(".face figure").size() == 2);
        assertThat(browser.texts(".face h3")).containsExactly("Bar 3");
        assertThat(called(application, "Sea Buckthorn Winter")
                        .log()
                        .last(Entry.PhotoTaken.class)
                        .orElseThrow()
                        .entry()
                        .on())
                .isEqualTo(Bars.numbered(3));

        browser.press("close together")
                .waitUntilTrue(() -> called(application, "Sea Buckthorn Winter")
                        .log()
                        .last(Entry.BarsStand.class)
                        .isPresent())
                .waitForText("bars close together");
        browser.type("humidity", "damp").press("Read").waitFor("#stand-problem");
        assertThat(browser.value("humidity")).isEqualTo("damp");
        browser.type("humidity", "72").press("Read").waitForText("humidity 72 %");
        Batch now = called(application, "Sea Buckthorn Winter");
        assertThat(now.log().last(Entry.BarsStand.class).orElseThrow().entry().how())
                .isEqualTo(Standing.CLOSE);
        assertThat(now.log()
                        .last(Entry.HumidityRead.class)
                        .orElseThrow()
                        .entry()
                        .percent())
                .isEqualTo(72);
        assertThat(Readiness.of(now.plan(), now.log()).drying().readyDay()).isPositive();

        browser.open(cure + "?test=water").waitForText("How hard the water is");
        browser.type("hardness", "14").press("Log it").waitFor(".guide-form .field-problem");
        browser.type("hardness", "14 dH").press("Log it").waitForText("Worth doing today");
        assertThat(called(application, "Sea Buckthorn Winter")
                        .log()
                        .last(Entry.WaterRead.class)
                        .orElseThrow()
                        .entry()
                        .milligramsPerLitre())
                .isBetween(249.0, 251.0);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void theHistoryShowsWhatWasChangedBeforeADefect(RunningApplication application, Browser browser) {
        browser.signIn("guest").open("/history").waitFor(".multiples");
        String shown = browser.text("main");
        assertThat(shown)
                .contains("Nettle soda ash came")
                .contains("lye concentration 33.0 % to 28.0 %")
                .contains("mould kept covered, then uncovered");
        assertThat(shown)
                .contains("Sea Buckthorn Winter partial gel was gone")
                .contains("comparisons chance alone brings");
        browser.chooseText("by", "by mould")
                .chooseText("what", "peak of the core")
                .press("Show")
                .waitForText("silicone loaf");
        browser.open("/history?by=season&what=ROOM&find=nonsense").waitForText("None of these has it written down");
        browser.open("/history?by=ingredient&find=hempseed").waitForText("1 batch: stale spots");
        assertThat(browser.texts(".multiples h2")).containsExactly("Hempseed oil");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatMayGoStaleIsLookedAtFromTheListAndAHoldSaysWhy(RunningApplication application) {
        Client client = new Client(application.address()).signIn("ines");
        assertThat(client.get("/").body()).contains("the supplier called back lavender LV-2");
        Batch batch = called(application, "Net Loft Lavender");
        assertThat(client.get("/batch/" + batch.id() + "/cure").body()).contains("No test settles that");
        HttpResponse<String> answer = client.post(
                "/today/" + batch.id(), Map.of("line", "no orange dots that grow over months", "key", "stale-look"));
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(called(application, "Net Loft Lavender")
                        .log()
                        .last(Entry.Observed.class)
                        .orElseThrow()
                        .entry()
                        .finding())
                .isEqualTo("orange-dots");
    }
}
