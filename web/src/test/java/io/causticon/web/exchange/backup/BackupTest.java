package io.causticon.web.exchange.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.SteppedClock;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.file.BackupFault;
import io.causticon.web.store.file.Contents;
import io.causticon.web.store.file.DataFile;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.io.PrintStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Blob;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;

/** What is kept safe comes back as it was, to the last row. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class BackupTest {

    @TempDir
    private Path folder;

    private RunningApplication application;
    private BatchService batches;

    @BeforeAll
    void start() {
        application = RunningApplication.own(true);
        batches = application.bean(BatchService.class);
    }

    @AfterAll
    void stop() {
        application.close();
    }

    private static String tool(String... args) {
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        new BackupTool(new PrintStream(said, true, StandardCharsets.UTF_8)).run(args);
        return said.toString(StandardCharsets.UTF_8);
    }

    /** Every row of every table, as text. */
    private static Map<String, List<String>> everything(Connection of) throws SQLException, java.io.IOException {
        Map<String, List<String>> all = new LinkedHashMap<>();
        for (String table : DataFile.tables(of)) {
            List<String> rows = new ArrayList<>();
            try (Statement statement = of.createStatement();
                    ResultSet set = statement.executeQuery("select * from \"" + table + "\"")) {
                while (set.next()) {
                    List<String> row = new ArrayList<>();
                    for (int i = 1; i <= set.getMetaData().getColumnCount(); i++) {
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
            all.put(table, rows);
        }
        return all;
    }

    private BatchId someBatch() {
        return batches.all().get(3).id();
    }

    @Test
    void isTheSameToTheLastRow() throws Exception {
        // The made-up devices write by themselves: their readings are not to differ between the two looks.
        application.bean(org.springframework.jdbc.core.JdbcTemplate.class).update("update device set batch_id = null");
        Path file = folder.resolve("whole.zip");
        Contents contents = application.bean(Backups.class).to(file);
        assertThat(contents.batches()).isEqualTo(batches.ids().size());
        assertThat(contents.workshop()).isEqualTo("Saltern Lane Soapworks");
        Path restored = folder.resolve("restored");
        assertThat(tool("restore", restored.toString(), file.toString()))
                .contains("Saltern Lane Soapworks", "Put back");
        try (Connection here = application.bean(DataSource.class).getConnection();
                Connection there = DataFile.open(restored)) {
            Map<String, List<String>> before = everything(here);
            assertThat(before.keySet()).contains("BATCH", "LOG_REVISION", "PHOTO", "RECIPE_VERSION", "ACCOUNT");
            assertThat(everything(there)).isEqualTo(before);
        }
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-------");
    }

    @Test
    void isWholeWhileLinesAreWritten() throws Exception {
        BatchId id = someBatch();
        AtomicBoolean done = new AtomicBoolean();
        List<Integer> written = Collections.synchronizedList(new ArrayList<>());
        Thread writer = new Thread(() -> {
            for (int i = 0; !done.get(); i++) {
                batches.log(
                        id,
                        List.of(new Entry.Noted("line " + i), new Entry.Noted("and " + i)),
                        Instant.now(),
                        "Ines",
                        UUID.randomUUID().toString());
                written.add(i);
            }
        });
        writer.start();
        try {
            while (written.size() < 5) {
                Thread.onSpinWait();
            }
            int before = written.size();
            Path file = folder.resolve("load.zip");
            application.bean(Backups.class).to(file);
            Path restored = folder.resolve("load");
            tool("restore", restored.toString(), file.toString());
            try (Connection there = DataFile.open(restored);
                    Statement statement = there.createStatement();
                    ResultSet notes = statement.executeQuery(
                            "select count(*), count(case when entry like '%line %' then 1 end) from log_revision"
                                    + " where batch_id = '" + id
                                    + "' and (entry like '%\"line %' or entry like '%\"and %')")) {
                notes.next();
                // Both lines of a form, or neither; and all that were acknowledged before.
                assertThat(notes.getInt(1)).isEqualTo(2 * notes.getInt(2));
                assertThat(notes.getInt(2)).isGreaterThanOrEqualTo(before);
            }
        } finally {
            done.set(true);
            writer.join();
        }
    }

    /** Another process, as the command is: within one the database knows itself and is shared. */
    private static String command(int exit, String... args) throws Exception {
        List<String> line = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                BackupTool.class.getName()));
        line.addAll(List.of(args));
        Process process = new ProcessBuilder(line).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).as(said).isEqualTo(exit);
        return said;
    }

    @Test
    void theRunningWorkshopIsAskedFromTheCommandLine() throws Exception {
        String data = application.data().toString();
        Path file = folder.resolve("asked.zip");
        assertThat(command(0, "backup", data, file.toString()))
                .contains("read again to the last row: Saltern Lane Soapworks");
        assertThat(file).exists();
        assertThat(command(1, "backup", data, file.toString())).contains("is there already");
        assertThat(command(1, "backup", data, folder.resolve("no/where.zip").toString()))
                .contains("There is no folder");
        // And it is not put back under the running one.
        assertThat(command(1, "restore", data, file.toString(), "--replace"))
                .contains("Stop it first. Nothing was changed.");
        assertThat(batches.ids()).isNotEmpty();
    }

    @Test
    void nothingIsReplacedWithoutBeingTold() throws Exception {
        Path file = folder.resolve("put-back.zip");
        application.bean(Backups.class).to(file);
        Path data = folder.resolve("data");
        tool("restore", data.toString(), file.toString());
        assertThatThrownBy(() -> tool("restore", data.toString(), file.toString()))
                .hasMessageContaining("Nothing was changed");
        assertThat(tool("restore", data.toString(), file.toString(), "--replace"))
                .contains("set aside")
                .contains("batches");
        try (Stream<Path> files = Files.list(data)) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .anyMatch(f -> f.startsWith("before-"))
                    .contains("causticon.mv.db");
        }
        assertThat(tool("backup", data.toString(), folder.resolve("again.zip").toString()))
                .contains("Saltern Lane");
    }

    @Test
    void whatIsNoCopyIsTold() throws Exception {
        Path text = Files.writeString(folder.resolve("text.zip"), "no zip at all");
        Path whole = folder.resolve("to-cut.zip");
        application.bean(Backups.class).to(whole);
        byte[] bytes = Files.readAllBytes(whole);
        Path cut = Files.write(folder.resolve("cut.zip"), Arrays.copyOf(bytes, bytes.length / 2));
        for (Path broken : List.of(text, cut, folder.resolve("nowhere.zip"))) {
            assertThatThrownBy(() -> tool("restore", folder.resolve("new").toString(), broken.toString()))
                    .as(broken.toString())
                    .isInstanceOf(BackupFault.class)
                    .hasMessageContaining(broken.getFileName().toString());
        }
        assertThat(folder.resolve("new")).doesNotExist();
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .noneMatch(f -> f.startsWith("causticon-check") || f.endsWith(".part"));
        }
    }

    @Test
    void sevenDaysAndFiveWeeksAreKept() {
        SteppedClock clock = new SteppedClock();
        Backups backups = new Backups(application.bean(DataSource.class), folder.resolve("nightly"), clock);
        for (int day = 0; day < 37; day++) {
            assertThat(backups.hasToday(ZoneOffset.UTC)).isFalse();
            backups.today(ZoneOffset.UTC);
            assertThat(backups.hasToday(ZoneOffset.UTC)).isTrue();
            clock.pass(Duration.ofDays(1));
        }
        assertThat(backups.all())
                .extracting(Backups.Copy::name)
                .filteredOn(n -> n.startsWith("daily-"))
                .hasSize(7);
        assertThat(backups.all())
                .extracting(Backups.Copy::name)
                .filteredOn(n -> n.startsWith("weekly-"))
                .hasSize(5);
    }

    @Test
    void theOwnerWritesAndLoadsThemAndNobodyElse() {
        Client ines = new Client(application.address()).signIn("ines");
        assertThat(ines.post("/backups", Map.of()).statusCode()).isEqualTo(302);
        String page = ines.get("/settings").body();
        assertThat(page)
                .contains("A copy is kept, and was read again to the last row.")
                .contains("The last copy is");
        String name = page.replaceAll("(?s).*/backups/(daily-[^\"]*)\".*", "$1");
        HttpResponse<String> loaded = ines.get("/backups/" + name);
        assertThat(loaded.statusCode()).isEqualTo(200);
        assertThat(loaded.headers().firstValue("Content-Disposition"))
                .contains("attachment; filename=\"causticon-" + name + "\"");
        for (String odd : List.of("remember.key", "..%2Fremember.key", "daily-2026-01-01.zip", "%00")) {
            assertThat(ines.get("/backups/" + odd).statusCode()).as(odd).isBetween(400, 404);
        }
        Client odd = new Client(application.address()).signIn("odd");
        assertThat(odd.post("/backups", Map.of()).statusCode()).isEqualTo(403);
        assertThat(odd.get("/backups/" + name).statusCode()).isEqualTo(403);
        assertThat(odd.get("/settings").body()).doesNotContain("Kept safe");
    }
}
