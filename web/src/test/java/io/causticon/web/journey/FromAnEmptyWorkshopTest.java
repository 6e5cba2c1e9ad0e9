package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.util.List;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * Jobs that a maker has in her note, from an empty workshop, in both systems of units. What is typed is what the note
 * holds; nothing is worked out beside it. How much she taps and types is counted and printed.
 */
class FromAnEmptyWorkshopTest {

    /** A page that is left is marked, so that the one after it is told from it. */
    private static final String MARKED = "document.querySelector('main').dataset.before = 'yes'";

    private static final int MOST_TAPS = 12;
    private static final int MOST_KEYS = 60;

    private static RunningApplication application;
    private static Browser browser;

    private int taps;
    private int keys;
    private int pages;

    /** Grams, or ounces. */
    private enum Note {
        METRIC,
        US;

        String of(String grams, String ounces) {
            return this == METRIC ? grams : ounces;
        }

        /** What the page says of it. */
        String unit() {
            return of("g", "oz");
        }
    }

    /** From an empty workshop to the first weight: account and a recipe of two lines. */
    @BeforeAll
    static void aTwoLineRecipeIsOnTheScale() {
        application = RunningApplication.own(false);
        browser = new Browser(application.address());
        FromAnEmptyWorkshopTest hand = new FromAnEmptyWorkshopTest();
        browser.open("/").waitFor("[data-first-visit]");
        hand.type("name", 0, "mara").type("password", 0, "tide-salt-9").tap("Open the workshop");
        browser.waitFor(".note-form");
        hand.type("note", 0, "olive 400\nlye 52\nwater 120");
        browser.waitForText("superfat");
        hand.tap("Make this batch");
        browser.waitForText("next on the scale");
        hand.type("amount", 0, "400");
        browser.script(MARKED);
        hand.tap("Weighed");
        // The page goes on by itself once the weight is kept; until it has, it must not be left.
        browser.waitUntilTrue(FromAnEmptyWorkshopTest::isAnew);
        browser.waitForText("Distilled");
        List<Batch> batches = application.bean(BatchService.class).all();
        browser.waitUntilTrue(() -> application
                .bean(BatchService.class)
                .all()
                .get(0)
                .log()
                .first(Entry.Weighed.class)
                .isPresent());
        assertThat(batches).hasSize(1);
        System.out.println(
                "From creating the account to the first weight: " + hand.taps + " taps, " + hand.keys + " keys");
        assertThat(hand.taps).isLessThanOrEqualTo(MOST_TAPS);
        assertThat(hand.keys).isLessThanOrEqualTo(MOST_KEYS);
        assertThat(browser.complaints()).isEmpty();
    }

    @AfterAll
    static void itIsClosed() {
        browser.close();
        application.close();
    }

    private void in(Note note) {
        browser.open("/settings")
                .waitFor("main")
                .choose("mass", 0, note.of("GRAM", "OUNCE"))
                .choose("temperature", 0, note.of("CELSIUS", "FAHRENHEIT"))
                .script(MARKED);
        browser.pressAt("form:has([name=mass]) button").waitUntilTrue(FromAnEmptyWorkshopTest::isAnew);
    }

    private static boolean isAnew() {
        return browser.all("main:not([data-before])").size() == 1;
    }

    private FromAnEmptyWorkshopTest open(String path) {
        taps++;
        pages++;
        browser.open(path).waitFor("main");
        return this;
    }

    private FromAnEmptyWorkshopTest type(String field, int index, String text) {
        taps++;
        keys += text.length();
        browser.typeInto(field, index, text);
        return this;
    }

    private FromAnEmptyWorkshopTest pick(String field, int index, String letters) {
        taps++;
        keys += letters.length() + 1;
        browser.pick(field, index, letters);
        return this;
    }

    private FromAnEmptyWorkshopTest choose(String field, int index, String value) {
        taps += 2;
        browser.choose(field, index, value);
        return this;
    }

    /** A choice that the page is drawn anew for. */
    private FromAnEmptyWorkshopTest chooseAndWait(String field, String value, String css) {
        browser.script(MARKED);
        choose(field, 0, value);
        pages++;
        browser.waitUntilTrue(() -> isAnew() && browser.all(css).size() > 0);
        return this;
    }

    private FromAnEmptyWorkshopTest press(String words, String css) {
        taps++;
        pages++;
        browser.script(MARKED);
        browser.press(words);
        browser.waitUntilTrue(() -> isAnew() && browser.all(css).size() > 0);
        return this;
    }

    private FromAnEmptyWorkshopTest tap(String words) {
        taps++;
        browser.press(words);
        return this;
    }

    private void save() {
        press("Save", ".compose");
        assertThat(browser.path()).matches("/plan/[0-9a-f-]{36}");
        assertThat(browser.texts(".field-problem").stream().filter(t -> !t.isBlank()))
                .isEmpty();
    }

    private void done(String job, Note note) {
        System.out.println(job + ", " + note + ": " + taps + " taps, " + keys + " keys, " + pages + " pages");
        assertThat(browser.complaints()).isEmpty();
    }

