package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.Arrivals;
import io.causticon.web.store.arrival.LogTable;
import io.causticon.web.store.arrival.Novelty;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.PhotoService;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Blob;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** The made-up workshop, out and into an empty one. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class RoundTripTest {

    /** What stays with a workshop, and why. */
    private static final Map<String, String> STAYS = Map.ofEntries(
            Map.entry("ACCOUNT", "who signs in, and with which password"),
            Map.entry("SIGN_IN", "browsers in which somebody is signed in"),
            Map.entry("CALENDAR_FEED", "tokens of calendars"),
            Map.entry("WORKSHOP", "its own name, place and habits"),
            Map.entry("DEVICE_READING", "readings of the last days, of which what counted is in the logs"),
            Map.entry("ARRIVAL", "what came here"),
            Map.entry("ARRIVED_ROW", "what came here"),
            Map.entry("DEED", "who did what here"),
            Map.entry("ACCESS_TOKEN", "tokens of programs"),
            Map.entry("KNOWN_TABLE", "how tables are read here"),
            Map.entry("flyway_schema_history", "which tables the file has"));

    /** Columns that differ by what they are. */
    private static final Map<String, Set<String>> OURS = Map.of(
            "BATCH", Set.of("LOG_VERSION"),
            "BATCH_SUMMARY", Set.of("LOG_VERSION", "MADE_AT"),
            "DEVICE", Set.of("TOKEN_HASH", "LAST_SEQUENCE"));

    @TempDir
    private Path folder;

    private RunningApplication from;
    private Path there;
    private RunningApplication to;

    @BeforeAll
    void start() {
        from = RunningApplication.own(true);
        there = RunningApplication.folder(false);
        to = RunningApplication.in(there);
        // The made-up devices write by themselves: what they say is not to differ between the looks.
        from.bean(JdbcTemplate.class).update("update device set batch_id = null");
    }

    @AfterAll
    void stop() {
        from.close();
        to.close();
    }

    private Maker ines() {
        return from.bean(AccountService.class).maker("ines");
    }

    private Path out() {
        return from.bean(WorkshopZip.class).write(WorkshopZip.Asked.all(), folder, ines());
    }

    private UUID laid(Path file) throws Exception {
        try (InputStream in = Files.newInputStream(file)) {
            return to.bean(Arrivals.class).lay(in, "workshop.zip", "Ines");
        }
    }

    /** Brings in one file, which has to be as it should. */
    private static void bring(RunningApplication into, byte[] file, String name) {
        Arrivals arrivals = into.bean(Arrivals.class);
        UUID id = arrivals.lay(new ByteArrayInputStream(file), name, "Ines");
        assertThat(arrivals.look(id).count(Novelty.FAULT))
                .as(name + " " + arrivals.look(id).documents())
                .isZero();
        arrivals.take(id);
    }

    private static RunningApplication again(RunningApplication application, Path data) {
        // What the workshop learned from all of them moves what is said of the first, once it is started again.
        application.close();
        RunningApplication again = RunningApplication.in(data);
        again.bean(Summaries.class).renewAll();
        return again;
    }

    private static Set<String> tables(Connection of) throws SQLException {
        Set<String> tables = new TreeSet<>();
        try (Statement statement = of.createStatement();
                ResultSet rows = statement.executeQuery(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_type"
                                + " = 'BASE TABLE'")) {
            while (rows.next()) {
                tables.add(rows.getString(1));
            }
        }
        return tables;
    }

    /** Every row of every table that is carried, as text. */
    private static Map<String, List<String>> everything(RunningApplication application) throws Exception {
        Map<String, List<String>> all = new HashMap<>();
        try (Connection of = application.bean(DataSource.class).getConnection()) {
            for (String table : tables(of)) {
                if (!STAYS.containsKey(table)) {
                    all.put(table, rows(of, table));
                }
            }
        }
        return all;
    }

    private static List<String> rows(Connection of, String table) throws Exception {
        List<String> rows = new ArrayList<>();
        try (Statement statement = of.createStatement();
                ResultSet set = statement.executeQuery("select * from \"" + table + "\"")) {
            while (set.next()) {
                List<String> row = new ArrayList<>();
                for (int i = 1; i <= set.getMetaData().getColumnCount(); i++) {
                    if (OURS.getOrDefault(table, Set.of())
                            .contains(set.getMetaData().getColumnName(i))) {
                        continue;
                    }
                    Object cell = set.getObject(i);
                    if (cell instanceof Blob) {
                        try (InputStream blob = set.getBinaryStream(i)) {
                            row.add("" + Arrays.hashCode(blob.readAllBytes()));
                        }
                    } else {
                        row.add(String.valueOf(cell));
                    }
                }
                rows.add(String.join(" | ", row));
            }
        }
        Collections.sort(rows);
        return rows;
    }

    private void picture() throws Exception {
        BufferedImage image = new BufferedImage(400, 300, BufferedImage.TYPE_INT_RGB);
        image.createGraphics().fillOval(40, 40, 200, 200);
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(image, "png", png);
        from.bean(PhotoService.class).keep(from.bean(BatchService.class).ids().get(2), "bar.png", png.toByteArray());
    }

    @Test
    void isTheSameToTheLastRowAndGoesAgain() throws Exception {
        Arrivals arrivals = to.bean(Arrivals.class);
        Map<String, List<String>> empty = everything(to);
        picture();
        from.bean(Summaries.class).renewAll();
        Map<String, List<String>> before = everything(from);
        assertThat(before.get("BATCH")).hasSizeGreaterThan(20);
        assertThat(before.get("PHOTO")).isNotEmpty();
        UUID id = laid(out());
        Arrivals.Preview preview = arrivals.look(id);
        assertThat(preview.count(Novelty.FAULT)).isZero();
        assertThat(preview.count(Novelty.NEW)).isGreaterThan(30);
        assertThat(everything(to)).as("nothing is kept before it is taken").isEqualTo(empty);

        arrivals.take(id);
        to = again(to, there);
        Map<String, List<String>> after = everything(to);
        Set<String> tables = new HashSet<>(before.keySet());
        for (String table : tables) {
            List<String> more = new ArrayList<>(after.get(table));
            more.removeAll(before.get(table));
            assertThat(more).as(table).isEmpty();
            assertThat(after.get(table)).as(table).isEqualTo(before.get(table));
        }

        arrivals = to.bean(Arrivals.class);
        UUID again = laid(out());
        assertThat(arrivals.look(again).rows())
                .as("nothing is new the second time")
                .isZero();
        arrivals.leave(again, ArrivalRow.Kind.DOCUMENTS, null);

        arrivals.undo(id, "Ines");
        assertThat(everything(to)).isEqualTo(empty);

        oneDocumentAfterTheOther();
        linesThroughTables();
    }

    /** Each document by itself, without a zip around it: all but the pictures, which lie beside them. */
    private void oneDocumentAfterTheOther() throws Exception {
        Documents documents = from.bean(Documents.class);
        for (DocumentKind kind : DocumentKind.values()) {
            for (Object key : kind.root().isPresent() ? documents.keys(kind) : List.of("")) {
                bring(to, documents.json(kind, key).orElseThrow(), kind.words() + ".json");
            }
        }
        to = again(to, there);
        Map<String, List<String>> before = everything(from);
        Map<String, List<String>> after = everything(to);
        for (String table : before.keySet()) {
            if (!table.equals("PHOTO")) {
                assertThat(after.get(table)).as(table).isEqualTo(before.get(table));
            }
        }
    }

    /** What a log as a table holds: batches come with an empty log, and each line through its table. */
    private void linesThroughTables() throws Exception {
        Documents documents = from.bean(Documents.class);
        JsonMapper json = JsonMapper.builder().build();
        to.close();
        there = RunningApplication.folder(false);
        to = RunningApplication.in(there);
        for (Object key : documents.keys(DocumentKind.BATCH)) {
            ObjectNode document = (ObjectNode)
                    json.readTree(documents.json(DocumentKind.BATCH, key).orElseThrow());
            ((ObjectNode) document.get("batch")).putArray("log");
            ((ObjectNode) document.get("batch")).putArray("photos");
            bring(to, json.writeValueAsBytes(document), "batch.json");
            StringBuilder table = new StringBuilder();
            from.bean(LogTable.class).write((UUID) key, ines().formats(), TableFile.csv(table, LogTable.HEADINGS));
            bring(to, table.toString().getBytes(StandardCharsets.UTF_8), "log.csv");
            // A second time there is nothing new in it.
            UUID again = to.bean(Arrivals.class)
                    .lay(
                            new ByteArrayInputStream(table.toString().getBytes(StandardCharsets.UTF_8)),
                            "log.csv",
                            "Ines");
            assertThat(to.bean(Arrivals.class).look(again).rows()).isZero();
        }
        String lines = "select line_id, revision, kind, entry, recorded_by, withdrawn, reason, date_trunc(millisecond,"
                + " happened_at) as happened, date_trunc(millisecond, recorded_at) as recorded from log_revision"
                + " order by line_id, revision";
        List<Map<String, Object>> kept = from.bean(JdbcTemplate.class).queryForList(lines);
        assertThat(kept).hasSizeGreaterThan(500);
        assertThat(to.bean(JdbcTemplate.class).queryForList(lines)).isEqualTo(kept);
        String held = "select batch_id, life, held from batch_summary order by batch_id";
        assertThat(to.bean(JdbcTemplate.class).queryForList(held))
                .isEqualTo(from.bean(JdbcTemplate.class).queryForList(held));
    }
}
