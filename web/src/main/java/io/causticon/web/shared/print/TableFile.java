package io.causticon.web.shared.print;

import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.OpenCells;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.function.Consumer;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;

/**
 * A table as a file to keep, written while it is read: comma-separated values (RFC 4180) or a workbook of one sheet
 * (XLSX). No cell is run as a formula in either. What there is none of is an empty cell.
 */
public final class TableFile {

    /** How many rows a sheet can have. */
    private static final int MOST_ROWS = 1_048_575;

    /** So many rows of a sheet are held before they are written. */
    private static final int AT_ONCE = 500;

    private static final int LONGEST_CELL = 32_000;

    /** Takes one row after the other. */
    @FunctionalInterface
    public interface Rows {

        /** @param cells numbers as numbers, flags as yes or no, all else as its text; null for none */
        void row(@Nullable Object... cells);
    }

    private TableFile() {}

    /**
     * Answers with a table.
     *
     * @param kind {@code csv} or {@code xlsx}
     * @param name of the file, without its kind
     * @throws NotFoundException if there is no such kind of file
     */
    public static void send(
            HttpServletResponse response, String kind, String name, List<String> headings, Consumer<Rows> rows)
            throws IOException {
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name + "." + kind, StandardCharsets.UTF_8)
                        .build()
                        .toString());
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        switch (kind) {
            case "csv" -> csv(response, headings, rows);
            case "xlsx" -> xlsx(response, name, headings, rows);
            default -> throw new NotFoundException("tables as " + kind);
        }
    }

    private static void csv(HttpServletResponse response, List<String> headings, Consumer<Rows> rows)
            throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        Writer out = new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
        rows.accept(csv(out, headings));
        out.flush();
    }

    /** The same as part of something else: its headings are written at once. */
    public static Rows csv(Appendable out, List<String> headings) {
        OpenCells cells = new OpenCells(out, headings);
        return row -> cells.row(Arrays.stream(row)
                .map(c -> c == null ? "" : c instanceof Boolean b ? yes(b) : c)
                .toArray());
    }

    private static void xlsx(HttpServletResponse response, String name, List<String> headings, Consumer<Rows> rows)
            throws IOException {
        response.setContentType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
        try (Workbook book = new Workbook(response.getOutputStream(), "Causticon", null)) {
            Worksheet sheet = book.newWorksheet(name.length() > 31 ? name.substring(0, 31) : name);
            for (int i = 0; i < headings.size(); i++) {
                sheet.value(0, i, headings.get(i));
                sheet.style(0, i).bold().set();
            }
            int[] at = {0};
            rows.accept(row -> put(sheet, ++at[0], row));
            sheet.freezePane(0, 1);
        }
    }

    private static void put(Worksheet sheet, int at, @Nullable Object... row) {
        if (at > MOST_ROWS) {
            throw new IllegalStateException("more rows than a sheet has; as CSV there is no end to them");
        }
        for (int i = 0; i < row.length; i++) {
            Object cell = row[i];
            if (cell instanceof Number number) {
                sheet.value(at, i, number);
            } else if (cell != null) {
                String text = cell instanceof Boolean b ? yes(b) : Objects.toString(cell);
                sheet.value(at, i, text.length() > LONGEST_CELL ? text.substring(0, LONGEST_CELL) : text);
            }
        }
        if (at % AT_ONCE == 0) {
            try {
                sheet.flush();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private static String yes(boolean is) {
        return is ? "yes" : "no";
    }
}
