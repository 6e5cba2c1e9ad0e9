package io.causticon.web.places.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;

@Application
class LoggingTest {

    private BatchService batches;
    private BatchId batch;

    @BeforeEach
    void beginABatch(RunningApplication application) {
        batches = application.bean(BatchService.class);
        Batch like = batches.all().stream()
                .filter(b -> b.name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
        Instant begun = Instant.now().minus(30, ChronoUnit.DAYS);
        batch = batches.begin(
                like.plan(),
                null,
                1,
                begun,
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private List<LoggedEntry> lines() {
        return batches.get(batch).log().all();
    }

    /** What is known of a batch is written on only as long as its row says the same. */
    @Test
    void whatCameByAnotherDoorIsSeenByTheNextLine(RunningApplication application) {
        JdbcTemplate jdbc = application.bean(JdbcTemplate.class);
        batches.log(batch, List.of(new Entry.Noted("first")), Instant.now(), "Ines", "first-" + batch);
        batches.log(batch, List.of(new Entry.Noted("second")), Instant.now(), "Ines", "second-" + batch);
        jdbc.update("delete from log_revision where batch_id = ? and client_key like 'second-%'", batch.value());
        jdbc.update("update batch set log_version = log_version + 1 where id = ?", batch.value());
        batches.log(batch, List.of(new Entry.Noted("third")), Instant.now(), "Ines", "third-" + batch);
        assertThat(lines())
                .extracting(LoggedEntry::entry)
                .containsExactly(new Entry.Noted("first"), new Entry.Noted("third"));
        assertThat(jdbc.queryForObject("select log_version from batch where id = ?", Integer.class, batch.value()))
                .isEqualTo(jdbc.queryForObject(
                        "select log_version from batch_summary where batch_id = ?", Integer.class, batch.value()));
    }

    @Test
    void whoeverLogsAtTheSameMomentLosesNothing() {
        batches.get(batch);
        CompletableFuture.allOf(IntStream.range(0, 12)
                        .mapToObj(i -> CompletableFuture.runAsync(() -> batches.log(
                                batch, List.of(new Entry.Noted("of " + i)), Instant.now(), "Ines", i + "-" + batch)))
                        .toArray(CompletableFuture[]::new))
                .join();
        assertThat(lines())
                .extracting(l -> ((Entry.Noted) l.entry()).text())
                .containsExactlyInAnyOrderElementsOf(
                        IntStream.range(0, 12).mapToObj(i -> "of " + i).toList());
    }

    @Nested
    class TheSameFormTwice {

        @Test
        void logsOnce() {
            List<Entry> entries = List.of(new Entry.Noted("once"), new Entry.BlenderBurst(10));
            batches.log(batch, entries, Instant.now(), "Ines", "tap-" + batch);
            batches.log(batch, entries, Instant.now(), "Ines", "tap-" + batch);
            assertThat(lines()).hasSize(2);
        }

        @Test
        void logsOnceAlsoWhenBothArriveTogether() {
            CompletableFuture.allOf(IntStream.range(0, 8)
                            .mapToObj(i -> CompletableFuture.runAsync(() -> batches.log(
                                    batch, List.of(new Entry.Noted("race")), Instant.now(), "Ines", "race-" + batch)))
                            .toArray(CompletableFuture[]::new))
                    .join();
            assertThat(lines()).hasSize(1);
        }

        @Test
        void logsOnceHoweverLongItsKeyIs() {
            String key = "tap of a device with a long name ".repeat(20) + batch;
            batches.log(batch, List.of(new Entry.Noted("once")), Instant.now(), "Ines", key);
            batches.log(batch, List.of(new Entry.Noted("once")), Instant.now(), "Ines", key);
            batches.log(batch, List.of(new Entry.Noted("another")), Instant.now(), "Ines", key + ".");
            assertThat(lines()).hasSize(2);
        }

        @Test
        void hasNothingInCommonWithAnotherWhenItHasNoKey() {
            batches.log(batch, List.of(new Entry.Noted("one")), Instant.now(), "Ines", "");
            batches.log(batch, List.of(new Entry.Noted("two")), Instant.now(), "Ines", "");
            assertThat(lines()).hasSize(2);
        }

        @Test
        void beginsOneBatchAlsoWhenBothArriveTogether() {
            Batch now = batches.get(batch);
            String key = UUID.randomUUID().toString();
            List<CompletableFuture<BatchId>> begun = begin(now, i -> key);
            assertThat(begun.stream().map(CompletableFuture::join).distinct()).hasSize(1);
        }

        @Test
        void andOthersAtTheSameMomentAllBegin() {
            Batch now = batches.get(batch);
            List<BatchId> begun = begin(now, i -> UUID.randomUUID().toString()).stream()
                    .map(CompletableFuture::join)
                    .toList();
            assertThat(begun).doesNotHaveDuplicates();
            assertThat(begun.stream().map(b -> batches.get(b).code())).doesNotHaveDuplicates();
        }

        private List<CompletableFuture<BatchId>> begin(Batch like, IntFunction<String> key) {
            Instant begun = Instant.now();
            return IntStream.range(0, 5)
                    .mapToObj(i -> CompletableFuture.supplyAsync(
                            () -> batches.begin(like.plan(), null, 1, begun, "Odd", ZoneOffset.UTC, key.apply(i))))
                    .toList();
        }

        @Test
        void beginsOneBatch() {
            Batch now = batches.get(batch);
            String key = UUID.randomUUID().toString();
            BatchId first = batches.begin(now.plan(), null, 1, Instant.now(), "Odd", ZoneOffset.UTC, key);
            assertThat(batches.begin(now.plan(), null, 1, Instant.now(), "Odd", ZoneOffset.UTC, key))
                    .isEqualTo(first);
        }
    }

    @Nested
    class Amending {

        @Test
        void keepsWhatStoodThereBefore() {
            batches.log(
                    batch,
                    List.of(new Entry.BlenderBurst(10)),
                    Instant.now(),
                    "Ines",
                    UUID.randomUUID().toString());
            LoggedEntry line = lines().get(0);
            batches.amend(batch, line.id(), 1, new Entry.BlenderBurst(20), line.at(), "Odd");
            LoggedEntry now = lines().get(0);
            assertThat(now.entry()).isEqualTo(new Entry.BlenderBurst(20));
            assertThat(now.earlier()).singleElement().satisfies(r -> {
                assertThat(r.entry()).isEqualTo(new Entry.BlenderBurst(10));
                assertThat(r.by()).isEqualTo("Ines");
            });
        }

        @Test
        void tellsTheSecondOfTwoAndLosesNothing() {
            batches.log(
                    batch,
                    List.of(new Entry.Noted("first")),
                    Instant.now(),
                    "Ines",
                    UUID.randomUUID().toString());
            LoggedEntry line = lines().get(0);
            batches.amend(batch, line.id(), 1, new Entry.Noted("Odd was quicker"), line.at(), "Odd");
            assertThatThrownBy(() -> batches.amend(batch, line.id(), 1, new Entry.Noted("too late"), line.at(), "Ines"))
                    .isInstanceOfSatisfying(
                            ProblemsException.class,
                            e -> assertThat(e.problems().get(0).key()).isEqualTo(ProblemKey.AMENDED_MEANWHILE));
            assertThat(lines().get(0).entry()).isEqualTo(new Entry.Noted("Odd was quicker"));
        }

        @Test
        void showsTheSecondWhatTheFirstWroteAndKeepsHerWords(Client client) {
            batches.log(
                    batch,
                    List.of(new Entry.Noted("first")),
                    Instant.now(),
                    "Ines",
                    UUID.randomUUID().toString());
            LoggedEntry line = lines().get(0);
            batches.amend(batch, line.id(), 1, new Entry.BlenderBurst(25), line.at(), "Odd Brekke");
            client.signIn("ines");
            HttpResponse<String> answer = client.post(
                    "/batch/" + batch + "/line/" + line.id(), Map.of("quick", "blend 30", "at", "", "revision", "1"));
            assertThat(answer.body())
                    .contains("Odd Brekke changed this line meanwhile. It now says: blender 25 s")
                    .contains("value=\"blend 30\"")
                    .contains("name=\"revision\" value=\"2\"");
        }

        @Test
        void takingBackStopsALineFromCountingAndKeepsIt() {
            batches.log(
                    batch,
                    List.of(new Entry.Noted("wrong batch")),
                    Instant.now(),
                    "Ines",
                    UUID.randomUUID().toString());
            LoggedEntry line = lines().get(0);
            batches.withdraw(batch, line.id(), 1, "", "Ines");
            assertThat(batches.get(batch).log().entries()).isEmpty();
            assertThat(lines()).hasSize(1);
        }
    }

    @Nested
    class BadInput {

        @ParameterizedTest
        @CsvSource(
                delimiter = '|',
                value = {
                    "oil 120 | Maybe it was meant in \u00b0F: that would be 48.9 \u00b0C",
                    "lye 900 | is above what is possible (140.0 \u00b0C)",
                    "weigh lard 264 stone | is not understood",
                    "lye 40 oil 41 | could be something of its own",
                    "ph 19 strip | is above what is possible (14)",
                    "day 99 strip 9 | is still to come",
                    "@2020-01-01 strip 9 | is before the batch was begun",
                    "weigh moonbeams 20 g | \u201cmoonbeams\u201d is not known here"
                })
        void isToldInTheMakersWordsAndKept(String typed, String told, Client client) {
            client.signIn("odd");
            HttpResponse<String> answer = client.post(
                    "/batch/" + batch + "/log",
                    Map.of("quick", typed, "at", "", "key", UUID.randomUUID().toString()));
            assertThat(answer.statusCode()).isEqualTo(200);
            String page = answer.body().replace("&quot;", "\"").replaceAll("\"(moonbeams)\"", "\u201c$1\u201d");
            assertThat(page).contains(told).contains("value=\"" + typed + "\"");
            assertThat(lines()).isEmpty();
        }

        @Test
        void whatIsNotUnderstoodCanBeKeptAsWords(Client client) {
            client.signIn("odd");
            String page = client.post(
                            "/batch/" + batch + "/log",
                            Map.of(
                                    "quick",
                                    "day 2 the cat sat on it",
                                    "at",
                                    "",
                                    "key",
                                    UUID.randomUUID().toString()))
                    .body();
            assertThat(Jsoup.parse(page)
                            .select("[name=meant][value=day 2 note the cat sat on it]")
                            .text())
                    .isEqualTo("Keep it as words");
            assertThat(page).contains("value=\"day 2 the cat sat on it\"");
            assertThat(lines()).isEmpty();
            client.post(
                    "/batch/" + batch + "/log",
                    Map.of(
                            "quick",
                            "day 2 the cat sat on it",
                            "meant",
                            "day 2 note the cat sat on it",
                            "at",
                            "",
                            "key",
                            UUID.randomUUID().toString()));
            assertThat(lines()).extracting(l -> l.entry()).containsExactly(new Entry.Noted("the cat sat on it"));
        }

        @Test
        void aBodyTooLargeIsRefusedAndChangesNothing(Client client) {
            client.signIn("odd");
            HttpResponse<String> answer = client.post(
                    "/batch/" + batch + "/log",
                    Map.of(
                            "quick",
                            "x".repeat(400_000),
                            "key",
                            UUID.randomUUID().toString()));
            assertThat(answer.statusCode()).isGreaterThanOrEqualTo(400);
            assertThat(lines()).isEmpty();
        }

        @Test
        void aBatchThatIsNotThereIsToldPlainly(Client client) {
            client.signIn("odd");
            HttpResponse<String> answer = client.get("/batch/" + UUID.randomUUID());
            assertThat(answer.statusCode()).isEqualTo(404);
            assertThat(answer.body()).contains("There is nothing here").doesNotContain("Exception");
            assertThat(client.get("/batch/not-an-id").statusCode()).isEqualTo(404);
        }
    }
}
