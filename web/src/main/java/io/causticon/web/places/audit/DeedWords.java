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

    /** Before the words of what a form would have done that changed nothing. */
    static final String SENT = "sent, and nothing was changed: ";

    private static final Map<String, String> FILES = Map.of(
            "/backups/{name}", "took a copy of everything away",
            "/carry/{kind}.zip", "took the whole workshop or part of it away",
            "/carry/batch/{id}.zip", "took a batch away",
            "/people/audit.csv", "took the trail away");

    /** What is taken away from an address as a file; empty where it is nothing that is told. */
    static Optional<String> ofFile(String pattern) {
        return Optional.ofNullable(FILES.get(pattern));
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
