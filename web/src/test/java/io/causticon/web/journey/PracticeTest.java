package io.causticon.web.journey;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.workshop.practice.Drill;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;

/** A case from its plan to what it was, and a drill. */
@Application
class PracticeTest {

    @Test
    void aCaseIsLookedAtConcludedAndExplained(RunningApplication application, Browser browser) {
        int batches = application.bean(BatchService.class).ids().size();
        browser.size(820, 1180)
                .signIn("odd")
                .open("/casebook")
                .press("Practice")
                .waitFor(".practice-levels");
        assertThat(browser.text("#record")).contains("Nobody but you can see this record");
        new Everybody(browser).canUse("practice");
        browser.press("A hazard, or what looks like one").waitFor(".practice-known");
        String path = browser.path();
        assertThat(browser.text(".practice-known")).contains("NaOH", "superfat", "0 min of work");
        new Everybody(browser).canUse("a practice case");

        browser.press("Titrate, 25 min").waitForText("25 min of work");
        browser.pressAt(".look")
                .waitUntilTrue(() -> !browser.text(".practice-known").contains("25 min of work, 0"));
        browser.press("Wait 3 days").waitForText("3 days of waiting");
        // Half said: asked for, and what was said stays.
        browser.choose("named", 0, "soda-ash").press("Say so").waitForText("Say how sure you are");
        assertThat(browser.text(".practice-end"))
                .contains("Say what becomes of the bars")
                .doesNotContain("Say at least one thing");
        assertThat(browser.value("named")).isEqualTo("soda-ash");
        browser.script("document.querySelector('[name=certainty][value=\"80\"]').click();"
                + " document.querySelector('[name=verdict][value=release]').click()");
        browser.script("document.querySelector('[name=remedy]').click()");
        browser.press("Say so").waitForText("The best order of looks");
        assertThat(browser.text("main"))
                .contains("It was ", "What spoke for it and against it", "soda ash", "You said to be sure to 80 %");
        new Everybody(browser).canUse("what it was");

        browser.open("/practice").waitForText("points: ");
        assertThat(browser.text("#record")).contains("of 1 cases right");
        // Another's case is nobody else's; the record is shown where its maker agrees, and no longer than that.
        Client ines = new Client(application.address()).signIn("ines");
        assertThat(ines.get(path).statusCode()).isEqualTo(404);
        assertThat(ines.get("/practice").body()).doesNotContain("<h2>odd</h2>");
        browser.press("Let the owners see it").waitForText("The owners of the workshop can see this record");
        assertThat(ines.get("/practice").body()).contains("<h2>odd</h2>");
        browser.press("Show it to nobody").waitForText("Nobody but you can see this record");
        assertThat(ines.get("/practice").body()).doesNotContain("<h2>odd</h2>");
        assertThat(application.bean(BatchService.class).ids())
                .as("nothing of it is a batch")
                .hasSize(batches);
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aDrillIsDoneInItsOrderAndWhatHarmsIsTold(RunningApplication application, Browser browser) {
        browser.size(820, 1180)
                .signIn("odd")
                .open("/practice")
                .press(Drill.EYE.title())
                .waitFor(".drill-options");
        new Everybody(browser).canUse("a drill");
        browser.press("Rub it and see").waitForText("what stays in goes deeper");
        browser.press("Keep rinsing towards").waitForText("Right, and not yet");
        for (Drill.Step step : Drill.EYE.steps()) {
            browser.press(step.words())
                    .waitUntilTrue(() -> browser.texts(".drill-done li").contains(step.words()));
        }
        browser.waitForText("Through, with 1 thing that would have made it worse");
        browser.open("/practice").waitFor(".drill-button");
        assertThat(browser.text("main")).contains("not through yet").doesNotContain("at best, without harm");
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void aBatchMadeInAHurryGoesIntoTheMouldWithAllThatWentWrong(RunningApplication application, Browser browser) {
        browser.size(820, 1180)
                .signIn("odd")
                .open("/practice")
                .press("Make a batch in a hurry")
                .waitFor(".bench-readings");
        new Everybody(browser).canUse("a bench in a hurry");
        assertThat(browser.text("main")).contains("lye fed").doesNotContain("Pour it");
        browser.press("Tip all the lye in").waitForText("6 of 6");
        browser.press("Lye into the fats").waitForText("The batter looks");
        browser.press("Pour it").waitForText("In the mould, and it can burn somebody");
        assertThat(browser.text("main")).contains("lye pockets", "separation");
        Client ines = new Client(application.address()).signIn("ines");
        assertThat(ines.get(browser.path()).statusCode()).isEqualTo(404);
        assertThat(ines.post(browser.path(), Map.of("deed", "POUR")).statusCode())
                .isEqualTo(404);
        assertThat(browser.complaints()).isEmpty();
    }

    private static final Pattern LOOK = Pattern.compile("value=\"(LOOK [a-z-]+)\"");

    @Test
    void whatIsNoMoveChangesNothingAndTheFirstWordStands(RunningApplication application) throws SQLException {
        Client ines = new Client(application.address()).signIn("ines");
        String one = begin(ines, "CLEAR", "p1");
        assertThat(begin(ines, "CLEAR", "p1")).as("the same form twice").isEqualTo(one);
        for (String odd :
                List.of("LOOK nothing", "LOOK", "WAIT 9999", "WAIT -3", "RELEASE", "", "LOOK <script>", "WASH WASH")) {
            assertThat(ines.post(one + "/move", Map.of("move", odd)).statusCode())
                    .isEqualTo(302);
        }
        assertThat(ines.get(one).body()).contains("0 min of work, 0 days of waiting");
        Matcher look = LOOK.matcher(ines.get(one).body());
        assertThat(look.find()).isTrue();
        ines.post(one + "/move", Map.of("move", look.group(1)));
        ines.post(one + "/move", Map.of("move", look.group(1)));
        assertThat(ines.get(one).body()).doesNotContain("value=\"" + look.group(1) + "\"");
        HttpResponse<String> held = ines.post(
                one + "/conclude",
                Map.of("named", "soda-ash", "certainty", "95", "verdict", "hold", "remedy", "no-such"));
        assertThat(held.body()).contains("is not one of the choices");
        assertThat(ines.post(one + "/conclude", Map.of("named", "soda-ash", "certainty", "95", "verdict", "hold"))
                        .statusCode())
                .isEqualTo(302);
        String said = ines.get(one).body();
        ines.post(one + "/conclude", Map.of("named", "dew", "certainty", "50", "verdict", "release"));
        ines.post(one + "/move", Map.of("move", "TITRATE"));
        assertThat(ines.get(one).body()).contains("You said to be sure to 95 %").hasSameSizeAs(said);
        // As if another program had drawn it: what came of it stays, and nothing is explained that it was not.
        try (Connection connection = application.bean(DataSource.class).getConnection();
                Statement statement = connection.createStatement()) {
            assertThat(statement.executeUpdate("update practice_case set drawn = 'soda-ash;thin-bloom' where id = '"
                            + one.replaceAll(".*/", "") + "'"))
                    .isEqualTo(1);
        }
        assertThat(ines.get(one).body())
                .contains("An earlier Causticon drew this case", "It was soda ash")
                .doesNotContain("The best order of looks");
        assertThat(ines.get("/practice").body()).contains("points: soda ash");
        assertThat(ines.post("/practice", Map.of("level", "HARDEST")).statusCode())
                .isEqualTo(404);
        assertThat(ines.post("/practice/drill", Map.of("drill", "FIRE")).statusCode())
                .isEqualTo(404);
        Client guest = new Client(application.address()).signIn("guest");
        assertThat(guest.get("/practice").statusCode()).isEqualTo(200);
        assertThat(guest.post("/practice", Map.of("level", "CLEAR")).statusCode())
                .isEqualTo(403);
        assertThat(guest.get(one).statusCode()).isEqualTo(404);
    }

    private static String begin(Client client, String level, String key) {
        return client.post("/practice", Map.of("level", level, "key", key))
                .headers()
                .firstValue("location")
                .orElseThrow()
                .replaceFirst("^https?://[^/]+", "");
    }
}
