package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import org.junit.jupiter.api.Test;

/**
 * The main job on real input: plan a kilogram, make it with the clock given by hand, watch it for weeks, learn what it
 * has.
 */
@Application
class FromPlanToVerdictTest {

    private static final DateTimeFormatter FIELD = DateTimeFormatter.ofPattern("yyyy-MM-dd'T'HH:mm");
    private static final LocalDateTime BEGUN =
            LocalDateTime.now().minusDays(20).truncatedTo(ChronoUnit.DAYS).plusHours(18);

    @Test
    void twoFatsSwappedAreFoundNamedAndHeld(Browser browser) {
        plan(browser, "Swapped Kilogram");
        // Asked whether it is so, she says yes: that is what she reads on the scale.
        odd(browser, "Coconut", "300", "700");
        odd(browser, "Olive", "700", "300");
        // Still on the bench, the swap is suspected aloud.
        assertThat(browser.text(".warning"))
                .contains("Olive and Coconut look swapped")
                .contains("1,000.0 g");
        finishMaking(browser);
        assertThat(browser.path()).startsWith("/bench/");

        browser.press("To the batch").waitFor(".strip svg");
        browser.quick("day 4 see thick crust")
                .quick("day 7 strip 9")
                .quick("day 11 see crust grows")
                .quick("day 12 wash burns");
        browser.press("Something is wrong").waitFor(".verdict-box");

        assertThat(browser.text(".verdict-box"))
                .contains("Held. Do not use or sell.")
                .contains("lye-heavy stands at over 99 %");
        assertThat(browser.text(".cond")).startsWith("over 99 %").contains("lye-heavy");
        assertThat(browser.text("[data-condition=lye-heavy]"))
                .contains("strip reads 9: does not clear it")
                .contains("burning wash");
        // 163.2 g x 0.98 = 159.94 g NaOH = 224.36 g as KOH meet 300 x 0.256 + 700 x 0.190 = 209.8 g: 1 - 224.36 / 209.8
        // = -6.94 %.
        assertThat(browser.text(".case-why"))
                .contains("Olive and Coconut swapped in the log")
                .contains("700.0 g of Olive instead of 300.0 g, 300.0 g of Coconut instead of 700.0 g")
                .contains("superfat planned 5 %, then \u22126.9 %");
        browser.type("reason", "looks fine to me").press("Release");
        browser.waitFor(".problem");
        assertThat(browser.text(".problem"))
                .contains("lye-heavy is still possible")
                .contains("a burning wash on day 12 stands");
        assertThat(browser.value("reason")).isEqualTo("looks fine to me");
        browser.open("/");
        assertThat(browser.text(".side")).contains("Swapped Kilogram is held");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aBloomThatSteamsOffIsSodaAshAndNotHeld(Browser browser) {
        plan(browser, "Calm Kilogram");
        weigh(browser, "Olive", "300");
        weigh(browser, "Coconut", "700");
        assertThat(browser.all(".warning")).isEmpty();
        finishMaking(browser);
        browser.press("To the batch").waitFor(".strip svg");
        browser.quick("day 3 see bloom")
                .quick("day 4 no resists steam")
                .quick("day 5 wash calm")
                .quick("day 9 wash calm");
        browser.press("Something is wrong").waitFor(".verdict-box");

        assertThat(browser.text(".verdict-box")).startsWith("No hazard.");
        String hazards = browser.text(".verdict-box").replaceAll("(?s).*stand at (under )?([\\d.]+) %.*", "$2");
        assertThat(Double.parseDouble(hazards)).isLessThan(2);
        assertThat(browser.text("[data-condition=soda-ash] .cond-p")).matches("(9\\d|8\\d|over 99) %");
        assertThat(browser.all("[data-condition=lye-heavy]")).isEmpty();
        assertThat(browser.text(".verdicts")).contains("Unlikely: ").contains("lye-heavy");

        browser.choose("condition", 0, "soda-ash")
                .type("words", "it steamed off")
                .press("Keep the conclusion");
        browser.waitForText("soda ash: it steamed off");
        assertThat(browser.complaints()).isEmpty();
    }

    private static void plan(Browser browser, String name) {
        browser.signInAtTheForm("ines").open("/plan/new");
        browser.type("name", name);
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "300");
        browser.choose("fatId", 1, "coconut-oil-76").typeInto("fatAmount", 1, "700");
        browser.waitForText("saponification value 236");
        // 300 g x 190 + 700 g x 256 = 236.2 g KOH = 168.38 g NaOH; less 5 % = 159.96; at 98 % purity 163.2 g.
        assertThat(browser.text(".lye-head")).contains("163.2");
        assertThat(browser.text(".three")).contains("33.0 %").contains("2.03");
        browser.press("When, what for").set("begun", FIELD.format(BEGUN));
        browser.press("Make this batch").waitFor(".weigh-list");
        assertThat(browser.text()).contains("Time by hand");
    }

    private static void weigh(Browser browser, String fat, String grams) {
        browser.quick("weigh " + fat + " " + grams);
        browser.waitForText(fat + " " + grams + ".0 g");
    }

    private static void odd(Browser browser, String fat, String grams, String planned) {
        browser.type("quick", "weigh " + fat + " " + grams)
                .press("Log")
                .waitForText(grams + ".0 g of " + fat + ": the plan has " + planned + ".0 g");
        browser.press("It is so: log it")
                .waitUntilTrue(() -> browser.all(".question").isEmpty());
    }

    private static void finishMaking(Browser browser) {
        browser.quick("weigh lye 163.2 g").quick("weigh water 331.4 g");
        // Liquid and lye are asked for a second time; whoever does not want to goes on.
        browser.waitForText("once more, to be sure: Distilled").press("Make ready");
        browser.waitFor(".ready-list");
        browser.tickAll(".ready-list input[type=checkbox]");
        browser.press("Ready for lye");
        browser.waitFor("[aria-current=step]").waitForText("last reading");
        browser.quick("@+20m lye 88.5").quick("@+22m oil 52").quick("@+70m lye 43; oil 41");
        browser.quick("@+72m lye in").waitFor(".ladder");
        browser.quick("@+73m blend 20")
                .quick("@+76m emulsion")
                .quick("@+84m light")
                .quick("@+88m poured 40");
        browser.waitForText("Poured");
        browser.quick("@+7h gel none").quick("day 2 cut 10 bars");
    }
}
