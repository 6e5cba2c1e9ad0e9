package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.web.store.document.DocumentFault;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Tables of a few kilobytes that ask for gigabytes or hours. */
class GreedyTablesTest {

    private static final int FILES = Integer.getInteger("causticon.greedy", 150);
    private static final long SEED = Long.getLong("causticon.hostile.seed", 8424);
    private static final double MOST_SECONDS = 2;

    /** What a letter of the alphabet of a sheet's XML may become: numbers that no sheet has. */
    private static final List<String> ODD = List.of(
            "2000000000",
            "0",
            "-1",
            "99999999999999999999",
            "FXSHRXX",
            "ZZZ",
            "1048577",
            "16385",
            "",
            "1e9",
            "4294967296");

    @TempDir
    private Path folder;

    private Path open(String rows) throws IOException {
        return zip(
                "t.ods",
                Map.of(
                        "content.xml",
                        bytes("<?xml version=\"1.0\"?><office:document-content"
                                + " xmlns:office=\"urn:oasis:names:tc:opendocument:xmlns:office:1.0\""
                                + " xmlns:table=\"urn:oasis:names:tc:opendocument:xmlns:table:1.0\""
                                + " xmlns:text=\"urn:oasis:names:tc:opendocument:xmlns:text:1.0\">"
                                + "<office:body><office:spreadsheet><table:table>" + rows
                                + "</table:table></office:spreadsheet></office:body></office:document-content>")));
    }

