package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.trial.PanelAge;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.SteppedClock;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/** Arms are planned, made, cut and judged at their ages, over weeks; what comes of it goes into a recipe. */
class TrialOverWeeksTest {

    private static final SteppedClock CLOCK = new SteppedClock();
    private static final List<String> LIQUIDS =
            List.of("water", "goat milk", "heavy cream", "black tea", "oat milk", "beer");
    private static final List<String> FATS = List.of(
            "olive oil",
            "coconut oil",
            "palm oil",
            "lard",
            "beef tallow",
            "shea butter",
            "cocoa butter",
            "castor oil",
            "rapeseed oil");

    private static RunningApplication application;

    @BeforeAll
    static void start() {
        application = RunningApplication.at(CLOCK);
    }

    @AfterAll
    static void stop() {
        application.close();
    }

    private static BatchService batches() {
        return application.bean(BatchService.class);
    }

    private static RecipeService.Recipe ferryBar() {
        return application.bean(RecipeService.class).inUse().stream()
                .filter(r -> r.plan().name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
    }

    /** As planned, to the gram. */
    private static void weigh(BatchId id) {
        Weights planned = Weights.planned(batches().get(id).plan().formula());
        List<Entry> lines = new ArrayList<>();
        planned.fats()
                .forEach(f -> lines.add(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l ->
                        lines.add(new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        planned.additives()
                .forEach(a -> lines.add(
                        new Entry.Weighed(Weighable.additive(a.additive().id()), a.mass(), Tare.TAKEN, null)));
        lines.add(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        log(id, lines.toArray(Entry[]::new));
    }

    private static void log(BatchId id, Entry... lines) {
        batches()
                .log(
                        id,
                        List.of(lines),
                        CLOCK.instant(),
                        "Ines Harrow",
                        UUID.randomUUID().toString());
    }

    private static void pass(Duration time) {
        CLOCK.pass(time);
    }

    @Test
    void sixCupsFromTheQuestionToTheRecipe() {
        try (Browser browser = new Browser(application.address())) {
            browser.size(820, 1180).signIn("ines").open("/plan").press("Trials").waitFor(".make-form");
            browser.typeInto("question", 0, "Which liquid lathers best?")
                    .choose("recipe", 0, ferryBar().recipe().toString());
            browser.type("things", "water\ngoat milk\nheavy cream\nblack tea\noat milk\nbear")
                    .type("dose", "6")
                    .press("Plan these arms")
                    .waitFor("#make-things-problem");
            assertThat(browser.text("#make-things-problem")).contains("bear").contains("is not known here");
            assertThat(browser.value("things")).contains("heavy cream");
            browser.type("things", String.join("\n", LIQUIDS))
                    .press("Plan these arms")
                    .waitFor(".to-make");
            String trial = browser.path();
            assertThat(browser.text("main"))
                    .contains("A clean question of the liquid")
                    .contains("in 6 cups")
                    .contains("heavy cream")
                    .contains("(comes with it)");
            new Everybody(browser).canUse("a trial");

            browser.press("Begin at the bench").waitFor(".bench, main");
            browser.waitUntilTrue(() -> browser.path().startsWith("/bench/"));
            BatchId id = BatchId.read(browser.path().replaceAll("^/bench/|[?].*", ""))
                    .orElseThrow();
            assertThat(batches().get(id).purpose()).isEqualTo(Purpose.TRIAL);
            weigh(id);
            pass(Duration.ofMinutes(40));
            browser.open("/batch/" + id).waitFor("[name=quick]");
            browser.quick("oil 41").quick("lye in").quick("light trace").quick("poured 38 C");
            pass(Duration.ofHours(24));
            browser.open("/batch/" + id).waitFor("[name=quick]").quick("unmoulded");
            pass(Duration.ofHours(2));
            browser.quick("cut 12").waitForText("12 bars");
            browser.open(trial).waitForText("a measurement or two days more come first");

            pass(Duration.ofHours(46));
            browser.open(trial).waitForText("one calm wash of its own comes first");
            // Its day stands among what is due, and in the calendar.
            pass(Duration.ofHours(1));
            for (String cup : LIQUIDS) {
                browser.open("/batch/" + id).waitFor("[name=quick]").quick("wash calm on the \"" + cup + "\" bar");
            }
            assertThat(new Client(application.address())
                            .signIn("ines")
                            .get("/dates")
                            .body())
                    .contains("Judge at 48 h: Which liquid lathers best?")
                    .contains("Judge at 3 months");
            browser.open("/").waitForText("judge at 48 h: water, goat milk");

            browser.open(trial).type("hardness", "hard").press("Write it down").waitFor("#hardness-problem");
            assertThat(browser.value("hardness")).isEqualTo("hard");
            browser.type("hardness", "12 dH")
                    .press("Write it down")
                    .waitUntilTrue(() -> browser.value("hardness").isEmpty());
            rounds(browser, trial, "48 h", 4);
            pass(Duration.ofDays(33));
            browser.signIn("ines");
            rounds(browser, trial, "5 weeks", 5);
            browser.open(trial).waitForText("Against water: heavy cream at");
            assertThat(browser.text("main"))
                    .contains("214 mg/l of lime")
                    .contains("Water of 38")
                    .contains("Worth it?")
                    .contains("Hands found nothing for it so far");
            new Everybody(browser).canUse("a result");

            // The winner, by a tap, and once however often it is tapped.
            int before = ferryBar().version();
            browser.pressAt("[aria-label='Into the recipe: heavy cream']").waitForText("What hands found here");
            assertThat(ferryBar().version()).isEqualTo(before + 1);
            assertThat(ferryBar().plan().formula().liquidParts())
                    .anyMatch(l -> l.liquid().id().startsWith("heavy-cream"));
            assertThat(ferryBar().plan().note()).contains("Chosen by the trial");
            assertThat(ferryBar().plan().mould()).isNotNull();
            assertThat(browser.text()).contains("heavy cream against water at 5 weeks, 2 judges: cream +");
            browser.open(trial)
                    .waitFor(".worth-row")
                    .pressAt("[aria-label='Into the recipe: heavy cream']")
                    .waitForText("What hands found here");
            assertThat(ferryBar().version()).isEqualTo(before + 1);
            assertThat(browser.complaints()).isEmpty();
        }
    }

    /** Two judges, each arm before each. */
    private static void rounds(Browser browser, String trial, String age, int cream) {
        for (String judge : List.of("Ines Harrow", "Odd Brekke")) {
            browser.open(trial).type("judge", judge).press("Sit a round").waitForText("1 of 6");
            for (int place = 1; place <= 6; place++) {
                browser.waitForText(place + " of 6");
                int arm = Integer.parseInt(
                        String.valueOf(browser.script("return document.querySelector('[name=arm]').value")));
                int grade = LIQUIDS.get(arm).equals("heavy cream") ? cream : 2;
                browser.script("document.querySelector('[name=cream][value=\"" + grade
                        + "\"]').click(); document.querySelector('[name=firm][value=\"3\"]').click()");
                if (place == 1) {
                    browser.type("water", "380").press("Done with this one").waitFor("#water-problem");
                    assertThat(browser.text("#water-problem")).contains("380");
                    browser.type("water", "38");
                    if (age.equals("48 h") && judge.startsWith("Ines")) {
                        new Everybody(browser).canUse("a round with its drawn anchors");
                    }
                }
                browser.press("Done with this one")
                        .waitForText(place == 6 ? "has judged all of them at " + age : place + 1 + " of 6");
            }
        }
    }

    /** One a week, each judged at its own ages: alone when fresh, beside its equals later. */
    @Test
    void nineFatsOverTwoMonths() {
        Client ines = new Client(application.address()).signIn("ines");
        Map<String, String> form = Map.of(
                "question",
                "Which fat lathers best alone?",
                "recipe",
                ferryBar().recipe().toString(),
                "kind",
                "FAT",
                "way",
                "BATCHES",
                "things",
                String.join("\n", FATS),
                "fats",
                "300 g",
                "control",
                "olive oil",
                "key",
                "nine");
        String trial = ines.post("/trials/make", form)
                .headers()
                .firstValue("location")
                .orElseThrow()
                .replaceFirst("^https?://[^/]+", "");
        assertThat(ines.post("/trials/make", form)
                        .headers()
                        .firstValue("location")
                        .orElseThrow())
                .endsWith(trial);
        Map<String, Batch> made = new HashMap<>();
        for (int week = 0; week < 21; week++) {
            // Nobody stays signed in over months.
            ines = new Client(application.address()).signIn("ines");
            if (week < FATS.size()) {
                String began = ines.post(trial + "/begin", Map.of("pot", String.valueOf(week + 1)))
                        .headers()
                        .firstValue("location")
                        .orElseThrow();
                assertThat(ines.post(trial + "/begin", Map.of("pot", String.valueOf(week + 1)))
                                .headers()
                                .firstValue("location")
                                .orElseThrow())
                        .isEqualTo(began);
                BatchId id = BatchId.read(began.replaceAll("^.*/bench/", "")).orElseThrow();
                weigh(id);
                log(
                        id,
                        new Entry.LyeIntoFats(),
                        new Entry.StageReached(Stage.LIGHT, null),
                        new Entry.Poured(Temperature.celsius(38)));
                pass(Duration.ofHours(26));
                log(id, new Entry.Unmoulded(), new Entry.Cut(6));
                pass(Duration.ofHours(50));
                log(id, new Entry.WashTested(WashFeel.CALM));
                made.put(FATS.get(week), batches().get(id));
                judge(ines, trial, "Ines Harrow");
                pass(Duration.ofDays(7).minusHours(76));
            } else {
                pass(Duration.ofDays(7));
            }
            // Whoever came of age sits down.
            if (week % 3 == 2) {
                judge(ines, trial, "Ines Harrow");
                judge(ines, trial, "Odd Brekke");
            }
        }
        assertThat(made).hasSize(9);
        assertThat(made.get("lard").plan().formula().fatMass().grams()).isEqualTo(300);
        String page =
                new Client(application.address()).signIn("ines").get(trial).body();
        assertThat(page)
                .contains("Against olive oil: ")
                .contains("not all were judged on one day")
                .contains("coconut oil at 3 months")
                .contains("A clean question of the fats")
                .doesNotContain("To make");
        for (String fat : FATS) {
            BatchId id = made.get(fat).id();
            List<String> ages = batches()
                    .get(id)
                    .log()
                    .of(Entry.Judged.class)
                    .map(j -> Duration.between(
                            batches()
                                    .get(id)
                                    .log()
                                    .first(Entry.Cut.class)
                                    .orElseThrow()
                                    .at(),
                            j.at()))
                    .map(PanelAge::wordsFor)
                    .distinct()
                    .toList();
            assertThat(ages).as(fat).contains("48 h", "5 weeks", "3 months");
        }
        assertThat(new Client(application.address())
                        .signIn("ines")
                        .get("/plan/" + ferryBar().recipe())
                        .body())
                .contains("coconut oil against olive oil at 3 months, 2 judges: start +");
    }

    private static final Pattern ARM = Pattern.compile("(?s)class=\"round\".*name=\"arm\"\\s+value=\"(\\d+)\"");

    /** All that a judge may judge today: coconut lathers at once, the others do not. */
    private static void judge(Client ines, String trial, String judge) {
        for (int n = 0; n < 20; n++) {
            Matcher turn = ARM.matcher(ines.get(trial + "/round?judge=" + judge.replace(" ", "%20"))
                    .body());
            if (!turn.find()) {
                return;
            }
            String grade = FATS.get(Integer.parseInt(turn.group(1))).equals("coconut oil") ? "5" : "2";
            HttpResponse<String> kept = ines.post(
                    trial + "/round",
                    Map.of(
                            "judge",
                            judge,
                            "arm",
                            turn.group(1),
                            "start",
                            grade,
                            "slip",
                            "3",
                            "key",
                            UUID.randomUUID().toString()));
            assertThat(kept.statusCode())
                    .as(kept.body().replaceAll("(?s).*?(field-problem[^<]*<).*", "$1"))
                    .isEqualTo(302);
        }
        throw new AssertionError("a round without an end");
    }
}