    /**
     * 500 g of olive oil, 65 g of lye at 98 %, 130 g of water: 67.7 g of pure lye would be wanted, 63.7 are given, 5.9
     * % of superfat.
     */
    @ParameterizedTest
    @EnumSource(Note.class)
    void allOliveWithKnownLyeAndWaterInSixCavities(Note note) {
        in(note);
        open("/shelf");
        taps++;
        browser.press("Add a mould").waitFor("#mould details[open]");
        type("name", 2, "roses " + note.unit())
                .choose("kind", 0, "CAVITIES")
                .type("cavities", 0, "6")
                .type("water", 0, note.of("120", "4.25 oz"));
        press("Add the mould", "#mould");
        open("/plan/new");
        type("name", 0, "All olive").pick("fatId", 0, "olive v").type("fatAmount", 0, note.of("500", "17.64"));
        type("lyeMass", 0, note.of("65", "2.293")).type("liquidAmount", 0, note.of("130 g", "4.586 oz"));
        choose("mould", 0, "roses " + note.unit());
        browser.waitForText("follows, 5.9 %").waitForText("follows from the masses");
        save();
        // 696 g of batter with the olive's and the lye's volumes; six cavities of 120 ml hold some 720.
        assertThat(browser.text(".compose-side"))
                .contains("% of the mould")
                .contains("6 bars")
                .doesNotContain("It runs over");
        done("All-olive in six cavities", note);
    }

    @ParameterizedTest
    @EnumSource(Note.class)
    void sevenFatsWithReconstitutedSlushMilkAndTheFridge(Note note) {
        in(note);
        open("/plan/new");
        type("name", 0, "Seven fats");
        List<String> fats = List.of("olive v", "coconut 76", "shea b", "castor", "rice b", "lard", "cocoa b");
        List<String> grams = List.of("283", "227", "57", "57", "113", "113", "57");
        List<String> ounces = List.of("10", "8", "2", "2", "4", "4", "2");
        for (int i = 0; i < fats.size(); i++) {
            pick("fatId", i, fats.get(i)).type("fatAmount", i, note.of(grams.get(i), ounces.get(i)));
        }
        pick("liquidId", 0, "goat milk w")
                .type("liquidAmount", 0, note.of("290 g", "10.2 oz"))
                .choose("liquidState", 0, "SLUSH");
        // Kept as it is typed, so that the button beside it is there.
        press("More rows", ".powder");
        press("from powder and water", ".compose");
        choose("gel", 0, "PREVENT");
        browser.waitForText("Distilled or deionised water, slush");
        save();
        assertThat(browser.value("fatAmount")).isEqualTo(note.of("283", "10"));
        // 13.4 % of 290 g are 38.9 g of powder, 251.1 g of water.
        assertThat(browser.values("liquidAmount"))
                .startsWith(note.of("38.87 g", "1.367 oz"), note.of("251.13 g", "8.833 oz"));
        browser.press("batch sheet").waitFor(".sheet-page");
        assertThat(browser.text()).contains("slush, for the lye").contains("keep it cold");
        done("Seven fats with slush milk from powder", note);
    }

    @ParameterizedTest
    @EnumSource(Note.class)
    void fiveUnequalLayersWithALyeSolutionEach(Note note) {
        in(note);
        open("/plan/new");
        type("name", 0, "Five layers");
        pick("fatId", 0, "olive v")
                .type("fatAmount", 0, "70")
                .pick("fatId", 1, "coconut 76")
                .type("fatAmount", 1, "30");
        press("by share, to fill the mould", ".compose");
        chooseAndWait("portionWay", "LAYERS", "#lyeRoute");
        chooseAndWait("lyeRoute", "OWN", "[name=portionAdditiveJoins]");
        List<String> tops = List.of("10", "22", "30", "45", "60");
        for (int i = 0; i < tops.size(); i++) {
            if (browser.all("input[name=portionAmount]").size() <= i) {
                press("More rows", ".compose");
            }
            type("portionAmount", i, tops.get(i));
        }
        pick("portionAdditiveId", 1, "kaolin")
                .type("portionAdditiveDose", 1, note.of("4 g", "0.14 oz"))
                .choose("portionAdditiveJoins", 1, "LYE");
        choose("mould", 0, "wooden loaf");
        browser.waitUntilTrue(() -> browser.all(".jug").size() == 5);
        save();
        assertThat(browser.texts(".jug").get(1))
                .contains("NaOH")
                .contains("Kaolin")
                .contains("superfat 5.0 %");
        browser.press("batch sheet").waitFor(".sheet-page");
        assertThat(browser.all(".sheet-page .jug .box").size()).isEqualTo(5 * 3 + 1);
        done("Five layers with a lye each", note);
    }

    @ParameterizedTest
    @EnumSource(Note.class)
    void sixCupsFromOneBatter(Note note) {
        in(note);
        open("/plan/new");
        type("name", 0, "Six cups").pick("fatId", 0, "olive v");
        chooseAndWait("portionWay", "CUPS", "#cups");
        pick("portionLiquidId", 0, "carrot").type("portionLiquidDose", 0, note.of("15 g", "0.53 oz"));
        type("cups", 0, "6").type("cup", 0, note.of("100", "3.527"));
        press("Lay them out", ".portion-table");
        // 600 g and the 3 % that stick: 618.6 g of batter, 442.5 g of fats.
        assertThat(browser.text("[data-in=total]")).isEqualTo(note.of("442.5 g", "15.61 oz"));
        save();
        assertThat(browser.all(".portion-table .strong")).hasSize(6);
        done("Six cups from one batter", note);
    }
}
