package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** What is seen may be said in anybody's words; what fits none is asked about or kept, and shown. */
@Application
class OwnWordsTest {

    private BatchService batches;
    private Client client;
    private Batch batch;

    @BeforeEach
    void signIn(RunningApplication application, Client client) {
        this.client = client.signIn("ines");
        this.batches = application.bean(BatchService.class);
        this.batch = batches.all().stream()
                .filter(b -> b.name().equals("Ferry Bar")
                        && b.log().ageAt(Instant.now()).toDays() > 60)
                .findFirst()
                .orElseThrow();
    }

    private String page(String find) {
        return HtmlUtils.htmlUnescape(
                client.get("/casebook/" + batch.id() + "?find=" + URLEncoder.encode(find, StandardCharsets.UTF_8))
                        .body());
    }

    private String post(String path, String... fields) {
        Map<String, String> form = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "at", ""));
        for (int i = 0; i < fields.length; i += 2) {
            form.put(fields[i], fields[i + 1]);
        }
        return HtmlUtils.htmlUnescape(client.post(path, form).body());
    }

    @Test
    void leadToWhatTheyMayMean() {
        assertThat(page("white lumps that crush like wax"))
                .contains("Is it one of these?")
                .containsSubsequence("dots crush to wax", "none of these");
        assertThat(page("qwrtz")).contains("Nothing known here is called that").contains("value=\"qwrtz\"");
        assertThat(page("")).doesNotContain("Is it one of these?").doesNotContain("none of these");
    }

    @Test
    void areAskedAboutInTheQuickLine() {
        String asked = post("/batch/" + batch.id() + "/log", "quick", "day 50 chalky film that rubs off");
        assertThat(asked)
                .contains("is not understood")
                .contains("value=\"day 50 see crust wipes off with a wet cloth\"")
                .contains("value=\"day 50 chalky film that rubs off\"");
        post(
                "/batch/" + batch.id() + "/log",
                "quick",
                "day 50 chalky film that rubs off",
                "meant",
                "day 50 see crust wipes off with a wet cloth");
        assertThat(batches.get(batch.id()).log().of(Entry.Observed.class).map(o -> o.entry()))
                .contains(new Entry.Observed("crust-wipes", Presence.SEEN));
    }

    @Test
    void areKeptWhenTheyAreNoneOfThese() {
        post("/casebook/" + batch.id() + "/note", "words", "the cat sat on it; twice");
        assertThat(batches.get(batch.id())
                        .log()
                        .of(Entry.Noted.class)
                        .map(n -> n.entry().text()))
                .contains("the cat sat on it; twice");
        assertThat(page("")).contains("In words").contains("the cat sat on it; twice");
    }

    @Test
    void areNotKeptAsANoteWhereTheySpeakOfBurning() {
        String asked = post("/casebook/" + batch.id() + "/note", "words", "my palms sting");
        assertThat(asked)
                .contains("speaks of burning")
                .contains("hands burn after a wash")
                .contains("value=\"my palms sting\"");
        assertThat(post("/casebook/" + batch.id() + "/note", "words", " ")).contains("Nothing is typed here yet");
        assertThat(batches.get(batch.id()).log().of(Entry.Noted.class))
                .noneMatch(n -> n.entry().text().contains("palms"));
    }
}
