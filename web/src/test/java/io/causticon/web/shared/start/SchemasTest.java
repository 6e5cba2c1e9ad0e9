package io.causticon.web.shared.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.account.OwnerTool;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Summaries;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Data of earlier programs open, those of later ones are left alone. One file is kept for each version of the tables.
 */
class SchemasTest {

    /** That of the made-up workshop when those files were written. */
    private static final String PASSWORD = "saltern-lane";

    @TempDir
    private Path folder;

    private void unpack(int tables) throws IOException {
        try (InputStream file = SchemasTest.class.getResourceAsStream("/schemas/tables-" + tables + ".zip");
                ZipInputStream zip = new ZipInputStream(file)) {
            zip.getNextEntry();
            Files.copy(zip, folder.resolve("causticon.mv.db"));
        }
    }

    @ParameterizedTest
    @ValueSource(ints = {5, 6, 7, 8, 9, 10, 12, 14, 15})
    void ofAnEarlierProgramOpen(int tables) throws IOException {
        unpack(tables);
        try (RunningApplication application = RunningApplication.in(folder)) {
            Client client = new Client(application.address()).signIn("ines", PASSWORD);
            for (String page :
                    List.of("/", "/plan", "/plan/new", "/bench", "/casebook", "/shelf", "/devices", "/settings")) {
                assertThat(client.get(page).statusCode()).as(page).isIn(200, 302);
            }
            assertThat(client.get("/").body()).contains("Ferry Bar").contains("Sail Loft Tar is held");
            Map<Summaries.Which, Long> counts =
                    application.bean(Summaries.class).counts();
            assertThat(counts.get(Summaries.Which.ALL) + counts.get(Summaries.Which.ABANDONED))
                    .isEqualTo(application.bean(BatchService.class).ids().size());
        }
    }

    @Test
    void ofAnEarlierProgramAreNotWrittenBeforeTheyAreUpToDate() throws IOException {
        unpack(15);
        assertThatThrownBy(() -> OwnerTool.run(System.out, folder.toString(), "ines"))
                .hasMessageContaining("are of an earlier Causticon");
        try (RunningApplication application = RunningApplication.in(folder)) {
            new Client(application.address()).signIn("ines", PASSWORD);
        }
        OwnerTool.run(System.out, folder.toString(), "ines");
    }

    @Test
    void ofALaterProgramAreRefusedInWords() throws Exception {
        unpack(5);
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("causticon"), "causticon", "");
                Statement statement = connection.createStatement()) {
            statement.execute(
                    "insert into \"flyway_schema_history\" select 99, '99', 'later', 'SQL', 'V99__later.sql', 1,"
                            + " 'causticon', current_timestamp, 1, true");
        }
        assertThatThrownBy(() -> RunningApplication.in(folder))
                .satisfies(e -> assertThat(
                                StartFault.words(e, folder.toString(), "0").orElse(""))
                        .contains("were written by a newer Causticon (tables 99, this one knows 19). Nothing was"
                                + " changed."));
    }

    private void change(String... statements) throws Exception {
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("causticon"), "causticon", "");
                Statement statement = connection.createStatement()) {
            for (String one : statements) {
                statement.execute(one);
            }
        }
    }

    private String toldAtTheStart() {
        try (RunningApplication started = RunningApplication.in(folder)) {
            return "it started at " + started.address();
        } catch (RuntimeException e) {
            return StartFault.words(e, folder.toString(), "0").orElse("a trace");
        }
    }

    @Test
    void ofAStartThatWasBrokenOffAreRefusedInWords() throws Exception {
        unpack(6);
        change("alter table batch_summary add column purpose varchar(10)");
        assertThat(toldAtTheStart())
                .contains("are not such as any Causticon left them")
                .contains("Put a whole copy back");
    }

    @Test
    void ofAFileThatLostItsEndAreNotBroughtUpToDate() throws Exception {
        unpack(6);
        Files.writeString(folder.resolve("causticon.held"), "9999 2026-11-26T06:27:16Z\n");
        assertThat(toldAtTheStart()).contains("where they held 9999 at 2026-11-26T06:27:16Z");
        // Nothing was changed: it is still what an earlier program left.
        change("alter table batch add column nothing_yet int");
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("causticon"), "causticon", "");
                var found = connection
                        .createStatement()
                        .executeQuery("select max(\"version\") from \"flyway_schema_history\"")) {
            assertThat(found.next()).isTrue();
            assertThat(found.getString(1)).isEqualTo("6");
        }
        // Where nothing of it is there at all.
        change("drop all objects");
        assertThat(toldAtTheStart()).contains("hold 0 entries, where they held 9999");
    }

    @Test
    void areMadeSmallAgainWhenTheyHaveGrownAndHoldTheSame() throws Exception {
        unpack(5);
        Path file = folder.resolve("causticon.mv.db");
        long before = lines();
        long size = Files.size(file);
        assertThat(TidyFile.ifGrown(file, size + 1))
                .as("too small to be worth it")
                .isFalse();
        assertThat(TidyFile.ifGrown(file, 1)).isTrue();
        assertThat(Files.size(file)).isLessThan(size);
        assertThat(lines()).isEqualTo(before);
        assertThat(TidyFile.ifGrown(file, 1)).as("it has not grown since").isFalse();
        // What is no database is left as it is.
        Path other = Files.writeString(folder.resolve("other.mv.db"), "no database".repeat(100));
        assertThat(TidyFile.ifGrown(other, 1)).isFalse();
        assertThat(other).hasContent("no database".repeat(100));
    }

    private long lines() throws Exception {
        try (Connection connection =
                        DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("causticon"), "causticon", "");
                Statement statement = connection.createStatement();
                var rows = statement.executeQuery("select count(*) from log_revision")) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
