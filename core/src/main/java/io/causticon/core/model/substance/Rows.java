package io.causticon.core.model.substance;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Reads the tables that ship beside this class. */
final class Rows {

    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader().setSkipHeaderRecord(true).get();

    private Rows() {}

    static <T> List<T> read(String file, Function<CSVRecord, T> row) {
        try (InputStream in = Rows.class.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException("Impossible state: the table " + file + " is not on the class path");
            }
            return FORMAT.parse(new InputStreamReader(in, StandardCharsets.UTF_8)).stream()
                    .map(row)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static double number(CSVRecord row, String column) {
        String text = row.get(column);
        return text.isBlank() ? 0 : Double.parseDouble(text);
    }

    static double number(CSVRecord row, String column, double otherwise) {
        return row.get(column).isBlank() ? otherwise : Double.parseDouble(row.get(column));
    }

    static Share percent(CSVRecord row, String column) {
        return Share.percent(number(row, column));
    }

    static @Nullable Interval range(CSVRecord row, String low, String high) {
        return row.get(low).isBlank() ? null : Interval.between(number(row, low), number(row, high));
    }

    static @Nullable Acid acid(CSVRecord row, String column) {
        String text = row.get(column);
        return text.isBlank() ? null : Acid.valueOf(text.toUpperCase(Locale.ROOT));
    }

    static Confidence confidence(CSVRecord row) {
        return Confidence.valueOf(row.get("confidence").toUpperCase(Locale.ROOT));
    }

    /** Words with commas between; none for an empty cell. */
    static Set<String> words(CSVRecord row, String column) {
        String text = row.get(column);
        return text.isBlank() ? Set.of() : Set.of(text.split("\\s*,\\s*"));
    }

    static boolean yes(CSVRecord row, String column) {
        return "yes".equals(row.get(column));
    }
}
