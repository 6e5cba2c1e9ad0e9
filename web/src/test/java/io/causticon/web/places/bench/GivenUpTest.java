package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A batch that was begun by mistake leaves the lists, with a reason, and can be brought back; what was poured cannot be
 * given up.
 */
@Application
class GivenUpTest {

    private BatchService batches;
    private BatchId id;
    private String name;

    @BeforeEach
    void begin(RunningApplication application) {
        batches = application.bean(BatchService.class);
        name = "Mistaken " + UUID.randomUUID().toString().substring(0, 8);
        id = batches.begin(
                Swirl.plan(name),
                null,
                1,
                Instant.now().minus(Duration.ofMinutes(9)),
                "Odd",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private HttpResponse<String> giveUp(Client client, String reason) {
        return client.post(
                "/bench/" + id + "/abandon",
                Map.of("reason", reason, "key", UUID.randomUUID().toString(), "step", "weigh"));
    }

    private static String rack(Client client, String show) {
        return Jsoup.parse(client.get("/?show=" + show).body()).text();
    }

    @Test
    void itLeavesTheListsAndComesBack(Client client) {
        client.signIn("odd");
        assertThat(rack(client, "alive")).contains(name);
        assertThat(giveUp(client, "  ").body()).contains("Nothing is typed here yet");
        assertThat(batches.get(id).life()).isEqualTo(Life.BENCH);
        assertThat(giveUp(client, "pressed twice")
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .isEqualTo("/batch/" + id);
        assertThat(batches.get(id).life()).isEqualTo(Life.ABANDONED);
        for (String show : List.of("alive", "all", "ready", "held")) {
            assertThat(rack(client, show)).as(show).doesNotContain(name);
        }
        assertThat(rack(client, "abandoned")).contains(name).contains("Given up");
        assertThat(client.get("/bench").body()).doesNotContain(name);
        assertThat(client.get("/casebook?find=" + name.replace(' ', '+')).body())
                .doesNotContain("/casebook/" + id);
        String page = client.get("/batch/" + id).body();
        assertThat(page).contains("given up: pressed twice").contains("Bring it back");
        // Once is enough.
        assertThat(giveUp(client, "again").body()).contains("Only a batch that is on the bench can be given up");
        String line =
                batches.get(id).log().last(Entry.Abandoned.class).orElseThrow().id();
        client.post(
                "/batch/" + id + "/line/" + line,
                Map.of("revision", "1", "withdraw", "true", "reason", "it was this one"));
        assertThat(batches.get(id).life()).isEqualTo(Life.BENCH);
        assertThat(rack(client, "alive")).contains(name);
    }

    @Test
    void whatWasPouredIsNotGivenUp(Client client) {
        client.signIn("odd");
        giveUp(client, "seized");
        // A pour that arrives late brings it back by itself: it is soap, and somebody may use it.
        batches.log(
                id,
                List.of(new Entry.Poured(null)),
                Instant.now(),
                "Odd",
                UUID.randomUUID().toString());
        assertThat(batches.get(id).life()).isEqualTo(Life.MOULD);
        assertThat(giveUp(client, "it is ugly").body()).contains("What was poured is soap");
        assertThat(batches.get(id).life()).isEqualTo(Life.MOULD);
        client.signIn("guest");
        assertThat(giveUp(client, "no").statusCode()).isEqualTo(403);
    }
}
