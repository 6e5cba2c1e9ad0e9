package io.causticon.web.shared.print;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.apache.poi.ss.usermodel.CellType;
import org.apache.poi.ss.usermodel.Row;
import org.apache.poi.ss.usermodel.Sheet;
import org.apache.poi.ss.usermodel.Workbook;
import org.apache.poi.xssf.usermodel.XSSFWorkbook;
import org.junit.jupiter.api.Test;

/** Tables and drawings of pages, opened by readers of other makes. */
@Application
class FiguresTest {

    private static final int TRIES = 2000;

    private final RunningApplication application = RunningApplication.get();
    private final Client guest = new Client(application.address()).signIn("guest");

    private List<CSVRecord> table(String path) throws Exception {
        return CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(guest.get(path).body()))
                .getRecords();
    }

    private Batch called(String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void theCasebookSaysInATableWhatItsPagesSay() throws Exception {
        List<CSVRecord> cases = table("/casebook/cases.csv");
        Map<String, Integer> ranks = new TreeMap<>();
        for (CSVRecord r : cases) {
            assertThat(Double.parseDouble(r.get("probability"))).isBetween(0.0, 1.0);
            assertThat(Integer.parseInt(r.get("rank")))
                    .as("the likeliest first")
                    .isGreaterThan(ranks.getOrDefault(r.get("batch"), 0));
            ranks.put(r.get("batch"), Integer.parseInt(r.get("rank")));
        }
        Batch lavender = called("Net Loft Lavender");
        CSVRecord first = cases.stream()
                .filter(r -> r.get("batch").equals(lavender.id().toString()))
                .findFirst()
                .orElseThrow();
        assertThat(first.get("held")).isEqualTo("yes");
        assertThat(guest.get("/casebook/" + lavender.id()).body()).contains(first.get("condition_name"));
        assertThat(cases).anyMatch(r -> r.get("settled").equals("yes"));
    }

    @Test
    void dryingStandsBesideWhatIsExpectedOfIt() throws Exception {
        List<CSVRecord> drying = table("/cure/drying.csv");
        assertThat(drying).hasSizeGreaterThan(50);
        long within = drying.stream()
                .filter(r -> Math.abs(number(r, "grams") - number(r, "expected_grams")) < 0.03 * number(r, "grams"))
                .count();
        assertThat(within).as("the curve was drawn through them").isGreaterThan(drying.size() * 9L / 10);
        assertThat(drying)
                .allSatisfy(r -> assertThat(number(r, "expected_grams"))
                        .isBetween(number(r, "expected_from_grams") - 0.01, number(r, "expected_to_grams") + 0.01));

        try (Workbook book = workbook("/cure/drying.xlsx")) {
            Sheet sheet = book.getSheetAt(0);
            assertThat(sheet.getLastRowNum()).isEqualTo(drying.size());
            assertThat(sheet.getRow(0).getCell(6).getStringCellValue()).isEqualTo("grams");
            assertThat(sheet.getRow(1).getCell(6).getNumericCellValue())
                    .isCloseTo(number(drying.get(0), "grams"), within(1e-9));
        }
    }

    private Workbook workbook(String path) throws IOException {
        return new XSSFWorkbook(new ByteArrayInputStream(guest.bytes(path)));
    }

    private static double number(CSVRecord row, String column) {
        return Double.parseDouble(row.get(column));
    }

    @Test
    void aWorkbookRunsNothing() throws Exception {
        Batch batch = called("Harbour Dusk");
        Client odd = new Client(application.address()).signIn("odd");
        odd.get("/batch/" + batch.id());
        odd.post("/batch/" + batch.id() + "/log", Map.of("quick", "note =1+1", "key", "runs-nothing"));
        List<String> says = new ArrayList<>();
        try (Workbook book = workbook("/carry/batch/" + batch.id() + "/log.xlsx")) {
            for (Row row : book.getSheetAt(0)) {
                says.add(row.getCell(1).getStringCellValue());
                row.forEach(cell -> assertThat(cell.getCellType()).isNotEqualTo(CellType.FORMULA));
            }
        }
        assertThat(says).anyMatch(s -> s.contains("=1+1"));
    }

    /**
     * It is read in the background, from the first who asks on: asked for until it says that it has read all, a bounded
     * number of times.
     */
    private void waitForTheHistory() {
        boolean read = false;
        for (int tries = 0; tries < TRIES && !read; tries++) {
            read = !guest.get("/history").body().contains("still being read");
        }
        assertThat(read).isTrue();
    }

    @Test
    void everyDrawingOfAPageLeavesAsWhatItIs() {
        Batch batch = called("Harbour Dusk");
        waitForTheHistory();
        for (String drawing : List.of(
                "/batch/" + batch.id() + "/strip",
                "/batch/" + batch.id() + "/cure/drying",
                "/casebook/" + batch.id() + "/reasons-soda-ash",
                "/history/chart-1")) {
            assertThat(guest.get(drawing + ".svg").body())
                    .as(drawing)
                    .startsWith("<svg")
                    .doesNotContain("var(");
            assertThat(guest.bytes(drawing + ".png")).as(drawing).startsWith(0x89, 'P', 'N', 'G');
            assertThat(guest.get(drawing + ".gif").statusCode()).isEqualTo(404);
        }
        assertThat(guest.get("/casebook/" + batch.id() + "/reasons-none.svg").statusCode())
                .isEqualTo(404);
        assertThat(guest.get("/history/chart-0.png").statusCode()).isEqualTo(404);
    }
}