    private Path zip(String name, Map<String, byte[]> entries) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try (ZipOutputStream out = new ZipOutputStream(bytes)) {
            for (Map.Entry<String, byte[]> entry : entries.entrySet()) {
                out.putNextEntry(new ZipEntry(entry.getKey()));
                out.write(entry.getValue());
                out.closeEntry();
            }
        }
        return Files.write(folder.resolve(name), bytes.toByteArray());
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, byte[]> unpacked(Path file) throws IOException {
        Map<String, byte[]> all = new LinkedHashMap<>();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            for (ZipEntry entry : Collections.list(zip.entries())) {
                all.put(entry.getName(), zip.getInputStream(entry).readAllBytes());
            }
        }
        return all;
    }

    @ParameterizedTest
    @ValueSource(strings = {"FXSHRXX1", "ZZZ1", "A1048577", "A99999999999", "1A", "A", "\u00c41"})
    void aCellThatStandsWhereNoWorkbookHasOneIsNotRead(String place) throws IOException {
        Map<String, byte[]> book = unpacked(OwnTables.blocks(folder));
        String sheet = new String(book.get("xl/worksheets/sheet1.xml"), StandardCharsets.UTF_8);
        book.put("xl/worksheets/sheet1.xml", bytes(sheet.replaceFirst("r=\"A1\"", "r=\"" + place + "\"")));
        Path file = zip("greedy.xlsx", book);
        assertThatThrownBy(() -> SheetRows.read(file))
                .isInstanceOf(DocumentFault.class)
                .hasMessageContaining("where no workbook has one");
    }

    @ParameterizedTest
    @ValueSource(strings = {"2000000000", "99999999999", "-1", "x", "1000"})
    void aCellThatPointsToWordsThatAreNotThereIsNotRead(String index) throws IOException {
        Map<String, byte[]> book = unpacked(OwnTables.blocks(folder));
        String sheet = new String(book.get("xl/worksheets/sheet1.xml"), StandardCharsets.UTF_8);
        book.put("xl/worksheets/sheet1.xml", bytes(sheet.replaceFirst("<v>0</v>", "<v>" + index + "</v>")));
        Path file = zip("pointing.xlsx", book);
        assertThatThrownBy(() -> SheetRows.read(file))
                .isInstanceOf(DocumentFault.class)
                .hasMessageContaining("points to words");
    }

    @ParameterizedTest
    @CsvSource({"1000000000,1,lye", "1,1000000000,lye", "100000,100000,x", "999999999,999999999,x"})
    void aCellThatClaimsToStandThereTooOftenIsNotRead(long rows, long columns, String says) throws IOException {
        Path file = open("<table:table-row table:number-rows-repeated=\"" + rows + "\"><table:table-cell"
                + " office:value-type=\"string\" table:number-columns-repeated=\"" + columns + "\"><text:p>" + says
                + "</text:p></table:table-cell></table:table-row>");
        assertThatThrownBy(() -> SheetRows.read(file)).isInstanceOf(DocumentFault.class);
    }

    @Test
    void aThousandTimesNineHundredBlanksAreOneCellOfThem() throws IOException {
        Path file = open("<table:table-row><table:table-cell office:value-type=\"string\""
                + " table:number-columns-repeated=\"1000\"><text:p>a<text:s text:c=\"900000000\"/>b</text:p>"
                + "</table:table-cell></table:table-row>");
        assertThat(SheetRows.read(file).get(0))
                .hasSize(200)
                .allSatisfy(c -> assertThat(c).startsWith("a"));
    }

    @Test
    void emptyRowsToTheEndOfASheetAreNone() throws IOException {
        Path file = open("<table:table-row><table:table-cell"
            + " office:value-type=\"string\"><text:p>lye</text:p></table:table-cell><table:table-cell"
            + " table:number-columns-repeated=\"16383\"/></table:table-row><table:table-row"
            + " table:number-rows-repeated=\"2\"><table:table-cell/></table:table-row>"
            + "<table:table-row><table:table-cell"
            + " table:number-columns-repeated=\"2\"/><table:table-cell office:value-type=\"float\""
            + " office:value=\"42.125\"><text:p>42.1</text:p></table:table-cell><table:table-cell"
            + " office:value-type=\"date\" office:date-value=\"2026-03-01T00:00:00\"><text:p>1 March"
            + "</text:p></table:table-cell></table:table-row><table:table-row"
            + " table:number-rows-repeated=\"1048572\"><table:table-cell/></table:table-row>");
        assertThat(SheetRows.read(file))
                .containsExactly(List.of("lye"), List.of(), List.of(), List.of("", "", "42.125", "2026-03-01"));
    }

    /** Numbers and places of two good tables are changed at random. */
    @Test
    void whateverStandsInThemTheyAreReadOrRefusedSoon() throws IOException {
        Random random = new Random(SEED);
        List<Path> good = List.of(OwnTables.blocks(folder), OwnTables.columns(folder));
        int refused = 0;
        for (int n = 0; n < FILES; n++) {
            Map<String, byte[]> entries = unpacked(good.get(n % 2));
            List<String> names = entries.keySet().stream()
                    .filter(k -> k.endsWith("content.xml") || k.contains("sheet") || k.contains("sharedStrings"))
                    .toList();
            String name = names.get(random.nextInt(names.size()));
            entries.put(name, mutated(entries.get(name), random));
            Path file = zip("mutated" + n % 2, entries);
            long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
            try {
                SheetRows.read(file);
            } catch (DocumentFault e) {
                refused++;
            }
            assertThat((ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before) / 1e9)
                    .as("file %d", n)
                    .isLessThan(MOST_SECONDS);
        }
        assertThat(refused).isBetween(FILES / 20, FILES);
    }

    private static byte[] mutated(byte[] xml, Random random) {
        String text = new String(xml, StandardCharsets.UTF_8);
        for (int times = 0; times < 3; times++) {
            int at = random.nextInt(Math.max(1, text.length()));
            int quote = text.indexOf("=\"", at);
            int end = quote < 0 ? -1 : text.indexOf('"', quote + 2);
            if (end > 0 && random.nextInt(4) > 0) {
                text = text.substring(0, quote + 2) + ODD.get(random.nextInt(ODD.size())) + text.substring(end);
            } else if (random.nextBoolean()) {
                text = text.replaceFirst(
                        "<table:table-cell",
                        "<table:table-cell table:number-columns-repeated=\"" + ODD.get(random.nextInt(ODD.size()))
                                + "\"");
            } else {
                text = text.substring(0, at) + ODD.get(random.nextInt(ODD.size())) + text.substring(at);
            }
        }
        return bytes(text);
    }
}
