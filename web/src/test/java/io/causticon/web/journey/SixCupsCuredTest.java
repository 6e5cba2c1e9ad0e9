package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.log.Whither;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.exchange.label.LabelsTest;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Stream;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

/** Six cups from the cut to whoever has them; and a market in December. */
@Application
class SixCupsCuredTest {

    /** Poured thirty-five days ago, and out of its mould the day after. */
    private static BatchId poured(RunningApplication application) {
        BatchService batches = application.bean(BatchService.class);
        List<Portion> cups = Stream.of("cream", "goat", "madder", "nettle", "oat", "tar")
                .map(n -> Portion.sharing(n, Share.percent(100 / 6.0)))
                .toList();
        var plan = Swirl.plan("Six Cups");
        plan = plan.with(Pouring.PLAIN.divided(new Portioning(Portioning.Way.SHARES, cups, Share.percent(0))));
        Instant begun = Instant.now().minus(Duration.ofDays(35));
        BatchId id = batches.begin(
                plan,
                null,
                1,
                begun,
                "Ines Harrow",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        Weights planned = Weights.planned(plan.formula());
        List<Entry> made = new ArrayList<>();
        planned.fats()
                .forEach(f -> made.add(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l ->
                        made.add(new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        made.add(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        made.add(new Entry.LyeClear());
        made.add(new Entry.LyeIntoFats());
        made.add(new Entry.StageReached(Stage.LIGHT, null));
        made.add(new Entry.Poured(Temperature.celsius(38)));
        made.add(new Entry.Kept(MouldCare.COVERED, null));
        batches.log(
                id,
                made,
                begun.plusSeconds(1800),
                "Ines Harrow",
                UUID.randomUUID().toString());
        batches.log(
                id,
                List.of(new Entry.Unmoulded()),
                begun.plus(Duration.ofHours(26)),
                "Ines Harrow",
                UUID.randomUUID().toString());
        return id;
    }

    @Test
    void areWeighedTestedReleasedAndOneIsSetApart(RunningApplication application, Browser browser) throws Exception {
        BatchId id = poured(application);
        browser.signIn("ines").open("/batch/" + id).waitFor("[name=quick]");
        browser.type("at", "day 1.2").quick("cut 12").waitForText("12 bars");

        // A mistyped weighing is told beside the field, and stays.
        browser.open("/batch/" + id + "/cure").waitFor(".cure-head");
        browser.type("bar", "goat bar heavy").press("Weighed").waitFor("#bar-problem");
        assertThat(browser.value("bar")).isEqualTo("goat bar heavy");
        browser.type("bar", "goat bar 98.4 g").press("Weighed").waitForText("of goat");
        browser.type("bar", "cream bar 3 101.2 g").press("Weighed").waitForText("3 of cream");
        browser.type("bar", "bar 5 99.0 g")
                .press("Weighed")
                .waitUntilTrue(() -> browser.texts(".bars b").contains("5"));
        assertThat(browser.texts(".bars b")).containsExactly("of goat", "3 of cream", "5");

        // Each cup is tested apart, step by step; a titration is reckoned.
        assertThat(browser.text(".side"))
                .contains("Wash your own hands once")
                .contains("No wash or titration was calm yet")
                .contains("running water");
        browser.type("on", "the cream bar").press("calm").waitForText("wash test: calm");
        browser.open("/batch/" + id + "/cure?test=titrate").waitForText("Dissolve it in 50 g");
        browser.type("used", "2 ml")
                .type("strength", "0.1")
                .type("soap", "5")
                .type("on", "the goat bar")
                .press("Log it")
                .waitFor(".guide-form .field-problem");
        assertThat(browser.value("used")).isEqualTo("2 ml");
        assertThat(browser.text(".guide-form .field-problem")).contains("2 ml");
        browser.type("used", "0.2").press("Log it").waitForText("titrated: free alkali 0.02 %");

        // One cup is set apart; the gate lets the rest go.
        browser.open("/batch/" + id).waitFor("[name=quick]");
        browser.quick("set apart the tar bars: they smell burnt").waitForText("set apart");
        browser.open("/batch/" + id + "/cure").waitForText("Set apart 1 bar of tar: they smell burnt");
        browser.press("Release it in its case").waitFor("[name=reason]");
        browser.type("reason", "calm, 35 days").press("Release as sound");
        browser.waitUntilTrue(() -> application.bean(BatchService.class).get(id).life() == Life.READY);
        browser.open("/batch/" + id + "/cure").waitForText("12 of 12 are here");
        browser.type("bars", "2 bars of tar")
                .type("to", "Market")
                .press("They went")
                .waitFor("#went-problem");
        assertThat(browser.text("#went-problem")).contains("set apart (they smell burnt)");
        browser.type("bars", "4 bars of cream")
                .type("to", "the harbour shop")
                .press("They went")
                .waitForText("8 of 12 are here; 4 sold");
        assertThat(BarStock.of(application.bean(BatchService.class).get(id).log())
                        .count(Whither.SOLD))
                .isEqualTo(4);
        browser.open("/recall?find=Tarred+hemp").waitForText("the harbour shop");

        // The label's code leads to the batch.
        browser.open("/batch/" + id + "/labels?kind=rack").waitFor(".label-shown svg");
        // As large as a camera close by sees it.
        browser.script("const f = document.querySelector('.label-shown'); f.style.overflow = 'visible';"
                + " f.firstElementChild.style.width = '1200px'; f.scrollIntoView()");
        Path picture = Files.createTempFile("label", ".png");
        browser.picture(picture);
        String address = LabelsTest.decoded(ImageIO.read(picture.toFile()));
        assertThat(address).startsWith(application.address());
        browser.open(address.substring(application.address().length())).waitForText("Six Cups");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aMarketInDecemberBecomesThreePlans(RunningApplication application, Browser browser) {
        LocalDate market = LocalDate.now(ZoneOffset.UTC).plusDays(150);
        browser.signIn("odd").open("/dates").waitFor(".goal-form");
        browser.type("bars", "many")
                .type("by", "some day")
                .press("When to make them")
                .waitFor("#bars-problem");
        assertThat(browser.value("by")).isEqualTo("some day");
        assertThat(browser.texts(".goal-form .field-problem")).hasSize(3);
        browser.type("bars", "30")
                .chooseText("recipe", "Honey Loft")
                .type("by", market.format(DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH)));
        browser.press("When to make them").waitFor(".goal-found");
        assertThat(browser.text(".goal-found")).contains("3 batches, at the latest");
        assertThat(browser.all(".goal-found tbody tr")).hasSize(3);
        browser.press("Keep as plans").waitForText("30 bars of Honey Loft ready by");
        assertThat(browser.texts(".date-due a").stream().filter(t -> t.equals("Make Honey Loft")))
                .hasSize(3);
        browser.press("Put away")
                .waitUntilTrue(() -> browser.texts(".date-due a").stream()
                                .filter(t -> t.equals("Make Honey Loft"))
                                .count()
                        == 2);
        // The mould is taken on the days of what is kept: what is asked for next goes round them.
        browser.open("/").waitForText("Today");
        assertThat(browser.complaints()).isEmpty();
    }
}
