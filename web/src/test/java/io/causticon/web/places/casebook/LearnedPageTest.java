package io.causticon.web.places.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
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
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A settled case teaches; taken back it taught nothing. */
@Application
class LearnedPageTest {

    private Client ines;
    private BatchService batches;

    @BeforeEach
    void signIn(RunningApplication application) {
        ines = new Client(application.address()).signIn("ines");
        batches = application.bean(BatchService.class);
    }

    private String learned() {
        return Jsoup.parse(ines.get("/casebook/learned").body()).text();
    }

    /** Other tests settle cases of the same workshop: of this one only what it does itself is told. */
    @Test
    void aConclusionIsCountedAndTakenBackItIsNot() {
        BatchId id = batches.begin(
                Swirl.plan("Taught Slab"),
                null,
                1,
                Instant.now().minus(Duration.ofDays(60)),
                "Odd",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        batches.log(
                id,
                List.of(new Entry.Observed("embed-gap", Presence.SEEN)),
                Instant.now().minus(Duration.ofDays(9)),
                "Odd",
                UUID.randomUUID().toString());
        assertThat(learned())
                .contains("What the cases taught", "looks that were told")
                .containsPattern("soda ash \\d+ of \\d+")
                .doesNotContain("shrinking embed");
        ines.post(
                "/casebook/" + id + "/conclude",
                Map.of(
                        "condition",
                        "shrinking-embed",
                        "words",
                        "it was young",
                        "key",
                        UUID.randomUUID().toString()));
        assertThat(learned())
                .containsPattern("shrinking embed 1 of \\d+")
                .contains("gap round an embed, with shrinking embed 1 of 1")
                .contains("Taught Slab, shrinking embed");
        LoggedEntry line = batches.get(id).log().all().stream()
                .filter(l -> l.entry() instanceof Entry.Concluded)
                .findFirst()
                .orElseThrow();
        ines.post(
                "/batch/" + id + "/line/" + line.id(),
                Map.of("revision", "1", "withdraw", "true", "reason", "it was the knife"));
        assertThat(learned()).doesNotContain("shrinking embed").doesNotContain("Taught Slab");
    }
}
