package io.causticon.web.shared;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * Tables of comma-separated values (RFC 4180, UTF-8). A cell that a spreadsheet would run as a formula leaves as text,
 * with an apostrophe before it; numbers are none.
 */
public final class OpenCells {

    private static final String RUN = "=+-@\t\r";
    private static final String NUMBER = "[-+]?\\d+(\\.\\d+)?([eE][-+]?\\d+)?";

    private final CSVPrinter out;

    public OpenCells(Appendable to, List<String> headings) {
        try {
            this.out = new CSVPrinter(to, CSVFormat.RFC4180);
            out.printRecord(headings);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public void row(Object... cells) {
        try {
            out.printRecord(Arrays.stream(cells).map(c -> safe(String.valueOf(c))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static String safe(String cell) {
        return !cell.isEmpty() && RUN.indexOf(cell.charAt(0)) >= 0 && !cell.matches(NUMBER) ? "'" + cell : cell;
    }

    /** What {@link #safe} was given. */
    public static String asItWas(String cell) {
        return cell.length() > 1 && cell.charAt(0) == '\'' && RUN.indexOf(cell.charAt(1)) >= 0
                ? cell.substring(1)
                : cell;
    }
}
