package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import java.io.IOException;
import java.io.InputStream;
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

    private WorkbookCheck() {}

    /** @throws DocumentFault if a cell stands where no workbook has one, or there are too many */
    static void check(ZipFile zip, ReadingLimits limits) throws IOException {
        for (ZipEntry entry : (Iterable<ZipEntry>) zip.stream().map(ZipEntry.class::cast)::iterator) {
            if (entry.getName().endsWith(".xml")) {
                try (InputStream in = zip.getInputStream(entry)) {
                    check(Xml.reader(in), limits);
                } catch (XMLStreamException e) {
                    throw new DocumentFault("This table cannot be read: its XML is damaged.");
                }
            }
        }
    }

    private static void check(XMLStreamReader xml, ReadingLimits limits) throws XMLStreamException {
        while (xml.hasNext()) {
            int event = xml.next();
            limits.goOn();
            if (event == XMLStreamReader.CHARACTERS) {
                limits.letters(xml.getTextLength());
            } else if (event == XMLStreamReader.START_ELEMENT && xml.getLocalName().equals("row")) {
                row(xml.getAttributeValue(null, "r"));
            } else if (event == XMLStreamReader.START_ELEMENT && xml.getLocalName().equals("c")) {
                limits.cells(1);
                cell(xml.getAttributeValue(null, "r"));
            }
        }
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
        return letters.toUpperCase(java.util.Locale.ROOT).chars().reduce(0, (sum, c) -> sum * 26 + c - 'A' + 1);
    }

    private static DocumentFault nowhere() {
        return new DocumentFault("A cell of this table claims to stand where no workbook has one. It was not read.");
    }
}
