package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.arrival.LogTable;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.jdbc.core.JdbcTemplate;

/** Files that are damaged, cut short, doubled, of other versions, or none of ours: a word, and nothing kept. */
@Application
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class HostileFilesTest {

    private static final int FILES = Integer.getInteger("causticon.hostile", 90);
    private static final long SEED = Long.getLong("causticon.hostile.seed", 8424);
    private static final List<String> TABLES = List.of(
            "batch",
            "log_revision",
            "photo",
            "recipe",
            "recipe_version",
            "trial",
            "trial_arm",
            "mould",
            "vessel",
            "own_fat",
            "own_fragrance",
            "lot",
            "device",
            "scrap",
            "planned_making",
            "arrived_row",
            "known_table");

    private final RunningApplication application = RunningApplication.get();
    private final Random random = new Random(SEED);
    private final List<byte[]> seeds = new ArrayList<>();
    private Client ines;
    private BatchId batch;

    @BeforeAll
    void gather(@TempDir Path folder) throws IOException {
        ines = new Client(application.address()).signIn("ines");
        batch = application.bean(BatchService.class).ids().get(0);
        Documents documents = application.bean(Documents.class);
        for (DocumentKind kind : List.of(DocumentKind.RECIPE, DocumentKind.BATCH)) {
            documents.keys(kind).stream()
                    .limit(4)
                    .forEach(k -> seeds.add(documents.json(kind, k).orElseThrow()));
        }
        seeds.add(documents.json(DocumentKind.SHELF, "").orElseThrow());
        seeds.add(documents.json(DocumentKind.WORKSHOP, "").orElseThrow());
        seeds.add(zip(Map.of("batches/a.json", seeds.get(4), "recipes/b.json", seeds.get(0))));
        seeds.add(Files.readAllBytes(OwnTables.german(folder)));
        seeds.add(Files.readAllBytes(OwnTables.blocks(folder)));
        seeds.add(Files.readAllBytes(OwnTables.columns(folder)));
        StringBuilder log = new StringBuilder();
        application
                .bean(LogTable.class)
                .write(
                        batch.value(),
                        application.bean(AccountService.class).maker("ines").formats(),
                        TableFile.csv(log, LogTable.HEADINGS));
        seeds.add(log.toString().getBytes(StandardCharsets.UTF_8));
        seeds.add(
                "Soap,Made on,Olive oil (g),Coconut oil (g),Bars,Notes\nOne,3/4/2024,400,150,8,soft\nTwo,13/6/2024,400,150,,\n"
                        .getBytes(StandardCharsets.UTF_8));
        seeds.add("time;temp C\n2026-01-01 10:00:00;40,1\n2026-01-01 10:00:10;40,2\n2026-01-01 10:00:20;40,3\n"
                .getBytes(StandardCharsets.UTF_8));
    }

    static byte[] zip(Map<String, byte[]> files) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : new TreeMap<>(files).entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return out.toByteArray();
    }

    private Map<String, Integer> counts() {
        Map<String, Integer> counts = new TreeMap<>();
        TABLES.forEach(t -> counts.put(
                t, application.bean(JdbcTemplate.class).queryForObject("select count(*) from " + t, Integer.class)));
        return counts;
    }

    private String somewhere() {
        return switch (random.nextInt(3)) {
            case 0 -> "/people/arrivals";
            case 1 -> "/carry/table";
            default -> "/batch/" + batch + "/probe";
        };
    }

    /** What is sent is looked at as well; a preview may not break. */
    private void brought(String where, byte[] file) {
        HttpResponse<String> answer = ines.postFile(where, "seed " + SEED, file);
        assertThat(answer.statusCode()).as(where).isIn(200, 400);
        assertThat(answer.body()).isNotBlank();
        if (answer.statusCode() == 200) {
            String address = answer.body().strip();
            HttpResponse<String> look = ines.get(address);
            assertThat(look.statusCode()).as(address).isLessThan(500);
            assertThat(look.body()).doesNotContain("Something broke");
            ines.post(address + "/leave", Map.of());
        } else {
            assertThat(answer.body()).as("words of ours").doesNotContain("Exception", "java.", "Something broke");
        }
    }

    private byte[] mutated(byte[] seed) {
        byte[] file = seed.clone();
        switch (random.nextInt(6)) {
            case 0 -> file = java.util.Arrays.copyOf(file, random.nextInt(file.length + 1));
            case 1 -> flip(file, 1 + random.nextInt(8));
            case 2 ->
                file = replaced(
                        file, "[0-9]+", List.of("-1", "1e999", "99999999999999999999", "\"x\"", "null", "0.1", "true"));
            case 3 ->
                file = replaced(
                        file,
                        "\"[^\"]{1,80}\"",
                        List.of(
                                "\"\"",
                                "7",
                                "{}",
                                "[]",
                                "\"" + "x".repeat(5000) + "\"",
                                "\"\\u0000\"",
                                "\"<script>\""));
            case 4 -> file = joined(file, seeds.get(random.nextInt(seeds.size())));
            default -> file = replaced(file, "[,:{}\\[\\];]", List.of("", ",,", "{", "]", ";"));
        }
        return file;
    }

    private void flip(byte[] file, int times) {
        for (int i = 0; i < times && file.length > 0; i++) {
            file[random.nextInt(file.length)] = (byte) random.nextInt(256);
        }
    }

    private static byte[] joined(byte[] one, byte[] other) {
        byte[] both = java.util.Arrays.copyOf(one, one.length + other.length);
        System.arraycopy(other, 0, both, one.length, other.length);
        return both;
    }

    /** One match somewhere is another thing now. */
    private byte[] replaced(byte[] file, String what, List<String> with) {
        String text = new String(file, StandardCharsets.ISO_8859_1);
        java.util.regex.Matcher m = java.util.regex.Pattern.compile(what).matcher(text);
        if (text.isEmpty() || !m.find(random.nextInt(text.length()))) {
            return file;
        }
        return (text.substring(0, m.start()) + with.get(random.nextInt(with.size())) + text.substring(m.end()))
                .getBytes(StandardCharsets.ISO_8859_1);
    }

    @Test
    void leaveAWordAndNothingElse() {
        Map<String, Integer> before = counts();
        for (int i = 0; i < FILES; i++) {
            brought(somewhere(), mutated(seeds.get(random.nextInt(seeds.size()))));
        }
        assertThat(counts()).isEqualTo(before);
    }

    @Test
    void ofAKnownKindSayWhatTheyAre() throws IOException {
        Map<String, Integer> before = counts();
        Map<String, byte[]> files = new TreeMap<>();
        files.put("deep", ("[".repeat(100_000)).getBytes(StandardCharsets.UTF_8));
        files.put(
                "deep in a document",
                ("{\"format\":\"causticon/recipe\",\"version\":1,\"recipe\":" + "{\"a\":".repeat(5000))
                        .getBytes(StandardCharsets.UTF_8));
        files.put(
                "twice",
                "{\"format\":\"causticon/recipe\",\"format\":\"causticon/batch\",\"version\":1}"
                        .getBytes(StandardCharsets.UTF_8));
        files.put(
                "newer",
                "{\"format\":\"causticon/recipe\",\"version\":99,\"recipe\":{}}".getBytes(StandardCharsets.UTF_8));
        files.put("other", "{\"format\":\"causticon/kitchen\",\"version\":1}".getBytes(StandardCharsets.UTF_8));
        files.put("bomb", zip(Map.of("batches/a.json", new byte[40 * 1024 * 1024])));
        files.put(
                "paths",
                zip(Map.of(
                        "../../../../etc/a.json",
                        seeds.get(0),
                        "/batches/b.json",
                        seeds.get(4),
                        "photos/../../x.jpg",
                        new byte[10])));
        files.put("picture", new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff, 0, 0});
        files.put("quote", ("time,temp\n\"" + "x".repeat(300_000)).getBytes(StandardCharsets.UTF_8));
        files.put(
                "entity",
                zip(Map.of(
                        "content.xml",
                        "<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><x>&e;</x>"
                                .getBytes(StandardCharsets.UTF_8))));
        files.put("sixteen", "t;c\n2026-01-01 10:00;4".getBytes(StandardCharsets.UTF_16));
        files.put(
                "repeats",
                zip(Map.of(
                        "content.xml",
                        ("<office:document-content xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
                            + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\"><table:table><table:table-row"
                            + " table:number-rows-repeated=\"1000000000\"><table:table-cell"
                            + " office:value-type=\"float\" office:value=\"1\""
                            + " table:number-columns-repeated=\"1000000\"/></table:table-row></table:table></office:document-content>")
                                .getBytes(StandardCharsets.UTF_8))));
        files.forEach((name, file) -> {
            for (String where : List.of("/people/arrivals", "/carry/table", "/batch/" + batch + "/probe")) {
                brought(where, file);
            }
        });
        assertThat(counts()).isEqualTo(before);
        assertThat(application.bean(AccountService.class).people()).hasSize(3);
    }
}
