package io.causticon.web.store.casebook;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Purpose;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** What was concluded once is told where it looks the same again. */
@Application
class PastCasesTest {

    private BatchService batches;
    private PastCases past;

    @BeforeEach
    void find(RunningApplication application) {
        batches = application.bean(BatchService.class);
        past = application.bean(PastCases.class);
    }

    private BatchId begun(Purpose purpose, String name, String... findings) {
        BatchId id = batches.beginFor(
                purpose,
                Swirl.plan(name),
                null,
                1,
                Instant.now().minus(Duration.ofDays(20)),
                "Odd",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        log(id, new Entry.LyeIntoFats(), new Entry.Poured(null));
        for (String finding : findings) {
            log(id, new Entry.Observed(finding, Presence.SEEN));
        }
        return id;
    }

    private void log(BatchId id, Entry... entries) {
        batches.log(
                id,
                List.of(entries),
                Instant.now().minus(Duration.ofDays(2)),
                "Odd",
                UUID.randomUUID().toString());
    }

    private List<BatchId> like(BatchId id) {
        Batch batch = batches.get(id);
        return past.like(batch).stream().map(PastCases.Alike::batch).toList();
    }

    @Test
    void isToldOnTheCaseWithWhatBothShow(Client client) {
        BatchId before = begun(Purpose.MADE, "Warped before", "warped", "shrunken");
        BatchId now = begun(Purpose.MADE, "Warped again", "warped");
        assertThat(like(now)).doesNotContain(before);
        log(before, new Entry.Concluded(new Named("warped", "warped or shrunken"), "the <b>loft</b> is dry"));
        assertThat(like(now)).contains(before);
        String page = client.signIn("guest").get("/casebook/" + now).body();
        assertThat(HtmlUtils.htmlUnescape(page))
                .contains("It looked like this before", "Warped before", "20 days ago: warped or shrunken", "Both: ");
        assertThat(page).doesNotContain("<b>loft</b>");
        // A batch is not like itself, and what shows nothing is like nothing.
        assertThat(like(before)).doesNotContain(before);
        assertThat(like(begun(Purpose.MADE, "Plain"))).isEmpty();
    }

    @Test
    void practiceIsNoCase() {
        BatchId practised = begun(Purpose.PRACTICE, "Practised", "warped");
        log(practised, new Entry.Concluded(new Named("warped", "warped or shrunken"), ""));
        assertThat(like(begun(Purpose.MADE, "Meant", "warped"))).doesNotContain(practised);
    }
}
