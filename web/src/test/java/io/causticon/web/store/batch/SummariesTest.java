package io.causticon.web.store.batch;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.springframework.jdbc.core.JdbcTemplate;

/** What lists show of batches is what their logs say. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class SummariesTest {

    private RunningApplication application;
    private BatchService batches;
    private Summaries summaries;
    private JdbcTemplate jdbc;

    @BeforeAll
    void start() {
        application = RunningApplication.own(true);
        batches = application.bean(BatchService.class);
        summaries = application.bean(Summaries.class);
        jdbc = application.bean(JdbcTemplate.class);
    }

    @AfterAll
    void stop() {
        application.close();
    }

    private List<BatchSummary> all() {
        return summaries
                .page(Summaries.Which.ALL, "", Optional.empty(), Optional.empty(), 1000)
                .batches();
    }

    private BatchSummary of(BatchId id) {
        return all().stream().filter(b -> b.id().equals(id)).findFirst().orElseThrow();
    }

    private BatchId begun(String name, Duration ago) {
        return batches.begin(
                Swirl.plan(name),
                null,
                1,
                Instant.now().minus(ago),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private void log(BatchId id, Entry... entries) {
        batches.log(
                id, List.of(entries), Instant.now(), "Ines", UUID.randomUUID().toString());
    }

    @Test
    void whatWasPractisedIsMarkedAndTeachesNothing() {
        MixMemory memory = application.bean(MixMemory.class);
        MixMemory.Known before = memory.known();
        for (Purpose purpose : List.of(Purpose.PRACTICE, Purpose.TRIAL)) {
            String key = UUID.randomUUID().toString();
            Instant then = Instant.now().minus(Duration.ofHours(1));
            BatchId id = batches.beginFor(purpose, Swirl.plan("Meant for"), null, 1, then, "Ines", ZoneOffset.UTC, key);
            assertThat(batches.beginFor(purpose, Swirl.plan("Meant for"), null, 1, then, "Ines", ZoneOffset.UTC, key))
                    .isEqualTo(id);
            assertThat(of(id).purpose()).isEqualTo(purpose);
            assertThat(batches.get(id).log().of(Entry.MeantFor.class)).hasSize(1);
            batches.log(
                    id,
                    List.of(new Entry.LyeIntoFats()),
                    then.plusSeconds(60),
                    "Ines",
                    UUID.randomUUID().toString());
            batches.log(
                    id,
                    List.of(new Entry.StageReached(Stage.LIGHT, null), new Entry.Poured(null)),
                    then.plusSeconds(900),
                    "Ines",
                    UUID.randomUUID().toString());
            if (purpose == Purpose.PRACTICE) {
                assertThat(memory.known()).as("practice").isSameAs(before);
                // Said to be no practice after all, it teaches.
                log(id, new Entry.MeantFor(Purpose.MADE));
            }
            assertThat(memory.known()).as(purpose.name()).isNotSameAs(before);
            before = memory.known();
        }
    }

    @Test
    void isThereAsSoonAsABatchIsBegunAndFollowsItsLog() {
        BatchId id = begun("Followed", Duration.ofMinutes(20));
        assertThat(of(id).life()).isEqualTo(Life.BENCH);
        assertThat(summaries.onTheBench()).extracting(BatchSummary::id).contains(id);
        log(id, new Entry.LyeIntoFats(), new Entry.Poured(null));
        assertThat(of(id).life()).isEqualTo(Life.MOULD);
        List<Tasks.Task> tasks =
                Tasks.of(batches.get(id).plan(), batches.get(id).log());
        assertThat(of(id).tasks())
                .extracting(Tasks.Task::kind)
                .containsExactlyElementsOf(tasks.stream().map(Tasks.Task::kind).toList());
        assertThat(of(id).tasks().get(0).due().toEpochMilli())
                .isEqualTo(tasks.get(0).due().toEpochMilli());
        log(id, new Entry.Cut(9));
        assertThat(of(id).bars()).isEqualTo(9);
        log(id, new Entry.Held("a hair in it"));
        assertThat(summaries.held()).extracting(BatchSummary::id).contains(id);
        log(id, new Entry.Released("it was mine"));
        assertThat(of(id).life()).isEqualTo(Life.READY);
        assertThat(summaries.held()).extracting(BatchSummary::id).doesNotContain(id);
    }

    /** But for when they were made, which is what differs. */
    private List<Map<String, Object>> rows() {
        return jdbc.queryForList("select * from batch_summary order by batch_id").stream()
                .peek(r -> r.keySet().removeAll(List.of("MADE_AT", "LEADING_PROBABILITY", "HAZARD_PROBABILITY")))
                .collect(Collectors.toCollection(ArrayList::new));
    }

    @Test
    void workedOutAnewIsWhatWasWrittenWithTheLog() {
        BatchId id = begun("Anew", Duration.ofHours(3));
        log(id, new Entry.LyeIntoFats(), new Entry.Poured(null), new Entry.WashTested(WashFeel.CALM));
        // What the cases taught since others were written may have moved them.
        Map<String, Object> own = rows().stream()
                .filter(r -> id.value().equals(r.get("BATCH_ID")))
                .findFirst()
                .orElseThrow();
        summaries.renewAll();
        List<Map<String, Object>> written = rows();
        assertThat(written).contains(own);
        jdbc.update("delete from batch_summary");
        summaries.afterSingletonsInstantiated();
        assertThat(rows()).isEqualTo(written);
    }

    @Test
    void isTurnedOverPageByPageWithoutALossOrARepetition() {
        Instant same = Instant.now().minus(Duration.ofDays(400));
        // Several begun at one moment: the pages must not lose one between them.
        IntStream.range(0, 7)
                .forEach(i -> batches.begin(
                        Swirl.plan("Twin " + i),
                        null,
                        1,
                        same,
                        "Ines",
                        ZoneOffset.UTC,
                        UUID.randomUUID().toString()));
        assertThat(turned(""))
                .doesNotHaveDuplicates()
                .isEqualTo(all().stream().map(BatchSummary::id).toList())
                .hasSize(summaries.counts().get(Summaries.Which.ALL).intValue());
        List<BatchId> twins = all().stream()
                .filter(b -> b.name().startsWith("Twin "))
                .map(BatchSummary::id)
                .toList();
        assertThat(turned("twin")).isEqualTo(twins).hasSize(7);
        for (Summaries.Which which : Summaries.Which.values()) {
            assertThat(summaries.counts().get(which))
                    .as(which.name())
                    .isEqualTo(summaries
                            .page(which, "", Optional.empty(), Optional.empty(), 1000)
                            .batches()
                            .size());
        }
        Summaries.Page old = summaries.page(
                Summaries.Which.ALL,
                "twin",
                Optional.of(Instant.now().minus(Duration.ofDays(300))),
                Optional.empty(),
                50);
        assertThat(old.batches()).hasSize(7);
        Summaries.Page older =
                summaries.page(Summaries.Which.ALL, "twin", Optional.of(same.minusSeconds(1)), Optional.empty(), 50);
        assertThat(older.batches()).isEmpty();
        assertThat(older.found()).as("of whatever age").hasValue(7);
    }

    /** All that are found by words, three at a time. */
    private List<BatchId> turned(String find) {
        List<BatchId> turned = new ArrayList<>();
        Optional<BatchId> after = Optional.empty();
        Summaries.Page page;
        do {
            page = summaries.page(Summaries.Which.ALL, find, Optional.empty(), after, 3);
            page.batches().forEach(b -> turned.add(b.id()));
            after = Optional.of(turned.get(turned.size() - 1));
        } while (page.more());
        return turned;
    }

    @Test
    void isFoundByWhatItIsCalledAndMadeOf() {
        BatchId id = begun("100 % sure_thing!", Duration.ofMinutes(5));
        for (String find : List.of("100 %", "E_T", "thing!", "LARD", "oak lo")) {
            assertThat(summaries
                            .page(Summaries.Which.ALL, find, Optional.empty(), Optional.empty(), 50)
                            .batches())
                    .as(find)
                    .extracting(BatchSummary::id)
                    .contains(id);
        }
        assertThat(summaries
                        .page(Summaries.Which.ALL, "100 _", Optional.empty(), Optional.empty(), 50)
                        .found())
                .hasValue(0);
    }

    @Test
    void theRackIsTurnedOver() {
        IntStream.range(0, 45).forEach(i -> begun("Old " + i, Duration.ofDays(100 + i)));
        Client client = new Client(application.address()).signIn("ines");
        String first = client.get("/").body();
        String older = first.replaceAll("(?s).*href=\"(/\\?[^\"]*after=[^\"]*)\".*", "$1")
                .replace("&amp;", "&");
        assertThat(client.get(older).body()).contains("Old 44").doesNotContain("Followed");
        assertThat(client.get("/?days=120").body()).contains("Old 44").doesNotContain(">Old 3<");
        assertThat(client.get("/?days=99999&after=nonsense").body()).contains("None that is so old");
    }
}
