package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/**
 * What is answered beside a proposed look, or picked, is logged with its bars, or told beside its field with what was
 * typed.
 */
@Application
class SightingFormTest {

    private BatchService batches;
    private Client client;
    private BatchId id;

    @BeforeEach
    void begin(RunningApplication application, Client fresh) {
        batches = application.bean(BatchService.class);
        client = fresh.signIn("odd");
        id = batches.begin(
                Swirl.plan("Looked at"),
                null,
                1,
                Instant.now().minus(Duration.ofDays(9)),
                "Odd",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        batches.log(
                id,
                List.of(new Entry.LyeIntoFats(), new Entry.Poured(null)),
                Instant.now().minus(Duration.ofDays(8)),
                "Odd",
                UUID.randomUUID().toString());
    }

    private String post(String where, String... fields) {
        Map<String, String> form = new HashMap<>(Map.of("key", UUID.randomUUID().toString()));
        for (int i = 0; i < fields.length; i += 2) {
            form.put(fields[i], fields[i + 1]);
        }
        return HtmlUtils.htmlUnescape(
                client.post("/casebook/" + id + "/" + where, form).body());
    }

    private <E extends Entry> List<E> logged(Class<E> kind) {
        return batches.get(id).log().of(kind).map(l -> l.entry()).toList();
    }

    @Test
    void saysOnWhichBars() {
        post("finding", "finding", "white-spots", "presence", "LOOKED_AND_ABSENT", "bars", "3 bars");
        post("finding", "finding", "white-spots", "presence", "LOOKED_AND_ABSENT", "bars", "2, 5 and 8", "at", "day 8");
        post("finding", "finding", "thin-bloom", "presence", "SEEN", "bars", "");
        // What was said is kept, also where it is not asked for.
        post("finding", "finding", "brittle", "presence", "SEEN", "bars", "4");
        assertThat(logged(Entry.Observed.class))
                .containsExactlyInAnyOrder(
                        new Entry.Observed("white-spots", Presence.LOOKED_AND_ABSENT, Bars.some(3)),
                        new Entry.Observed("white-spots", Presence.LOOKED_AND_ABSENT, Bars.numbered(2, 5, 8)),
                        new Entry.Observed("thin-bloom", Presence.SEEN),
                        new Entry.Observed("brittle", Presence.SEEN, Bars.numbered(4)));
        assertThat(client.get("/casebook/" + id).body()).contains("clean inside, on 3 bars");
    }

    @Test
    void whatNamesNoBarsIsToldBesideItsFieldAndKept() {
        assertThat(post("finding", "finding", "white-spots", "presence", "SEEN", "bars", "the end ones", "at", "day 3"))
                .contains("\"the end ones\" names no bars")
                .contains("value=\"the end ones\"")
                .contains("value=\"day 3\"");
        // The words it was found with stay too.
        assertThat(post(
                        "finding",
                        "finding",
                        "white-spots",
                        "presence",
                        "SEEN",
                        "bars",
                        "some",
                        "find",
                        "glassy lumps"))
                .contains("value=\"glassy lumps\"")
                .contains("Is it one of these?");
        assertThat(post("finding", "finding", "white-spots", "presence", "SEEN", "bars", "0"))
                .contains("value=\"0\"")
                .contains("is below what is possible");
        assertThat(post("finding", "finding", "white-spots", "presence", "SEEN", "bars", "9999"))
                .contains("is above what is possible");
        assertThat(post("finding", "finding", "moonbeams", "presence", "SEEN")).contains("moonbeams");
        assertThat(post("finding", "finding", "white-spots")).contains("Nothing is typed here yet");
        assertThat(logged(Entry.Observed.class)).isEmpty();
    }

    @Test
    void takesWhatWasMeasuredWhereTheLookIsProposed() {
        assertThat(client.get("/casebook/" + id).body())
                .contains("Free alkali, %")
                .contains("/casebook/" + id + "/measured");
        assertThat(post("measured", "finding", "free-alkali", "number", "a drop"))
                .contains("\"a drop\" is not a number")
                .contains("value=\"a drop\"");
        assertThat(post("measured", "finding", "free-alkali", "number", "44")).contains("is above what is possible");
        assertThat(post("measured", "finding", "free-alkali", "number", "")).contains("Nothing is typed here yet");
        assertThat(logged(Entry.Titrated.class)).isEmpty();
        post("measured", "finding", "free-alkali", "number", "0.05 %", "bars", "3");
        post("measured", "finding", "meter-high", "number", "9.8", "bars", "");
        assertThat(logged(Entry.Titrated.class)).containsExactly(new Entry.Titrated(.05, Bars.numbered(3)));
        assertThat(logged(Entry.PhRead.class)).containsExactly(new Entry.PhRead(9.8, PhMethod.METER));
    }
}
