package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import java.io.IOException;
import java.io.InputStream;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;

/**
 * Looks at the sheets of a workbook (XLSX, ECMA-376) before a library makes room for the cells that they claim to have:
 * where each says that it stands, and how many there are.
 */
final class WorkbookCheck {

    private static final int LAST_COLUMN = 16_384;
    private static final int LAST_ROW = 1_048_576;
    private static final Pattern PLACE = Pattern.compile("([A-Za-z]{1,3})([0-9]{1,7})");

    /** Digits of what fits in an int. */
    private static final int LONGEST_NUMBER = 9;

    private final ReadingLimits limits;

    /** Words that the cells share, and the last of them that a cell points to; -1 where none does. */
    private int shared;

    private int pointedTo = -1;

    private WorkbookCheck(ReadingLimits limits) {
        this.limits = limits;
    }

    /**
     * @throws DocumentFault if a cell stands where no workbook has one, or points to words that it does not have, or
     *     there are too many
     */
    static void check(ZipFile zip, ReadingLimits limits) throws IOException {
        WorkbookCheck all = new WorkbookCheck(limits);
        for (ZipEntry entry : (Iterable<ZipEntry>) zip.stream().map(ZipEntry.class::cast)::iterator) {
            if (entry.getName().endsWith(".xml")) {
                try (InputStream in = zip.getInputStream(entry)) {
                    all.check(Xml.reader(in), entry.getName().startsWith("xl/worksheets/"));
                } catch (XMLStreamException e) {
                    throw new DocumentFault("This table cannot be read: its XML is damaged.");
                }
            }
        }
        // A library makes room up to the last that is pointed to.
        if (all.pointedTo >= all.shared) {
            throw new DocumentFault("A cell of this table points to words that are not in it. It was not read.");
        }
    }

    private void check(XMLStreamReader xml, boolean sheet) throws XMLStreamException {
        boolean points = false;
        while (xml.hasNext()) {
            int event = xml.next();
            limits.goOn();
            if (event == XMLStreamReader.CHARACTERS) {
                limits.letters(xml.getTextLength());
            } else if (event == XMLStreamReader.START_ELEMENT) {
                switch (xml.getLocalName()) {
                    case "row" -> row(xml.getAttributeValue(null, "r"));
                    case "c" -> {
                        limits.cells(1);
                        cell(xml.getAttributeValue(null, "r"));
                        points = sheet && "s".equals(xml.getAttributeValue(null, "t"));
                    }
                    case "v" -> {
                        if (points) {
                            pointTo(xml.getElementText().strip());
                        }
                    }
                    case "si" -> shared++;
                    default -> {}
                }
            }
        }
    }

    private void pointTo(String index) {
        boolean number = index.length() <= LONGEST_NUMBER && index.matches("[0-9]+");
        pointedTo = Math.max(pointedTo, number ? Integer.parseInt(index) : Integer.MAX_VALUE);
    }

    private static void row(String number) {
        if (number != null && (!number.matches("[0-9]{1,7}") || Integer.parseInt(number) > LAST_ROW)) {
            throw nowhere();
        }
    }

    private static void cell(String place) {
        if (place == null) {
            return;
        }
        Matcher found = PLACE.matcher(place);
        if (!found.matches() || column(found.group(1)) > LAST_COLUMN) {
            throw nowhere();
        }
        row(found.group(2));
    }

    private static int column(String letters) {
        return letters.toUpperCase(Locale.ROOT).chars().reduce(0, (sum, c) -> sum * 26 + c - 'A' + 1);
    }

    private static DocumentFault nowhere() {
        return new DocumentFault("A cell of this table claims to stand where no workbook has one. It was not read.");
    }
}
