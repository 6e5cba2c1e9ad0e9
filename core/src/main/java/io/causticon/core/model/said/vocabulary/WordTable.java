package io.causticon.core.model.said.vocabulary;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Tables of words that stand beside the classes of this package. */
final class WordTable {

    private WordTable() {}

    /**
     * All rows of a table but its head.
     *
     * @throws IllegalStateException if it is not on the class path
     */
    static List<CSVRecord> rows(String name) {
        try (InputStream in = WordTable.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException("Impossible state: " + name + " is not on the class path");
            }
            return CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
