package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Batches that are not one batter, planned as a maker would. The sums of the parts are those of the whole. */
@Application
class DividedBatchesTest {

    private static final Pattern NUMBER = Pattern.compile("([\\d,]+\\.?\\d*) g");

    private static void fats(Browser browser, String name, String mould) {
        browser.signIn("odd").open("/plan/new").type("name", name);
        browser.choose("fatId", 0, "olive-oil").typeInto("fatAmount", 0, "700");
        browser.choose("fatId", 1, "coconut-oil-76").typeInto("fatAmount", 1, "300");
        browser.choose("mould", 0, mould).waitForText("saponification value 210");
    }

    private static void divide(Browser browser, String way) {
        browser.choose("portionWay", 0, way).waitFor("fieldset.portion");
    }

    private static void part(Browser browser, int index, String name, String amount) {
        while (browser.all("[name=portionName]").size() <= index) {
            int before = browser.all("[name=portionName]").size();
            browser.press("More rows");
            browser.waitFor("fieldset.portion:nth-of-type(" + (before + 1) + ")");
        }
        browser.typeInto("portionName", index, name);
        if (!amount.isEmpty()) {
            browser.typeInto("portionAmount", index, amount);
        }
    }

    private static double grams(String text) {
        Matcher matcher = NUMBER.matcher(text);
        assertThat(matcher.find()).as(text).isTrue();
        return Double.parseDouble(matcher.group(1).replace(",", ""));
    }

    /** What is weighed from the bowl adds up to the whole less what sticks, as shown to 0.1 g a row. */
    private static void partsMakeTheWhole(Browser browser, int parts) {
        browser.waitUntilTrue(() -> browser.texts(".portion-table .strong").size() == parts);
        double sum = browser.texts(".portion-table .strong").stream()
                .mapToDouble(DividedBatchesTest::grams)
                .sum();
        List<String> together = browser.texts(".portion-table tfoot tr:first-child td");
        assertThat(together.get(1)).isEqualTo("100.0 %");
        assertThat(grams(together.get(2))).isCloseTo(sum, within(0.06 * parts + 0.01));
        double whole = grams(browser.text(".compose-side").replaceAll("(?s).*?([\\d,.]+ g) of batter.*", "$1"));
        assertThat(sum + grams(together.get(3))).isCloseTo(whole, within(0.06 * parts + 0.06));
    }

