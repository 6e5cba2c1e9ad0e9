package io.causticon.web.exchange.carry;

import io.causticon.core.model.said.intake.LoggerGuess;
import io.causticon.core.model.said.intake.RecipeSheet;
import io.causticon.web.shared.OpenCells;
import io.causticon.web.store.document.DocumentFault;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.CellType;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.jspecify.annotations.Nullable;

/**
 * The rows of somebody's own table as text, whatever it was kept in: comma-separated values, a workbook, an open
 * document. Of a formula the value that was kept with it is read; it is never worked out. Before a library reads a zip,
 * it was looked at: how much it unpacks to, and that its XML names nothing outside.
 */
final class SheetRows {

    private static final long MOST_UNPACKED = 80L * 1024 * 1024;
    private static final int MOST_FILES = 2000;
    private static final int MOST_COLUMNS = 200;
    private static final int LONGEST_CELL = 500;

    private static final Pattern DAY_FORMAT = Pattern.compile("(?i)y.*[md]|[md].*y");

    private SheetRows() {}

    /** @throws DocumentFault if it is none of these, or holds what no table does */
    static List<List<String>> read(Path file) {
        try {
            byte[] head;
            try (InputStream in = Files.newInputStream(file)) {
                head = in.readNBytes(4);
            }
            if (head.length > 1 && head[0] == 'P' && head[1] == 'K') {
                return zipped(file);
            }
            return text(file);
        } catch (IOException e) {
            throw new DocumentFault("This table cannot be read: it is damaged, or was cut short on its way.");
        }
    }

    private static List<List<String>> text(Path file) {
        TableLines lines = new TableLines(file);
        List<String> first = lines.first(60);
        if (first.stream()
                .filter(l -> !l.isBlank())
                .findFirst()
                .filter(l -> l.strip().startsWith("{") || l.strip().startsWith("["))
                .isPresent()) {
            throw new DocumentFault("This is no table but a document (JSON): those come in under \"Out and in\".");
        }
        char delimiter = LoggerGuess.delimiter(first, d -> some(lines, d, 60));
        return some(lines, delimiter, RecipeSheet.MOST_ROWS);
    }

    private static List<List<String>> some(TableLines lines, char delimiter, int most) {
        List<List<String>> rows = new ArrayList<>();
        lines.each(delimiter, (number, cells) -> {
            rows.add(cells.stream()
                    .limit(MOST_COLUMNS)
                    .map(SheetRows::shortened)
                    .map(OpenCells::asItWas)
                    .toList());
            return rows.size() < most;
        });
        return rows;
    }

    private static String shortened(String cell) {
        return cell.length() <= LONGEST_CELL ? cell : cell.substring(0, LONGEST_CELL);
    }

    private static List<List<String>> zipped(Path file) throws IOException {
        ReadingLimits limits = new ReadingLimits();
        try (ZipFile zip = new ZipFile(file.toFile())) {
            check(zip, limits);
            ZipEntry content = zip.getEntry("content.xml");
            if (content != null) {
                try (InputStream in = zip.getInputStream(content)) {
                    return openDocument(in, limits);
                }
            }
            if (zip.getEntry("xl/workbook.xml") == null) {
                throw new DocumentFault("This zip is neither a workbook (XLSX) nor an open document (ODS).");
            }
            WorkbookCheck.check(zip, limits);
        } catch (ZipException e) {
            throw new DocumentFault("This table cannot be read: it is damaged, or was cut short on its way.");
        } catch (ArithmeticException e) {
            throw new DocumentFault("This table claims to have more cells than any has. It was not read.");
        }
        try {
            return workbook(file, limits);
        } catch (DocumentFault e) {
            throw e;
        } catch (RuntimeException e) {
            // The libraries meet broken files with whatever exception they come to.
            throw new DocumentFault("This table cannot be read: it is damaged, or no sheet of it can be understood.");
        }
    }

    /** Unpacks all of it once, keeping nothing, before anybody unpacks it into memory. */
    private static void check(ZipFile zip, ReadingLimits limits) throws IOException {
        List<? extends ZipEntry> entries = Collections.list(zip.entries());
        if (entries.size() > MOST_FILES) {
            throw new DocumentFault("This file holds more than any table does.");
        }
        long unpacked = 0;
        byte[] some = new byte[64 * 1024];
        for (ZipEntry entry : entries) {
            boolean xml = entry.getName().endsWith(".xml") || entry.getName().endsWith(".rels");
            boolean first = true;
            try (InputStream in = zip.getInputStream(entry)) {
                for (int n = in.read(some); n >= 0; n = in.read(some)) {
                    unpacked += n;
                    limits.goOn();
                    if (unpacked > MOST_UNPACKED) {
                        throw new DocumentFault("This file unpacks to more than " + MOST_UNPACKED / (1024 * 1024)
                                + " MB: no table of recipes does.");
                    }
                    if (xml && first && new String(some, 0, n, StandardCharsets.ISO_8859_1).contains("<!DOCTYPE")) {
                        throw new DocumentFault("This file's XML speaks of things outside of it. It was not read.");
                    }
                    first = false;
                }
            }
        }
    }

    private static List<List<String>> workbook(Path file, ReadingLimits limits) throws IOException {
        try (ReadableWorkbook workbook = new ReadableWorkbook(file.toFile());
                Stream<Row> rows = workbook.getFirstSheet().openStream()) {
            List<List<String>> all = new ArrayList<>();
            for (Row row : (Iterable<Row>) rows::iterator) {
                limits.goOn();
                // Rows of nothing are not in the file; their place is.
                while (all.size() < Math.min(row.getRowNum() - 1, RecipeSheet.MOST_ROWS)) {
                    all.add(List.of());
                }
                if (all.size() >= RecipeSheet.MOST_ROWS) {
                    break;
                }
                all.add(row.stream().limit(MOST_COLUMNS).map(SheetRows::text).toList());
            }
            return all;
        }
    }

    private static String text(@Nullable Cell cell) {
        if (cell == null) {
            return "";
        }
        String format = cell.getDataFormatString();
        // A workbook keeps a day as a number that is shown as one.
        if (cell.getType() == CellType.NUMBER
                && format != null
                && DAY_FORMAT.matcher(format).find()) {
            return cell.asDate().toLocalDate().toString();
        }
        return shortened(number(String.valueOf(cell.getText())));
    }

    private static List<List<String>> openDocument(InputStream content, ReadingLimits limits) {
        return OpenSheet.read(content, limits, RecipeSheet.MOST_ROWS, MOST_COLUMNS, LONGEST_CELL).stream()
                .map(row -> row.stream().map(SheetRows::number).toList())
                .toList();
    }

    /** {@code 400.0} is what a machine keeps of 400. */
    private static String number(String text) {
        return text.matches("-?\\d+\\.0") ? text.substring(0, text.length() - 2) : text;
    }
}
