package io.causticon.core.model.said.intake;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * What makers call things in tables of their own, in two languages: headings, and substances of which the tables here
 * know another name.
 */
final class SheetWords {

    private static final Map<String, String> MEANINGS = read();

    private SheetWords() {}

    private static Map<String, String> read() {
        try (InputStream in = SheetWords.class.getResourceAsStream("words.csv");
                Reader reader = new InputStreamReader(java.util.Objects.requireNonNull(in), StandardCharsets.UTF_8)) {
            Map<String, String> meanings = new HashMap<>();
            for (CSVRecord row : CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)) {
                if (meanings.put(row.get("word"), row.get("meaning")) != null) {
                    throw new IllegalStateException("Impossible state: " + row.get("word") + " stands twice");
                }
            }
            return meanings;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** What a word means here, in small letters; the word itself where nothing else is known of it. */
    static String meaning(String word) {
        String small = word.strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("[\\s\u00a0]+", " ")
                .replaceAll("[:.]+$", "");
        return MEANINGS.getOrDefault(small, small);
    }
}