    @Test
    void aFiveLayerSculptedLoafIsDrawnByFingerAndKeys(Browser browser) {
        fats(browser, "Five Tides", "oak loaf");
        divide(browser, "LAYERS");
        part(browser, 0, "sand", "12");
        part(browser, 1, "shallows", "20 26 18");
        part(browser, 2, "sea", "34 30 36");
        part(browser, 3, "haze", "46");
        part(browser, 4, "sky", "60 70 60");
        partsMakeTheWhole(browser, 5);
        assertThat(browser.all("svg.face path[data-layer]")).hasSize(5);
        // Sand is 12 of a mean height of 65 mm.
        assertThat(browser.text(".portion-table tbody")).contains("18.5 %");

        // A finger draws the middle of the shallows down, the keyboard up again.
        browser.drag(".handle[data-layer='1'][data-point='1']", 0, 30);
        browser.waitUntilTrue(() -> !browser.values("portionAmount").get(1).contains(":26"));
        String dragged = browser.values("portionAmount").get(1);
        assertThat(Double.parseDouble(dragged.split("[ :]")[3])).isBetween(12.0, 25.0);
        browser.focus(".handle[data-layer='1'][data-point='1']").keys(Keys.ARROW_UP);
        browser.waitUntilTrue(() -> !browser.values("portionAmount").get(1).equals(dragged));
        partsMakeTheWhole(browser, 5);

        // Lines that cross are told at the layer, and what was typed stays.
        browser.typeInto("portionAmount", 3, "20").waitForText("haze dips below sea");
        assertThat(browser.values("portionAmount").get(3)).isEqualTo("20");
        browser.typeInto("portionAmount", 3, "46").waitFor("svg.face");
        browser.press("Save").waitForText("version 1");
        assertThat(browser.values("portionName")).startsWith("sand", "shallows", "sea", "haze", "sky");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aTwoColourSplitIsWeighedFromTheBowl(Browser browser) {
        fats(browser, "Two Colours", "silicone loaf");
        divide(browser, "SHARES");
        part(browser, 0, "plain", "65");
        part(browser, 1, "charcoal", "35");
        browser.choose("portionAdditiveId", 1, "activated-charcoal").typeInto("portionAdditiveDose", 1, "1 %");
        // A hundredth of this part's fats: 1000 g x 97 % x 35 % = 339.5 g.
        browser.waitForText("its own 3.40 g Activated charcoal");
        partsMakeTheWhole(browser, 2);
        browser.typeInto("portionAmount", 1, "45").waitForText("The parts make 110.0 %, not 100 %");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aTubeIsFilledToItsHeight(Browser browser) {
        fats(browser, "Rain Pipe", "rain pipe");
        browser.press("by share, to fill the mould").waitFor("[name=fillHeight]");
        browser.typeInto("fillHeight", 0, "280").waitForText("Stands 280 of 300 mm");
        // 36 x 36 x pi x 280 mm3 = 1140.0 ml.
        String side = browser.text(".compose-side");
        double batter = grams(side);
        double density = Double.parseDouble(side.replaceAll("(?s).*?([\\d.]+) g/ml.*", "$1"));
        assertThat(batter / density).isCloseTo(1140.0, within(6.0));
        assertThat(side).contains("11 bars of 25 mm");
        divide(browser, "LAYERS");
        part(browser, 0, "dark", "140");
        part(browser, 1, "light", "280");
        partsMakeTheWhole(browser, 2);
        browser.typeInto("portionAmount", 0, "100 140 100").waitForText("dark is not flat");
    }

    @Test
    void twelveCavitiesTellWhatEachBarWeighs(Browser browser) {
        fats(browser, "A Dozen", "twelve cavities");
        browser.press("by share, to fill the mould").waitForText("12 bars");
        // 80 x 55 x 30 mm = 132 ml each, 1584 ml in all.
        String side = browser.text(".compose-side");
        double density = Double.parseDouble(side.replaceAll("(?s).*?([\\d.]+) g/ml.*", "$1"));
        assertThat(grams(side) / density).isCloseTo(1584, within(8.0));
        divide(browser, "CUPS");
        for (int i = 0; i < 3; i++) {
            part(browser, i, "four bars " + (i + 1), "");
        }
        partsMakeTheWhole(browser, 3);
        assertThat(browser.text(".portion-table tbody")).contains("33.3 %");
    }

    @Test
    void sixVariantsFromOneBatterHaveTheirOwnSuperfat(Browser browser) {
        fats(browser, "Six Cups", "silicone loaf");
        browser.typeInto("liquidValue", 0, "45");
        divide(browser, "CUPS");
        List<String> liquids = List.of(
                "distilled-water", "goat-milk-whole", "heavy-cream-36", "lemon-juice", "vinegar-5", "beer-flat");
        for (int i = 0; i < 6; i++) {
            part(browser, i, liquids.get(i), "");
            browser.choose("portionLiquidId", i, liquids.get(i)).typeInto("portionLiquidDose", i, "30 g");
        }
        partsMakeTheWhole(browser, 6);
        browser.waitForText("its own 30.0 g Beer");
        List<String> superfats = browser.texts(".portion-table tbody tr:first-child td:last-child");
        assertThat(superfats.get(0)).startsWith("5.0 %");
        // Worked in the core's tests: vinegar binds 4.13 points, cream brings fat for 6.47.
        assertThat(superfats.get(4)).startsWith("9.1 %");
        assertThat(superfats.get(2)).startsWith("11.5 %");
        assertThat(browser.complaints()).isEmpty();
    }
}
