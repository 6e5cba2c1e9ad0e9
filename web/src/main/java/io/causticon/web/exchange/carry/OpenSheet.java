package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * The first sheet of an open document (ODS, OASIS OpenDocument 1.3, part 3), read from front to back and never unfolded
 * beyond what is kept: a row, a cell or a blank can claim there to stand a billion times.
 */
final class OpenSheet {

    private static final String TABLE = "urn:oasis:names:tc:opendocument:xmlns:table:1.0";
    private static final String OFFICE = "urn:oasis:names:tc:opendocument:xmlns:office:1.0";
    private static final String TEXT = "urn:oasis:names:tc:opendocument:xmlns:text:1.0";

    /** Kept as numbers; what is shown of them is rounded. */
    private static final Set<String> NUMBERS = Set.of("float", "currency");

    private static final int DAY = 10;

    /** Digits of what fits in a long. */
    private static final int LONGEST_NUMBER = 18;

    private final XMLStreamReader xml;
    private final ReadingLimits limits;
    private final int mostRows;
    private final int mostColumns;
    private final int longestCell;
    private final List<List<String>> rows = new ArrayList<>();

    /** Of the row that is read now: its cells up to the last that says something. */
    private final List<String> row = new ArrayList<>();

    /** How many that say nothing came since. */
    private long silentCells;

    private long silentRows;

    private OpenSheet(XMLStreamReader xml, ReadingLimits limits, int mostRows, int mostColumns, int longestCell) {
        this.xml = xml;
        this.limits = limits;
        this.mostRows = mostRows;
        this.mostColumns = mostColumns;
        this.longestCell = longestCell;
    }

    /** @throws DocumentFault if its XML is damaged, or claims more than any table has */
    static List<List<String>> read(
            InputStream content, ReadingLimits limits, int mostRows, int mostColumns, int longestCell) {
        try {
            OpenSheet sheet = new OpenSheet(Xml.reader(content), limits, mostRows, mostColumns, longestCell);
            sheet.read();
            return sheet.rows;
        } catch (XMLStreamException e) {
            throw new DocumentFault("This table cannot be read: its XML is damaged.");
        }
    }

    private void read() throws XMLStreamException {
        long rowRepeats = 1;
        while (xml.hasNext() && rows.size() < mostRows) {
            int event = xml.next();
            limits.goOn();
            if (event == XMLStreamReader.START_ELEMENT && isTable("table-row")) {
                rowRepeats = repeats("number-rows-repeated");
                row.clear();
                silentCells = 0;
            } else if (event == XMLStreamReader.START_ELEMENT
                    && (isTable("table-cell") || isTable("covered-table-cell"))) {
                cell();
            } else if (event == XMLStreamReader.END_ELEMENT && isTable("table-row")) {
                endOfRow(rowRepeats);
            } else if (event == XMLStreamReader.END_ELEMENT && isTable("table")) {
                return;
            }
        }
    }

    private boolean isTable(String name) {
        return name.equals(xml.getLocalName()) && TABLE.equals(xml.getNamespaceURI());
    }

    /** Rows of nothing to the end of a sheet are no rows; between others they keep their place. */
    private void endOfRow(long repeats) {
        if (row.isEmpty()) {
            silentRows = Math.addExact(silentRows, repeats);
            return;
        }
        limits.cells(Math.multiplyExact(repeats, (long) row.size()));
        for (; silentRows > 0 && rows.size() < mostRows; silentRows--) {
            rows.add(List.of());
        }
        silentRows = 0;
        for (long i = 0; i < repeats && rows.size() < mostRows; i++) {
            rows.add(List.copyOf(row));
        }
    }

    private void cell() throws XMLStreamException {
        long repeats = repeats("number-columns-repeated");
        String type = xml.getAttributeValue(OFFICE, "value-type");
        String value = xml.getAttributeValue(OFFICE, "value");
        String day = xml.getAttributeValue(OFFICE, "date-value");
        String shown = shown();
        String text = type != null && NUMBERS.contains(type) && value != null
                ? value
                : day != null ? day.substring(0, Math.min(DAY, day.length())) : shown;
        if (text.isBlank()) {
            silentCells = Math.addExact(silentCells, repeats);
            return;
        }
        for (; silentCells > 0 && row.size() < mostColumns; silentCells--) {
            row.add("");
        }
        silentCells = 0;
        limits.cells(repeats);
        limits.letters(Math.multiplyExact(repeats, (long) text.length()));
        for (long i = 0; i < repeats && row.size() < mostColumns; i++) {
            row.add(text);
        }
    }

    /** What a cell shows, of paragraphs a line each; of notes about it nothing. */
    private String shown() throws XMLStreamException {
        StringBuilder text = new StringBuilder();
        int depth = 1;
        int aside = 0;
        while (depth > 0 && xml.hasNext()) {
            int event = xml.next();
            limits.goOn();
            if (event == XMLStreamReader.START_ELEMENT) {
                depth++;
                boolean note = OFFICE.equals(xml.getNamespaceURI()) && "annotation".equals(xml.getLocalName());
                if (note || aside > 0) {
                    aside++;
                } else if (TEXT.equals(xml.getNamespaceURI())) {
                    space(text);
                }
            } else if (event == XMLStreamReader.END_ELEMENT) {
                depth--;
                aside = Math.max(0, aside - 1);
            } else if (aside == 0 && (event == XMLStreamReader.CHARACTERS || event == XMLStreamReader.CDATA)) {
                limits.letters(xml.getTextLength());
                append(text, xml.getText());
            }
        }
        return text.toString().strip();
    }

    private void space(StringBuilder text) {
        switch (xml.getLocalName()) {
            case "p" -> append(text, text.length() == 0 ? "" : "\n");
            case "s" -> append(text, " ".repeat((int) Math.min(longestCell, count(TEXT, "c"))));
            case "tab" -> append(text, "\t");
            case "line-break" -> append(text, "\n");
            default -> {}
        }
    }

    private void append(StringBuilder text, String more) {
        int left = longestCell - text.length();
        text.append(more, 0, Math.max(0, Math.min(left, more.length())));
    }

    private long repeats(String name) {
        return count(TABLE, name);
    }

    private long count(String namespace, String name) {
        String value = xml.getAttributeValue(namespace, name);
        if (value == null || !value.matches("\\d+")) {
            return 1;
        }
        return value.length() > LONGEST_NUMBER ? Long.MAX_VALUE : Long.parseLong(value);
    }
}
