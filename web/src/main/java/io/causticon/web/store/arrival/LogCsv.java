package io.causticon.web.store.arrival;

import io.causticon.web.shared.OpenCells;
import io.causticon.web.store.document.Document;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.DocumentTable;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * The log of a batch that left as a table, read as the document of that batch with these lines. A table has no plan:
 * the batch is here already, and its log grows. Moments stand in it to the thousandth of a second; a line that is here
 * and the same to that is the one that is here.
 */
@Component
class LogCsv {

    private static final String LOG = "log_revision";
    private static final String HEAD = String.join(",", LogTable.HEADINGS);
    private static final int LONGEST_ENTRY = 4000;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_REASON = 500;
    private static final int MOST_REVISIONS = 10_000;

    private final Documents documents;

    LogCsv(Documents documents) {
        this.documents = documents;
    }

    /** Whether a file is one, by its first line. */
    static boolean isOne(byte[] file) {
        String head = new String(file, 0, Math.min(file.length, HEAD.length() + 3), StandardCharsets.UTF_8)
                .replace("\ufeff", "");
        return head.startsWith(HEAD);
    }

    /** @throws DocumentFault with row and column, if it cannot be read or its batch is not here */
    Document read(byte[] file) {
        List<CSVRecord> records;
        try (InputStreamReader text = new InputStreamReader(new ByteArrayInputStream(file), StandardCharsets.UTF_8)) {
            records = CSVFormat.RFC4180
                    .builder()
                    .setHeader(LogTable.HEADINGS.toArray(String[]::new))
                    .setSkipHeaderRecord(true)
                    .setIgnoreEmptyLines(true)
                    .get()
                    .parse(text)
                    .getRecords();
        } catch (IOException | RuntimeException e) {
            throw new DocumentFault("This table cannot be read: it is damaged, or was cut short on its way.");
        }
        if (records.isEmpty()) {
            throw new DocumentFault("There is no line in this log.");
        }
        UUID batch = cell(records.get(0), "batch", UUID::fromString, "the id of a batch");
        List<Row> here = documents.rows(DocumentKind.BATCH, batch);
        if (here.isEmpty()) {
            throw new DocumentFault(
                    "The batch that this is a log of is not here. Its document comes first: a log as a table has no"
                            + " plan.");
        }
        Map<String, Row> known = here.stream()
                .filter(r -> r.table().name().equals(LOG))
                .collect(Collectors.toMap(r -> r.get("line_id") + " " + r.get("revision"), r -> r));
        List<Row> rows = new ArrayList<>(List.of(here.get(0)));
        for (CSVRecord record : records) {
            if (!record.isConsistent()) {
                throw new DocumentFault("Row " + (record.getRecordNumber() + 1) + " has " + record.size()
                        + " cells where there are " + LogTable.HEADINGS.size() + ".");
            }
            if (!batch.equals(cell(record, "batch", UUID::fromString, "the id of a batch"))) {
                throw new DocumentFault(
                        "Row " + (record.getRecordNumber() + 1) + " is of another batch: a log is of one.");
            }
            rows.add(row(record, batch, known));
        }
        return new Document(DocumentKind.BATCH, rows);
    }

    private static Row row(CSVRecord record, UUID batch, Map<String, Row> known) {
        DocumentTable log = DocumentKind.BATCH.table(LOG);
        Map<String, @Nullable Object> values = new HashMap<>();
        UUID line = cell(record, "line", UUID::fromString, "the id of a line");
        long revision = cell(record, "revision", Long::parseLong, "a whole number");
        if (revision < 1 || revision > MOST_REVISIONS) {
            throw fault(record, "revision", "a number from 1");
        }
        values.put("id", UUID.randomUUID());
        values.put("batch_id", batch);
        values.put("line_id", line);
        values.put("revision", revision);
        values.put(
                "happened_at",
                cell(record, "happened_at", LogCsv::moment, "a moment such as 2026-11-24T18:05:00.000Z"));
        values.put(
                "recorded_at",
                cell(record, "recorded_at", LogCsv::moment, "a moment such as 2026-11-24T18:05:00.000Z"));
        values.put("recorded_by", text(record, "recorded_by", LONGEST_NAME));
        values.put("kind", "Unreadable");
        values.put("entry", text(record, "entry", LONGEST_ENTRY));
        values.put("withdrawn", cell(record, "withdrawn", LogCsv::flag, "yes or no"));
        values.put("reason", text(record, "reason", LONGEST_REASON));
        Row before = known.get(line + " " + revision);
        return before != null && isSame(values, before)
                ? before
                : new Row(log, before == null ? values : with(values, before));
    }

    /** What differs is told of the line that stands in its place here. */
    private static Map<String, @Nullable Object> with(Map<String, @Nullable Object> values, Row before) {
        Map<String, @Nullable Object> same = new HashMap<>(values);
        same.put("id", before.key());
        same.put("kind", before.get("kind"));
        for (String moment : List.of("happened_at", "recorded_at")) {
            if (values.get(moment) instanceof Instant at
                    && before.get(moment) instanceof Instant was
                    && at.equals(was.truncatedTo(ChronoUnit.MILLIS))) {
                same.put(moment, was);
            }
        }
        return same;
    }

    private static boolean isSame(Map<String, @Nullable Object> values, Row before) {
        Map<String, @Nullable Object> same = with(values, before);
        return same.entrySet().stream()
                .allMatch(e -> String.valueOf(e.getValue()).equals(String.valueOf(before.get(e.getKey()))));
    }

    private static Instant moment(String cell) {
        return OffsetDateTime.parse(cell).toInstant();
    }

    private static boolean flag(String cell) {
        if (!cell.equals("yes") && !cell.equals("no")) {
            throw new IllegalArgumentException(cell);
        }
        return cell.equals("yes");
    }

    private static String text(CSVRecord record, String column, int longest) {
        String text = OpenCells.asItWas(record.get(column));
        if (text.length() > longest) {
            throw fault(record, column, "at most " + longest + " letters");
        }
        return text;
    }

    private static <T> T cell(CSVRecord record, String column, Function<String, T> read, String wants) {
        try {
            return read.apply(record.get(column).strip());
        } catch (IllegalArgumentException | DateTimeException e) {
            throw fault(record, column, wants);
        }
    }

    private static DocumentFault fault(CSVRecord record, String column, String wants) {
        return new DocumentFault("Row " + (record.getRecordNumber() + 1) + ": " + column + " wants " + wants + ".");
    }
}
