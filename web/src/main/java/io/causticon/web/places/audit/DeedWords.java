package io.causticon.web.places.audit;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;

/** What is done at each address, in words. */
final class DeedWords {

    private static final Map<String, String> WORDS = read();

    private DeedWords() {}

    private static Map<String, String> read() {
        try (InputStream in = Objects.requireNonNull(DeedWords.class.getResourceAsStream("deeds.csv"));
                Reader reader = new InputStreamReader(in, StandardCharsets.UTF_8)) {
            Map<String, String> words = new HashMap<>();
            CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(reader)
                    .forEach(r -> words.put(r.get("pattern"), r.get("words")));
            return words;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Every address of which something is said. */
    static Set<String> patterns() {
        return WORDS.keySet();
    }

    /** @param pattern of the address; empty for one of which nothing is said */
    static Optional<String> of(String pattern) {
        return Optional.ofNullable(WORDS.get(pattern));
    }
}
