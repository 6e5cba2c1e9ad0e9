package io.causticon.web.exchange.carry;

import com.github.miachm.sods.Range;
import com.github.miachm.sods.SpreadSheet;
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
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
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

    /** Cells that say something are not repeated so often; empty ones are, to the end of a sheet. */
    private static final int MOST_REPEATED = 1000;

    private static final Pattern DAY_FORMAT = Pattern.compile("(?i)y.*[md]|[md].*y");
    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";

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
        boolean open;
        try (ZipFile zip = new ZipFile(file.toFile())) {
            check(zip);
            open = zip.getEntry("content.xml") != null;
            if (!open && zip.getEntry("xl/workbook.xml") == null) {
                throw new DocumentFault("This zip is neither a workbook (XLSX) nor an open document (ODS).");
            }
            if (open) {
                checkRepeats(zip);
            }
        } catch (ZipException e) {
            throw new DocumentFault("This table cannot be read: it is damaged, or was cut short on its way.");
        }
        try {
            return open ? openDocument(file) : workbook(file);
        } catch (DocumentFault e) {
            throw e;
        } catch (RuntimeException e) {
            // The libraries meet broken files with whatever exception they come to.
            throw new DocumentFault("This table cannot be read: it is damaged, or no sheet of it can be understood.");
        }
    }

    /** Unpacks all of it once, keeping nothing, before anybody unpacks it into memory. */
    private static void check(ZipFile zip) throws IOException {
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

    /** In an open document one cell can claim to stand there a billion times. */
    private static void checkRepeats(ZipFile zip) throws IOException {
        XMLInputFactory factory = XMLInputFactory.newFactory();
        factory.setProperty(XMLInputFactory.SUPPORT_DTD, false);
        factory.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
        long row = 1;
        try (InputStream in = zip.getInputStream(zip.getEntry("content.xml"))) {
            XMLStreamReader xml = factory.createXMLStreamReader(in);
            while (xml.hasNext()) {
                if (xml.next() != XMLStreamReader.START_ELEMENT || !TABLE.equals(xml.getNamespaceURI())) {
                    continue;
                }
                if (xml.getLocalName().equals("table-row")) {
                    row = repeated(xml, "number-rows-repeated");
                } else if (xml.getLocalName().equals("table-cell")) {
                    boolean says = xml.getAttributeCount() > 0
                            && xml.getAttributeValue("urn:oasis:names:tc:opendocument:xmlns:office:1.0", "value-type")
                                    != null;
                    if (says && (row > MOST_REPEATED || repeated(xml, "number-columns-repeated") > MOST_REPEATED)) {
                        throw new DocumentFault("A cell of this table claims to stand there more than " + MOST_REPEATED
                                + " times. It was not read.");
                    }
                }
            }
        } catch (XMLStreamException e) {
            throw new DocumentFault("This table cannot be read: its XML is damaged.");
        }
    }

    private static long repeated(XMLStreamReader xml, String name) {
        String value = xml.getAttributeValue(TABLE, name);
        return value != null && value.matches("\\d{1,12}") ? Long.parseLong(value) : 1;
    }

    private static List<List<String>> workbook(Path file) throws IOException {
        try (ReadableWorkbook workbook = new ReadableWorkbook(file.toFile());
                Stream<Row> rows = workbook.getFirstSheet().openStream()) {
            List<List<String>> all = new ArrayList<>();
            for (Row row : (Iterable<Row>) rows::iterator) {
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

    private static List<List<String>> openDocument(Path file) throws IOException {
        Range range = new SpreadSheet(file.toFile()).getSheet(0).getDataRange();
        List<List<String>> all = new ArrayList<>();
        Object[][] values = range.getValues();
        for (Object[] row : values) {
            if (all.size() >= RecipeSheet.MOST_ROWS) {
                break;
            }
            all.add(Stream.of(row)
                    .limit(MOST_COLUMNS)
                    .map(v -> v == null ? "" : shortened(number(v.toString())))
                    .toList());
        }
        return all;
    }

    /** {@code 400.0} is what a machine keeps of 400. */
    private static String number(String text) {
        return text.matches("-?\\d+\\.0") ? text.substring(0, text.length() - 2) : text;
    }
}
