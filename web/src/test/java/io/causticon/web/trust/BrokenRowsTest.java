package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.EntryKind;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.shelf.ShelfService;
import java.net.http.HttpResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.util.HtmlUtils;

/** Whatever stands in a row, every page answers, the row is shown as what it is, and the rest is unharmed. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BrokenRowsTest {

    private static final int TOGETHER = 9;

    private RunningApplication application;
    private BatchService batches;
    private JdbcTemplate jdbc;
    private Client client;
    private Batch harmed;
    private Batch other;

    @BeforeAll
    void start() {
        application = RunningApplication.own(true);
        batches = application.bean(BatchService.class);
        jdbc = application.bean(JdbcTemplate.class);
        client = new Client(application.address()).signIn("ines");
        harmed = named("Sail Loft Tar");
        other = named("Ferry Bar");
    }

    @AfterAll
    void stop() {
        application.close();
    }

    private Batch named(String name) {
        return batches.all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** Whatever reads batches: the harmed one everywhere, and another one. */
    private List<String> pages() {
        return List.of(
                "/",
                "/plan/new",
                "/bench/" + harmed.id(),
                "/bench/" + harmed.id() + "?step=weigh",
                "/bench/" + harmed.id() + "?step=lye",
                "/bench/" + harmed.id() + "?step=match",
                "/bench/" + harmed.id() + "?step=mix",
                "/bench/" + harmed.id() + "?step=pour",
                "/bench/" + harmed.id() + "?step=out",
                "/bench/" + harmed.id() + "?step=cook",
                "/batch/" + harmed.id(),
                "/casebook",
                "/casebook/" + harmed.id(),
                "/plan/batch/" + harmed.id() + "/sheet",
                "/shelf",
                "/batch/" + other.id(),
                "/casebook/" + other.id());
    }

    private void everyPageAnswers() {
        answer(pages());
    }

    private void everyPlaceAnswers() {
        answer(Stream.concat(pages().stream(), Stream.of("/plan", "/bench", "/devices", "/settings"))
                .toList());
    }

    private void answer(List<String> pages) {
        // Whoever puts something away has the shelf read anew.
        application.bean(ShelfService.class).putAway("lot", "nobody's");
        for (String page : pages) {
            HttpResponse<String> answer = client.get(page);
            assertThat(answer.statusCode()).as(page).isIn(200, 302);
        }
        assertThat(client.get("/").body()).contains("Ferry Bar");
        assertThat(client.get("/batch/" + other.id()).body())
                .contains("Ferry Bar")
                .doesNotContain("cannot be");
    }

    /** What was done to the harmed batch behind the program's back is noticed as it would be at a start. */
    private void noticed() {
        jdbc.update(
                "update batch set log_version = log_version + 1 where id = ?",
                harmed.id().value());
        application.bean(Summaries.class).renew(harmed.id());
    }

    private void without(UUID line) {
        jdbc.update("delete from log_revision where line_id = ?", line);
        // Its summary is worked out with the next line.
        jdbc.update(
                "update batch set log_version = log_version + 1 where id = ?",
                harmed.id().value());
    }

    /** Puts a line into the log, behind the back of everything that looks at lines. */
    private UUID line(String entry) {
        UUID line = stored(entry);
        noticed();
        return line;
    }

    private UUID stored(String entry) {
        UUID line = UUID.randomUUID();
        jdbc.update(
                "insert into log_revision (id, batch_id, line_id, revision, happened_at, recorded_at, recorded_by,"
                        + " kind, entry, withdrawn, reason) values (?, ?, ?, 1, current_timestamp - interval '1' hour,"
                        + " current_timestamp, 'nobody', 'Odd', ?, false, '')",
                UUID.randomUUID(),
                harmed.id().value(),
                line,
                entry);
        return line;
    }

    /** The names that stand in kept lines. */
    static Stream<String> kinds() {
        return EntryKinds.ALL.stream()
                .filter(k -> k.type() != Entry.Unreadable.class)
                .map(EntryKind::name);
    }

    @Nested
    @TestInstance(TestInstance.Lifecycle.PER_CLASS)
    class Lines {

        static Stream<String> broken() {
            return Stream.of(
                            Stream.of(
                                    "",
                                    "null",
                                    "{",
                                    "[]",
                                    "\"x\"",
                                    "{\"type\":\"nope\"}",
                                    "{\"type\":5}",
                                    "not at all"),
                            Stream.of("FAT", "LIQUID", "ADDITIVE", "ALKALI", "NOPE")
                                    .map(
                                            k -> "{\"type\":\"weighed\",\"what\":{\"kind\":\"" + k
                                                    + "\",\"id\":\"zz\"},\"mass\":{\"grams\":5},\"tare\":\"TAKEN\",\"vessel\":null}"),
                            Stream.of("-5", "0", "1e300", "\"NaN\"", "null")
                                    .map(m ->
                                            "{\"type\":\"weighed\",\"what\":{\"kind\":\"FAT\",\"id\":\"olive-oil\"},\"mass\":{\"grams\":"
                                                    + m + "},\"tare\":\"TAKEN\",\"vessel\":null}"),
                            Stream.of(
                                    "{\"type\":\"temperature\",\"spot\":\"LYE\",\"temperature\":{\"celsius\":1e9}}",
                                    "{\"type\":\"temperature\",\"spot\":\"MOON\",\"temperature\":{\"celsius\":1}}",
                                    "{\"type\":\"burst\",\"seconds\":2147483647}",
                                    "{\"type\":\"cut\",\"bars\":-1}",
                                    "{\"type\":\"cut\",\"bars\":2147483647}",
                                    "{\"type\":\"ph\",\"ph\":900,\"method\":\"STRIP\"}",
                                    "{\"type\":\"titrated\",\"freeAlkaliPercent\":-1e9}",
                                    "{\"type\":\"rest-scaled\",\"factor\":1e200}",
                                    "{\"type\":\"portion\",\"portion\":9,\"of\":0}",
                                    "{\"type\":\"finding\",\"finding\":\"nope\",\"presence\":\"SEEN\"}",
                                    "{\"type\":\"photo\",\"photo\":\"../../x\",\"caption\":\"\"}",
                                    "{\"type\":\"stage\",\"stage\":\"NOPE\",\"after\":null}",
                                    "{\"type\":\"added\",\"v\":2,\"what\":{\"id\":\"x\"},\"mass\":null}",
                                    "{\"type\":\"added\",\"v\":2,\"what\":5,\"mass\":null}",
                                    "{\"type\":\"added\",\"v\":2,\"what\":{\"id\":\"x\",\"name\":\" \"},\"mass\":null}",
                                    "{\"type\":\"added\",\"v\":99,\"what\":\"x\",\"mass\":null}",
                                    "{\"type\":\"added\",\"v\":-1,\"what\":[],\"mass\":null}",
                                    "{\"type\":\"purpose\",\"purpose\":\"WAR\"}",
                                    "{\"type\":\"unreadable\",\"kept\":\"x\"}",
                                    "{\"type\":\"kept\",\"keeping\":\"OVEN\",\"temperature\":{\"celsius\":1e300}}"))
                    .flatMap(s -> s);
        }

        /** A few at a time: each counts for nothing, so none can hide another. */
        static Stream<List<String>> brokenTogether() {
            return groups(broken());
        }

        static Stream<List<String>> empty() {
            return groups(kinds().map(kind -> "{\"type\":\"" + kind + "\"}"));
        }

        private static Stream<List<String>> groups(Stream<String> lines) {
            List<String> all = lines.toList();
            return IntStream.iterate(0, i -> i < all.size(), i -> i + TOGETHER)
                    .mapToObj(i -> all.subList(i, Math.min(i + TOGETHER, all.size())));
        }

        @ParameterizedTest
        @MethodSource("brokenTogether")
        void areShownAndCountForNothing(List<String> entries) {
            List<UUID> lines = entries.stream().map(BrokenRowsTest.this::stored).toList();
            noticed();
            try {
                everyPageAnswers();
                Batch read = batches.get(harmed.id());
                assertThat(read.life()).isEqualTo(harmed.life());
                assertThat(read.isHeld()).isTrue();
                for (UUID line : lines) {
                    assertThat(read.log().find(line.toString())).isPresent();
                    assertThat(client.get("/batch/" + harmed.id() + "/line/" + line)
                                    .statusCode())
                            .isEqualTo(200);
                }
            } finally {
                lines.forEach(BrokenRowsTest.this::without);
            }
        }

        @ParameterizedTest
        @MethodSource("empty")
        void ofEveryKindWithNothingInThem(List<String> entries) {
            List<UUID> lines = entries.stream().map(BrokenRowsTest.this::stored).toList();
            noticed();
            try {
                answer(List.of(
                        "/",
                        "/casebook",
                        "/batch/" + harmed.id(),
                        "/casebook/" + harmed.id(),
                        "/bench/" + harmed.id() + "?step=weigh"));
            } finally {
                lines.forEach(BrokenRowsTest.this::without);
            }
        }

        @ParameterizedTest
        @ValueSource(strings = {"0001-01-01 00:00:00Z", "1969-01-01 00:00:00Z", "9999-12-31 00:00:00Z"})
        void ofAMomentThatCannotBe(String moment) {
            UUID line = line("{\"type\":\"wash\",\"feel\":\"CALM\"}");
            jdbc.update(
                    "update log_revision set happened_at = cast(? as timestamp with time zone) where line_id = ?",
                    moment,
                    line);
            noticed();
            try {
                everyPageAnswers();
                assertThat(HtmlUtils.htmlUnescape(
                                client.get("/batch/" + harmed.id()).body()))
                        .contains("cannot be understood");
            } finally {
                without(line);
            }
        }

        @Test
        void areAmendedOrTakenBack() {
            UUID one = line("{\"type\":\"nope\"}");
            UUID two = line("{");
            String page = client.get("/batch/" + harmed.id() + "/line/" + one).body();
            assertThat(HtmlUtils.htmlUnescape(page)).contains("cannot be understood: {\"type\":\"nope\"}");
            client.post(
                    "/batch/" + harmed.id() + "/line/" + one, Map.of("revision", "1", "quick", "touch firm", "at", ""));
            client.post("/batch/" + harmed.id() + "/line/" + two, Map.of("revision", "1", "withdraw", "true"));
            assertThat(batches.get(harmed.id())
                            .log()
                            .find(one.toString())
                            .orElseThrow()
                            .entry())
                    .isInstanceOf(Entry.TouchTested.class);
            assertThat(batches.get(harmed.id())
                            .log()
                            .find(two.toString())
                            .orElseThrow()
                            .current()
                            .withdrawn())
                    .isTrue();
            // What stood there is kept to the letter.
            assertThat(jdbc.queryForList(
                            "select entry from log_revision where line_id = ? order by revision", String.class, two))
                    .containsExactly("{", "{");
        }
    }

    @Nested
    class Rows {

        /**
         * Breaks some cells at once, each of another column or table, looks, and mends them. What is not of one batch
         * may be in the way of each.
         */
        private void broken(List<Cell> cells, Runnable look) {
            List<Object> before = cells.stream()
                    .map(c -> jdbc.queryForList("select " + c.column + " from " + c.table + " where " + c.where)
                            .get(0)
                            .values()
                            .iterator()
                            .next())
                    .toList();
            cells.forEach(
                    c -> jdbc.update("update " + c.table + " set " + c.column + " = " + c.value + " where " + c.where));
            look.run();
            try {
                everyPlaceAnswers();
            } finally {
                for (int i = 0; i < before.size(); i++) {
                    Cell c = cells.get(i);
                    jdbc.update("update " + c.table + " set " + c.column + " = ? where " + c.where, before.get(i));
                }
                look.run();
            }
        }

        private record Cell(String table, String column, String value, String where) {}

        private void bothAreWorkedOutAnew() {
            jdbc.update("update batch set log_version = log_version + 1");
            application.bean(Summaries.class).renew(harmed.id());
            application.bean(Summaries.class).renew(other.id());
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "plan|''",
                    "plan|'{'",
                    "plan|'{}'",
                    "plan|'null'",
                    "plan|replace(plan, '\"superfat\":', '\"superfat\":1e9, \"old\":')",
                    "plan|replace(plan, '-oil', '-goil')",
                    "plan|replace(plan, '\"grams\":', '\"grams\":-')",
                    "begun_at|timestamp with time zone '0001-01-01 00:00:00Z'",
                    "begun_at|timestamp with time zone '9999-01-01 00:00:00Z'"
                })
        void ofABatch(String what) {
            String[] cell = what.split("\\|");
            broken(
                    List.of(new Cell("batch", cell[0], cell[1], "id = '" + harmed.id() + "'")),
                    BrokenRowsTest.this::noticed);
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "tasks = 'x', fat_grams = cast('NaN' as double), hazard_probability = 7",
                    "tasks = 'CUT', life = 'NOPE'",
                    "tasks = 'CUT 99999999999999999999', lye_celsius = -1e9, ready_at = timestamp with time zone"
                            + " '9999-01-01 00:00:00Z'",
                    "begun_at = timestamp with time zone '0001-01-01 00:00:00Z'"
                })
        void ofASummary(String what) {
            jdbc.update(
                    "update batch_summary set " + what + " where batch_id = ?",
                    harmed.id().value());
            everyPlaceAnswers();
            noticed();
            assertThat(client.get("/").body()).contains("Sail Loft Tar is held");
        }

        @Test
        void ofABatchAreToldWhereItStands() {
            String plan = jdbc.queryForObject(
                    "select plan from batch where id = ?",
                    String.class,
                    harmed.id().value());
            jdbc.update("update batch set plan = '{' where id = ?", harmed.id().value());
            noticed();
            try {
                assertThat(client.get("/").body())
                        .contains("Cannot be worked out")
                        .contains("Its plan cannot be understood");
                assertThat(client.get("/casebook").body()).contains("cannot be worked out");
                assertThat(HtmlUtils.htmlUnescape(
                                client.get("/batch/" + harmed.id()).body()))
                        .contains("Sail Loft Tar")
                        .contains("What is kept of it")
                        .contains("\"type\":\"wash\"");
                // What is asked for as a file is not saved as one.
                assertThat(List.of("strip.svg", "cure/drying.svg"))
                        .allSatisfy(file -> assertThat(client.get("/batch/" + harmed.id() + "/" + file)
                                        .statusCode())
                                .as(file)
                                .isEqualTo(409));
                assertThat(client.post("/batch/" + harmed.id() + "/log", Map.of("quick", "light", "key", "x"))
                                .statusCode())
                        .isLessThan(500);
            } finally {
                jdbc.update(
                        "update batch set plan = ? where id = ?",
                        plan,
                        harmed.id().value());
                noticed();
            }
        }

        @ParameterizedTest
        @ValueSource(
                strings = {
                    "recipe_version|plan|'{' mould|kind|'NOPE' vessel|material|'NOPE' lot|kind|'NOPE'"
                            + " own_fragrance|cap|-1 own_fat|like_id|'zz' device|kind|'NOPE'",
                    "recipe|name|'' mould|width|0 vessel|grams|cast('NaN'_as_double) lot|substance|'zz'"
                            + " own_fragrance|behaviour|',,x,' device|spot|'NOPE'",
                    "mould|height|cast('NaN'_as_double) vessel|grams|-5 lot|saponification|cast('NaN'_as_double)"
                            + " device|every_seconds|-1 account|theme|'x'",
                    "mould|cavities|-1 own_fat|saponification|cast('Infinity'_as_double) workshop|currency|'X'"
                            + " account|mass_unit|'STONE'",
                    "mould|water|0 workshop|room_celsius|cast('NaN'_as_double)",
                    "workshop|zone|'Mars/Base'"
                })
        void ofEverythingElse(String what) {
            seed();
            List<Cell> cells = Arrays.stream(what.split(" "))
                    .map(c -> cell(c.replace("_as_", " as ").split("\\|")))
                    .toList();
            broken(cells, this::bothAreWorkedOutAnew);
        }

        private Cell cell(String[] of) {
            Object id = jdbc.queryForList(
                            "select " + id(of[0]) + " from " + of[0] + " fetch first 1 row only", Object.class)
                    .get(0);
            return new Cell(of[0], of[1], of[2], id(of[0]) + " = '" + id + "'");
        }

        private static String id(String table) {
            return table.equals("account") ? "name" : "id";
        }

        /** What the made-up workshop has none of. */
        private void seed() {
            client.post(
                    "/shelf/fat",
                    Map.of("name", "Pressed quince", "like", "olive-oil", "saponification", "190", "iodine", "80"));
            client.post("/shelf/lot", Map.of("name", "Q-1", "substance", "FAT/olive-oil"));
            client.post("/devices", Map.of("name", "a probe", "kind", "THERMOMETER", "simulated", "true"));
        }

        @Test
        void ofTwoVesselsWhoseNamesDifferInCapitalsAlone() {
            jdbc.update("insert into vessel (id, name, grams, material, retired) select random_uuid(), upper(name), 5,"
                    + " material, true from vessel fetch first 1 row only");
            everyPlaceAnswers();
        }

        @Test
        void thatOfARoleMayDoNothingButLook() {
            jdbc.update("update account set role = 'EMPEROR' where name = 'guest'");
            everyPlaceAnswers();
        }
    }

    @Nested
    class Entered {

        private HttpResponse<String> weigh(BatchId batch, String kind, String what) {
            return client.post(
                    "/bench/" + batch + "/weigh",
                    Map.of(
                            "kind",
                            kind,
                            "what",
                            what,
                            "amount",
                            "5 g",
                            "tare",
                            "TAKEN",
                            "vessel",
                            "",
                            "key",
                            UUID.randomUUID().toString(),
                            "at",
                            "",
                            "step",
                            ""));
        }

        @ParameterizedTest
        @ValueSource(strings = {"FAT", "LIQUID", "ADDITIVE", "ALKALI"})
        void whatNobodyKnowsIsToldAndNotStored(String kind) {
            int before = batches.get(harmed.id()).log().all().size();
            HttpResponse<String> answer = weigh(harmed.id(), kind, "zz");
            assertThat(answer.statusCode()).isEqualTo(200);
            assertThat(HtmlUtils.htmlUnescape(answer.body())).contains("\"zz\" is not known here");
            assertThat(batches.get(harmed.id()).log().all()).hasSize(before);
        }
    }
}
