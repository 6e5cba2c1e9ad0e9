package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.util.List;
import java.util.Map;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is seen is said in pictures, with what comes with it. */
@Application
class PickerPageTest {

    private BatchService batches;
    private Batch batch;
    private String path;

    @BeforeEach
    void choose(RunningApplication application) {
        batches = application.bean(BatchService.class);
        batch = batches.all().stream()
                .filter(b -> b.name().equals("Juniper Slab"))
                .findFirst()
                .orElseThrow();
        path = "/casebook/" + batch.id() + "/look";
    }

    private List<Entry.Observed> observed() {
        return batches.get(batch.id())
                .log()
                .of(Entry.Observed.class)
                .map(l -> l.entry())
                .toList();
    }

    @Test
    void aPlaceNarrowsAndASecondTouchSaysThatItIsNotThere(Client client) {
        client.signIn("odd");
        Document all = Jsoup.parse(client.get(path).body());
        Document cut = Jsoup.parse(client.get(path + "?where=FACE").body());
        assertThat(all.select(".tile")).hasSizeGreaterThan(cut.select(".tile").size());
        assertThat(cut.select(".tile").eachText())
                .contains("glassy veins round whiter cells")
                .doesNotContain("thin pale bloom");
        String once = cut.select(".tile:contains(glassy veins)").attr("href");
        Document touched = Jsoup.parse(client.get(once).body());
        assertThat(touched.select(".looking-say h1").text()).isEqualTo("glassy veins round whiter cells");
        assertThat(touched.select(".asked legend").eachText()).containsExactly("veins feel as smooth as the rest");
        Document again = Jsoup.parse(
                client.get(touched.select(".tile:contains(glassy veins)").attr("href"))
                        .body());
        assertThat(again.select(".looking-say h1").text()).startsWith("looked: ");
        assertThat(again.select(".asked")).isEmpty();
    }

    @Test
    void ownWordsComeFirst(Client client) {
        client.signIn("odd");
        Document found =
                Jsoup.parse(client.get(path + "?find=white+dust+on+top").body());
        assertThat(found.select(".tile").eachText())
                .anyMatch(t -> t.startsWith("thin pale bloom"))
                .hasSizeLessThan(9);
        assertThat(client.get(path + "?find=zzqx").body()).contains("Nothing known here is called that");
    }

    @Test
    void whatIsTypedWrongIsToldAndTheAnswersStay(Client client) {
        client.signIn("odd");
        int before = observed().size();
        Document answer = Jsoup.parse(client.post(
                        path,
                        Map.of(
                                "finding",
                                "thin-bloom",
                                "presence",
                                "SEEN",
                                "also-crust-wipes",
                                "SEEN",
                                "bars",
                                "the third or so",
                                "at",
                                "day 5",
                                "key",
                                "picker-1"))
                .body());
        assertThat(answer.select("#look-bars").val()).isEqualTo("the third or so");
        assertThat(answer.select("#look-bars + .field-problem").text()).isNotEmpty();
        assertThat(answer.select("#look-at").val()).isEqualTo("day 5");
        assertThat(answer.select("input[name=also-crust-wipes][checked]").val()).isEqualTo("SEEN");
        assertThat(observed()).hasSize(before);
        // What no button sends is no answer.
        assertThat(client.post(
                                path,
                                Map.of(
                                        "finding",
                                        "thin-bloom",
                                        "presence",
                                        "SEEN",
                                        "also-crust-wipes",
                                        "PERHAPS",
                                        "key",
                                        "picker-2"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(client.post(path, Map.of("finding", "moonbeam", "presence", "SEEN", "key", "picker-3"))
                        .statusCode())
                .isEqualTo(200);
        assertThat(client.post(path, Map.of("presence", "SEEN", "key", "picker-5"))
                        .body())
                .doesNotContain("is not one of the choices");
        assertThat(observed()).hasSize(before);
        client.signIn("guest");
        assertThat(client.post(path, Map.of("finding", "thin-bloom", "presence", "SEEN", "key", "picker-4"))
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void isTouchedAnsweredAndLoggedInTheBrowser(Browser browser) {
        browser.signIn("odd")
                .open("/casebook/" + batch.id())
                .press("Add what you see")
                .press("In pictures")
                .waitFor(".tiles");
        browser.pressAt("[aria-label='top, open to air']").waitForText("Look: top, open to air");
        browser.press("thin pale bloom").waitFor(".looking-say form");
        browser.pressAt("label:has([name=also-crust-wipes][value=SEEN])")
                .pressAt("label:has([name=also-crust-grows][value=LOOKED_AND_ABSENT])");
        browser.type("bars", "2, 3");
        // A detour over another drawing, with none touched in between, loses nothing of it.
        browser.press("everything").waitForText("Nothing touched yet");
        browser.press("thin pale bloom").waitFor(".looking-say form");
        browser.press("Log it").waitForText("What it is");
        Bars on = Bars.numbered(2, 3);
        assertThat(observed())
                .contains(
                        new Entry.Observed("thin-bloom", Presence.SEEN, on),
                        new Entry.Observed("crust-wipes", Presence.SEEN, on),
                        new Entry.Observed("crust-grows", Presence.LOOKED_AND_ABSENT, on));
        assertThat(observed()).noneMatch(o -> o.finding().equals("bloom-early"));
        assertThat(browser.complaints()).isEmpty();
    }
}
