package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.OpenCells;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What leaves, read by readers of other makes, and what may come in. */
@Application
class CarryTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}");

    private final RunningApplication application = RunningApplication.get();
    private final BatchService batches = application.bean(BatchService.class);
    private final Documents documents = application.bean(Documents.class);
    private Client ines;

    @BeforeEach
    void signIn() {
        ines = new Client(application.address()).signIn("ines");
    }

    private Batch called(String name) {
        return batches.all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** The document of a batch as another workshop would have it: other ids all over, changed as the test says. */
    private byte[] elsewhere(Batch batch, Consumer<ObjectNode> change) {
        ObjectNode document = (ObjectNode) JSON.readTree(
                documents.json(DocumentKind.BATCH, batch.id().value()).orElseThrow());
        ObjectNode inside = (ObjectNode) document.get("batch");
        inside.remove("clientKey");
        inside.remove("recipeId");
        inside.get("log").forEach(l -> ((ObjectNode) l).remove("clientKey"));
        change.accept(inside);
        Map<String, String> others = new HashMap<>();
        Matcher ids = ID.matcher(document.toString());
        return ids.replaceAll(m ->
                        others.computeIfAbsent(m.group(), i -> UUID.randomUUID().toString()))
                .getBytes(StandardCharsets.UTF_8);
    }

    private String brought(byte[] file) {
        HttpResponse<String> answer = ines.postFile("/people/arrivals", "from elsewhere.json", file);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        return answer.body();
    }

    private static BatchId idIn(byte[] document) {
        return BatchId.of(JSON.readTree(document).get("batch").get("id").stringValue());
    }

    /** A log that speaks for a hazard holds its batch where it arrives, whoever looked at it there. */
    @Test
    void whatSpeaksForAHazardIsHeldWhereItArrives() {
        Batch hot = called("Ferry Bar");
        byte[] file = elsewhere(hot, inside -> {
            ArrayNode log = (ArrayNode) inside.get("log");
            ObjectNode line = ((ObjectNode) log.get(log.size() - 1)).deepCopy();
            line.put("id", UUID.randomUUID().toString())
                    .put("lineId", UUID.randomUUID().toString())
                    .put("revision", 1);
            line.set(
                    "entry",
                    JSON.readTree(application.bean(BatchArrivals.class).kept(new Entry.Titrated(1.4, null, null))));
            log.add(line);
        });
        String page = brought(file);
        assertThat(ines.get(page).body()).contains("new", "Another batch has the code " + hot.code());
        assertThat(ines.post(page + "/take", Map.of()).statusCode()).isLessThan(400);
        assertThat(batches.get(idIn(file)).isHeld()).isTrue();
        assertThat(ines.post(page + "/undo", Map.of()).statusCode()).isLessThan(400);
        assertThat(batches.name(idIn(file))).isEmpty();
    }

    @Test
    void whatWasWrittenToSinceIsNotTakenBack() {
        byte[] file = elsewhere(called("Ferry Bar"), inside -> {});
        String page = brought(file);
        ines.post(page + "/take", Map.of());
        batches.log(
                idIn(file),
                List.of(new Entry.Noted("it is ours now")),
                Instant.now(),
                "Odd",
                UUID.randomUUID().toString());
        HttpResponse<String> refused = ines.post(page + "/undo", Map.of());
        assertThat(refused.statusCode()).isEqualTo(409);
        assertThat(refused.body()).contains("Ferry Bar was written to since");
        assertThat(batches.get(idIn(file))
                        .log()
                        .of(Entry.Noted.class)
                        .anyMatch(n -> n.entry().text().equals("it is ours now")))
                .isTrue();
        // So that the others find the workshop as it was.
        application
                .bean(org.springframework.jdbc.core.JdbcTemplate.class)
                .update(
                        "delete from log_revision where batch_id = ? and entry like '%it is ours now%'",
                        idIn(file).value());
        assertThat(ines.post(page + "/undo", Map.of()).statusCode()).isLessThan(400);
    }

    @Test
    void aLineOfANewerProgramKeepsItsBatchOut() {
        byte[] file = elsewhere(
                called("Ferry Bar"),
                inside -> ((ObjectNode) inside.get("log").get(2))
                        .set("entry", JSON.readTree("{\"type\":\"held\",\"v\":9,\"reason\":\"x\"}")));
        String page = brought(file);
        assertThat(ines.get(page).body())
                .contains("cannot be taken", "only a newer Causticon knows")
                .doesNotContain("Take what is new");
        ines.post(page + "/leave", Map.of());
    }

    @Test
    void onlyTheOwnerBringsInWhatSaysThatOthersDidIt() {
        byte[] file = elsewhere(called("Ferry Bar"), inside -> {});
        for (String name : List.of("odd", "guest")) {
            Client other = new Client(application.address()).signIn(name);
            other.get("/carry");
            assertThat(other.postFile("/people/arrivals", "x", file).statusCode())
                    .isEqualTo(403);
            assertThat(other.get("/carry/workshop.zip").statusCode()).isEqualTo(404);
        }
        Client guest = new Client(application.address()).signIn("guest");
        guest.get("/carry");
        assertThat(guest.postFile("/carry/table", "x", file).statusCode()).isEqualTo(403);
        assertThat(guest.postFile("/batch/" + called("Ferry Bar").id() + "/probe", "x", file)
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void aLogIsATableThatRunsNothing() throws Exception {
        Batch batch = called("Net Loft Lavender");
        batches.log(
                batch.id(),
                List.of(new Entry.Noted("=HYPERLINK(\"x\")")),
                Instant.now(),
                "Ines Harrow",
                UUID.randomUUID().toString());
        String csv = ines.get("/carry/batch/" + batch.id() + "/log.csv").body();
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(csv))
                .getRecords();
        long revisions = batches.get(batch.id()).log().all().stream()
                .mapToLong(l -> 1 + l.earlier().size())
                .sum();
        assertThat(rows).hasSize((int) revisions);
        assertThat(rows).anySatisfy(r -> assertThat(r.get("says")).contains("wash test: calm"));
        assertThat(rows)
                .allSatisfy(r ->
                        r.forEach(cell -> assertThat(cell).doesNotStartWith("=").doesNotStartWith("@")));
        assertThat(OpenCells.asItWas(OpenCells.safe("=1+1"))).isEqualTo("=1+1");
        assertThat(OpenCells.safe("-12.5")).isEqualTo("-12.5");
    }

    @Test
    void aBatchOnPaperSaysWhatWasNotLookedAt() throws Exception {
        Batch batch = called("Net Loft Lavender");
        try (PDDocument document = Loader.loadPDF(ines.bytes("/carry/batch/" + batch.id() + ".pdf"))) {
            String text = new PDFTextStripper().getText(document);
            assertThat(text)
                    .contains(
                            "Net Loft Lavender",
                            batch.code(),
                            "HELD",
                            "wash test: calm",
                            "Olive oil",
                            "171.7 g",
                            "free alkali was not titrated",
                            "sheet 1 of");
        }
    }

    @Test
    void readingsOfAProbeComeOnceAndGoAgain() {
        Batch batch = batches.all().stream()
                .filter(b -> b.log().of(Entry.Poured.class).findAny().isPresent())
                .findFirst()
                .orElseThrow();
        Instant from = batch.log().begun().plusSeconds(600);
        DateTimeFormatter form =
                DateTimeFormatter.ofPattern("dd.MM.yyyy;HH:mm:ss").withZone(ZoneOffset.UTC);
        StringBuilder table = new StringBuilder("Logger 7\nDatum;Uhrzeit;Kern (\u00b0C)\n");
        for (int i = 0; i < 300; i++) {
            double celsius = 40 + 20 * Math.sin(i / 100.0);
            table.append(form.format(from.plusSeconds(10L * i)))
                    .append(';')
                    .append(i == 7 ? "OPEN" : String.format("%.1f", celsius).replace('.', ','))
                    .append('\n');
        }
        byte[] file = table.toString().getBytes(StandardCharsets.UTF_8);
        String where = "/batch/" + batch.id() + "/probe";
        String page = ines.postFile(where, "kern.csv", file).body();
        String seen = ines.get(page + "?zone=UTC").body();
        assertThat(seen).contains("299 readings", "Line 10: &quot;OPEN&quot; is no temperature");
        long before = core(batch);
        assertThat(ines.post(page + "/take", Map.of("zone", "UTC")).statusCode())
                .isLessThan(400);
        long after = core(batch);
        assertThat(after - before).isBetween(4L, 60L);
        String again = ines.postFile(where, "kern.csv", file).body();
        assertThat(ines.get(again).body())
                .as("the zone is remembered by the heading")
                .contains("No reading of this batch", "are in the log already");
        ines.post(again + "/leave", Map.of());
        assertThat(ines.post(page + "/undo", Map.of()).statusCode()).isLessThan(400);
        assertThat(core(batch)).isEqualTo(before);
    }

    private long core(Batch batch) {
        return batches.get(batch.id())
                .log()
                .of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.CORE)
                .count();
    }

    @Test
    void thoseThatAreChosenLeaveAlone() throws Exception {
        String page = ines.get("/carry/batch/choose?find=loft").body();
        List<String> ids = Pattern.compile("name=\"id\" value=\"([^\"]+)\"")
                .matcher(page)
                .results()
                .map(m -> m.group(1))
                .toList();
        assertThat(ids).hasSizeBetween(2, 10);
        byte[] zip = ines.bytes("/carry/batch/chosen?find=&id=" + ids.get(0) + "&id=" + ids.get(1));
        List<String> names = new ArrayList<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                names.add(e.getName());
            }
        }
        assertThat(names.stream().filter(n -> n.startsWith("batches/"))).hasSize(2);
        assertThat(ines.get(ines.get("/carry/batch/chosen?find=loft")
                                .headers()
                                .firstValue("Location")
                                .orElseThrow())
                        .body())
                .contains("Tick what is to leave.");
        assertThat(ines.get("/carry/batch.zip?id=" + UUID.randomUUID()).statusCode())
                .isEqualTo(404);
    }

    @Test
    void aLogAsATableComesBackAndSaysWhereItCannotBeRead() {
        Batch batch = called("Harbour Dusk");
        String log = ines.get("/carry/batch/" + batch.id() + "/log.csv").body();
        assertThat(looked(log)).contains("as here");
        String line =
                log.lines().filter(l -> l.contains("unmoulded")).findFirst().orElseThrow();
        assertThat(looked(log.replace(line, line.replaceFirst("^20\\d\\d", "2011"))))
                .contains("It stays as it is here");
        assertThat(looked(log.replace(line, line.replaceFirst("^20\\d\\d", "x"))))
                .contains("happened_at wants a moment");
        assertThat(looked(log.replace(batch.id().toString(), UUID.randomUUID().toString())))
                .contains("is not here");
        assertThat(looked(log.replace(line, line.substring(0, line.indexOf(',')))))
                .contains("cells where there are");
    }

    private String looked(String log) {
        String at = ines.postFile("/people/arrivals", "log.csv", log.getBytes(StandardCharsets.UTF_8))
                .body();
        String page = ines.get(at).body();
        ines.post(at + "/leave", Map.of());
        return page;
    }

    @Test
    void whatWasMadeLongAgoComesFromATableAndGoesAgain() {
        Client odd = new Client(application.address()).signIn("odd");
        odd.get("/carry/table");
        String table = "Soap,Made on,Olive oil (g),Coconut oil (g),Water (g),Bars,Notes\n"
                + "Old Quay,3/4/2024,400,150,180,8,soft for weeks\n"
                + "Old Quay,5/6/2024,400,160,180,8,\n"
                + "Old Step,7/8/2025,400,150,180,,it burned my hands\n"
                + "Old Odd,9/9/2031,400,150,180,8,\n"
                + "Old Long,2/1/1951,400,150,180,8,\n";
        String at = odd.postFile("/carry/table", "book.csv", table.getBytes(StandardCharsets.UTF_8))
                .body();
        assertThat(odd.get(at).body()).contains("can be two days").doesNotContain("take-batches");
        String page = odd.get(at + "?days=DAY_FIRST").body();
        assertThat(page)
                .contains(
                        "Made 3 Apr 2024, 8 bars: soft for weeks",
                        "it comes held",
                        "2031-09-09 is still to come",
                        "1951-01-02 is too long ago",
                        "Keep the recipes and 3 batches");
        int before = batches.ids().size();
        assertThat(odd.post(at + "/take-batches", Map.of("days", "DAY_FIRST")).statusCode())
                .isEqualTo(302);
        List<Batch> made =
                batches.all().stream().filter(b -> b.name().startsWith("Old ")).toList();
        assertThat(made).hasSize(3).hasSize(batches.ids().size() - before);
        assertThat(made)
                .filteredOn(b -> b.name().equals("Old Quay"))
                .extracting(Batch::version)
                .containsExactlyInAnyOrder(1, 2);
        assertThat(made).filteredOn(Batch::isHeld).extracting(Batch::name).containsExactly("Old Step");
        assertThat(made)
                .allSatisfy(b -> assertThat(odd.get("/batch/" + b.id()).body()).contains("From book.csv, row"));
        Instant day = application.bean(Clock.class).instant().minus(Duration.ofDays(1));
        assertThat(made)
                .allSatisfy(b -> assertThat(b.log().all())
                        .as("written down now, of what was then")
                        .allMatch(l -> l.current().recordedAt().isAfter(day)));
        assertThat(made)
                .allSatisfy(b -> assertThat(b.log().of(Entry.Held.class))
                        .allMatch(h -> h.at().isAfter(day) && h.at().isBefore(day.plus(Duration.ofDays(2)))));
        odd.get("/carry/table");
        assertThat(odd.post(at + "/undo", Map.of()).statusCode()).isEqualTo(302);
        assertThat(batches.ids()).hasSize(before);
        assertThat(odd.get("/plan").body()).doesNotContain("Old Quay");
    }
}
