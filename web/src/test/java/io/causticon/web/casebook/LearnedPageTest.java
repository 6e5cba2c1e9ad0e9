package io.causticon.web.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.observation.Entry;
import io.causticon.core.observation.LoggedEntry;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchService;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import java.util.Map;
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

    private Batch named(String name) {
        return batches.all().stream().filter(b -> b.name().equals(name)).findFirst().orElseThrow();
    }

    private String learned() {
        return Jsoup.parse(ines.get("/casebook/learned").body()).text();
    }

    @Test
    void aConclusionIsCountedAndTakenBackItIsNot() {
        assertThat(learned()).contains("What the cases taught").contains("soda ash 1 of").contains("thin pale bloom, with soda ash 1 of 1").contains("looks that were told").doesNotContain("overheated loaf 1 of");
        Batch slab = named("Juniper Slab");
        ines.post("/casebook/" + slab.id() + "/conclude", Map.of("condition", "overheated", "words", "cracked", "key", "learned-1"));
        assertThat(learned()).contains("overheated loaf 1 of").contains("Juniper Slab, overheated loaf");
        LoggedEntry line = batches.get(slab.id()).log().all().stream().filter(l -> l.entry() instanceof Entry.Concluded).reduce((a, b) -> b).orElseThrow();
        ines.post("/batch/" + slab.id() + "/line/" + line.id(), Map.of("revision", "1", "withdraw", "true", "reason", "it was the towels"));
        assertThat(learned()).doesNotContain("overheated loaf 1 of").doesNotContain("Juniper Slab");
    }
}
