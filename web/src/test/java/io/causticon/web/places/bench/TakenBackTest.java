package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A tap that was none is taken back where it was made; who amends from the bench comes back to it. */
@Application
class TakenBackTest {

    private BatchService batches;
    private BatchId id;

    @BeforeEach
    void begin(RunningApplication application) {
        batches = application.bean(BatchService.class);
        id = batches.begin(
                Swirl.plan("Twice Tapped"),
                null,
                1,
                Instant.now().minus(Duration.ofMinutes(40)),
                "Odd",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private void tap(Client client, String line) {
        client.post(
                "/bench/" + id + "/log",
                Map.of("quick", line, "step", "mix", "key", UUID.randomUUID().toString()));
    }

    private Element offered(Client client) {
        return Jsoup.parse(client.get("/bench/" + id + "?step=mix").body()).selectFirst(".back-out");
    }

    @Test
    void aTapThatWasMadeTwiceIsOfferedBack(Client client) {
        client.signIn("odd");
        tap(client, "blend 5");
        assertThat(offered(client).text()).contains("logged.").doesNotContain("twice");
        tap(client, "blend 5");
        Element offer = offered(client);
        assertThat(offer.text()).contains("logged twice. The second one");
        Map<String, String> form = Map.of(
                "line",
                offer.select("[name=line]").val(),
                "revision",
                offer.select("[name=revision]").val(),
                "step",
                "mix",
                "at",
                "");
        assertThat(client.post("/bench/" + id + "/undo", form)
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .contains("/bench/" + id)
                .contains("step=mix");
        assertThat(batches.get(id).log().of(Entry.BlenderBurst.class)).hasSize(1);
        assertThat(batches.get(id).log().all()).hasSize(2);
        // Taken back once; a second time it is told.
        assertThat(client.post("/bench/" + id + "/undo", form).body()).contains("changed this line meanwhile");
        assertThat(client.post(
                                "/bench/" + id + "/undo",
                                Map.of("line", UUID.randomUUID().toString(), "revision", "1"))
                        .statusCode())
                .isEqualTo(404);
        assertThat(client.post("/bench/" + id + "/undo", Map.of("line", "x", "revision", "one"))
                        .statusCode())
                .isBetween(400, 404);
        // Somebody else is not offered it.
        tap(client, "blend 7");
        assertThat(offered(client)).isNotNull();
        client.signIn("ines");
        assertThat(offered(client)).isNull();
    }

    @Test
    void tenMeansTenOfItAndTheBenchIsWhereSheWas(Client client) {
        client.signIn("odd");
        tap(client, "olive 504");
        LoggedEntry line = batches.get(id).log().all().stream()
                .filter(e -> e.entry() instanceof Entry.Weighed)
                .findFirst()
                .orElseThrow();
        String page = client.get("/batch/" + id + "/line/" + line.id() + "?from=bench")
                .body();
        assertThat(Jsoup.parse(page).select("[name=from]").val()).isEqualTo("bench");
        assertThat(Jsoup.parse(page).select("a.button").eachAttr("href")).contains("/bench/" + id);
        String location = client.post(
                        "/batch/" + id + "/line/" + line.id(),
                        Map.of("quick", "510", "at", "", "revision", "1", "from", "bench"))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        assertThat(location).endsWith("/bench/" + id);
        Entry.Weighed now = (Entry.Weighed)
                batches.get(id).log().find(line.id()).orElseThrow().entry();
        assertThat(now.mass().grams()).isEqualTo(510);
        assertThat(now.what()).isEqualTo(((Entry.Weighed) line.entry()).what());
        // Nobody is led anywhere else.
        assertThat(client.post(
                                "/batch/" + id + "/line/" + line.id(),
                                Map.of("quick", "511", "at", "", "revision", "2", "from", "//elsewhere.example"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .endsWith("/batch/" + id);
    }
}
