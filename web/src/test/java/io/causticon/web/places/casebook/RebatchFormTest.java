package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.web.util.HtmlUtils;

/** What a rebatch was made with is taken as it is typed, in the maker's units, or told beside its field. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RebatchFormTest {

    private RunningApplication application;
    private BatchService batches;
    private Client client;
    private Batch held;

    @BeforeAll
    void start() {
        application = RunningApplication.get();
        batches = application.bean(BatchService.class);
        client = new Client(application.address()).signIn("ines");
        held = batches.all().stream()
                .filter(b -> b.name().equals("Sail Loft Tar"))
                .findFirst()
                .orElseThrow();
    }

    private String post(Client who, String... fields) {
        Map<String, String> form = new HashMap<>(
                Map.of("key", UUID.randomUUID().toString(), "when", "", "fat", "olive-oil", "mass", "", "water", ""));
        for (int i = 0; i < fields.length; i += 2) {
            form.put(fields[i], fields[i + 1]);
        }
        return HtmlUtils.htmlUnescape(
                who.post("/casebook/" + held.id() + "/rebatch", form).body());
    }

    private long rebatches() {
        return batches.get(held.id()).log().of(Entry.Rebatched.class).count();
    }

    @Test
    void whatCannotBeTakenIsToldBesideItsFieldAndKept() {
        assertThat(post(client, "mass", "a lot", "water", ""))
                .contains("\"a lot\" is not a number")
                .contains("value=\"a lot\"")
                .contains("Nothing is typed here yet");
        assertThat(post(client, "mass", "60", "water", "300", "fat", "moonbeams"))
                .contains("\"moonbeams\" is not known here");
        assertThat(post(client, "mass", "60", "water", "-5")).contains("value=\"-5\"");
        assertThat(post(client, "mass", "60", "water", "9e9")).contains("value=\"9e9\"");
        assertThat(post(client, "mass", "60", "water", "300", "when", "tomorrow week"))
                .contains("value=\"tomorrow week\"");
        assertThat(rebatches()).isZero();
    }

    @Test
    void whoMayOnlyLookLogsNone() {
        Client guest = new Client(application.address()).signIn("guest");
        post(guest, "mass", "60", "water", "300");
        assertThat(rebatches()).isZero();
        assertThat(guest.get("/casebook/" + held.id()).body())
                .contains("Grate it, melt it with")
                .doesNotContain("It is rebatched");
    }

    @Test
    void theSameFormTwiceIsOneRebatchAndABatchStaysHeld() {
        String key = UUID.randomUUID().toString();
        String begun = post(client, "key", key, "mass", "2 oz", "water", "300", "when", "5 min ago");
        post(client, "key", key, "mass", "2 oz", "water", "300", "when", "5 min ago");
        assertThat(begun).doesNotContain("is not known");
        assertThat(batches.get(held.id()).log().of(Entry.Rebatched.class).map(r -> r.entry()))
                .containsExactly(new Entry.Rebatched(Weighable.fat("olive-oil"), Mass.ounces(2), Mass.grams(300)));
        assertThat(batches.get(held.id()).isHeld()).isTrue();
        String page =
                HtmlUtils.htmlUnescape(client.get("/casebook/" + held.id()).body());
        assertThat(page).contains("since it was rebatched").contains("Held. Do not use or sell.");
        // Taken back, it is as if it had not been.
        String line = batches.get(held.id())
                .log()
                .last(Entry.Rebatched.class)
                .orElseThrow()
                .id();
        client.post("/batch/" + held.id() + "/line/" + line, Map.of("revision", "1", "withdraw", "true"));
        assertThat(rebatches()).isZero();
    }
}
