package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A question asked of six cups, judged by two pairs of hands, and what it comes to. */
@Application
class TrialOfSixCupsTest {

    private static final List<String> CUPS = List.of("water", "goat", "cream", "tea", "oat", "beer");

    private static Batch cups(RunningApplication application) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Six Waters"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void isAskedJudgedInTurnAndRead(RunningApplication application, Browser browser) {
        browser.size(820, 1180).signIn("ines").open("/trials").waitFor(".goal-form");
        browser.typeInto("question", 1, "Does a liquid lather better than water?")
                .press("Ask it")
                .waitFor("#codes-problem");
        assertThat(browser.values("question")).contains("Does a liquid lather better than water?");
        browser.choose("batch", 0, cups(application).id().toString())
                .typeInto("control", 1, "chalk")
                .press("Ask it")
                .waitFor("#control-problem");
        assertThat(browser.text("#control-problem")).contains("water, goat, cream, tea, oat, beer");
        browser.typeInto("control", 1, "water").press("Ask it").waitForText("Nobody has judged yet");
        String trial = browser.path();
        // What stands apart is in no round; what else differs is told.
        assertThat(browser.text("main"))
                .contains("not washed with: set apart: smells sour")
                .contains("superfat 5.0 %, then 7")
                .contains("with Heavy cream, 36% fat at trace")
                .contains("A clean question of the liquid");

        for (String judge : List.of("Ines Harrow", "Odd Brekke")) {
            browser.open(trial).type("judge", judge).press("Sit a round").waitFor(".round");
            assertThat(browser.text("h1")).startsWith("Bar ");
            for (int place = 1; place <= 5; place++) {
                browser.waitForText(place + " of 5");
                if (place == 1) {
                    browser.press("Done with this one").waitForText("Grade at least one thing");
                    new Everybody(browser).canUse("a round");
                }
                int arm = Integer.parseInt(
                        String.valueOf(browser.script("return document.querySelector('[name=arm]').value")));
                int grade = CUPS.get(arm).equals("cream") ? 5 : 2;
                browser.script("document.querySelector('[name=cream][value=\"" + grade
                        + "\"]').click(); document.querySelector('[name=slip][value=\"3\"]').click()");
                if (place == 3 && judge.startsWith("Ines")) {
                    // Interrupted and taken up again: the same arm, nothing doubled.
                    browser.press("Go on later").waitFor(".cure-head");
                    browser.type("judge", judge).press("Sit a round").waitForText("3 of 5");
                    browser.script("document.querySelector('[name=cream][value=\"" + grade + "\"]').click()");
                }
                browser.press("Done with this one")
                        .waitForText(place == 5 ? "has judged all of them at 5 weeks" : place + 1 + " of 5");
            }
        }
        browser.open(trial).waitForText("Against water: cream at 5 weeks cream +3.0");
        Batch batch = cups(application);
        assertThat(batch.log().of(Entry.Judged.class)).hasSize(10);
        assertThat(batch.log().of(Entry.Judged.class).map(j -> j.entry().place()))
                .containsOnly(1, 2, 3, 4, 5);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void whatBurnsEndsTheRoundAndGuestsGradeNothing(RunningApplication application) {
        Client ines = new Client(application.address()).signIn("ines");
        Batch hot = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Sea Buckthorn Winter"))
                .findFirst()
                .orElseThrow();
        Batch dusk = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Harbour Dusk"))
                .findFirst()
                .orElseThrow();
        assertThat(ines.post(
                                "/trials",
                                Map.of(
                                        "question",
                                        "?",
                                        "factor",
                                        "x",
                                        "codes",
                                        "XX-1, " + dusk.code(),
                                        "control",
                                        "",
                                        "key",
                                        "t1"))
                        .body())
                .contains("No batch has the code XX-1");
        HttpResponse<String> made = ines.post(
                "/trials",
                Map.of(
                        "question",
                        "Cooked or cold?",
                        "factor",
                        "the road",
                        "codes",
                        dusk.code() + ", " + hot.code(),
                        "control",
                        "Harbour Dusk",
                        "key",
                        "t2"));
        String trial = made.headers().firstValue("location").orElseThrow().replaceFirst("^https?://[^/]+", "");
        assertThat(ines.post(
                                "/trials",
                                Map.of(
                                        "question",
                                        "Cooked or cold?",
                                        "factor",
                                        "the road",
                                        "codes",
                                        dusk.code() + ", " + hot.code(),
                                        "control",
                                        "Harbour Dusk",
                                        "key",
                                        "t2"))
                        .headers()
                        .firstValue("location")
                        .orElseThrow())
                .endsWith(trial);
        // Of unequal ages: nobody compares them today; the one that is of a panel's age may be judged alone, and that
        // is said.
        assertThat(ines.get(trial + "/round").body())
                .containsAnyOf("Nothing else is of this age today", "None of them may be washed with now");
        assertThat(ines.get(trial).body()).contains("made cooked, then cold");
        Client guest = new Client(application.address()).signIn("guest");
        assertThat(guest.post(trial + "/round", Map.of("judge", "x", "arm", "0", "cream", "5", "key", "g"))
                        .statusCode())
                .isEqualTo(403);
        assertThat(guest.get(trial).statusCode()).isEqualTo(200);
        assertThat(ines.post(trial + "/away", Map.of()).statusCode()).isEqualTo(302);
        assertThat(ines.get("/trials").body()).doesNotContain("Cooked or cold?");
    }
}
