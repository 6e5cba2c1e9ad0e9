package io.causticon.core.science.draw;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * How conditions look, and how often each look is there anyway: plain frequencies (judgements), laid down beside the
 * diagnosis and without its numbers. In {@code appearances.csv} a condition, how seldom it is, what a recipe or a
 * making must have for it, and of a hundred such batches how many show each look. In {@code background.csv} of each
 * look the day on which it is looked for, and how often it is there without any of them.
 */
public record Appearances(List<Appearance> all, Map<String, Background> background) {

    /**
     * How one condition looks.
     *
     * @param onceIn one batch in so many has it, where it can be at all
     * @param needs what the batch must have for it; empty for nothing
     * @param looks how often each look is there, 0 to 1
     */
    public record Appearance(String condition, int onceIn, String needs, Map<String, Double> looks) {}

    /**
     * A look of batches that have nothing.
     *
     * @param day the day on which it is looked for
     * @param anyway how often it is there, 0 to 1
     * @param onlyWith looks of which one must be there for it to be asked at all; empty for none
     */
    public record Background(double day, double anyway, List<String> onlyWith) {}

    public static Appearances read() {
        List<Appearance> all = table("appearances.csv").stream()
                .map(r -> new Appearance(
                        r.get("condition"), Integer.parseInt(r.get("once_in")), r.get("needs"), looks(r.get("looks"))))
                .toList();
        Map<String, Background> background = new LinkedHashMap<>();
        table("background.csv")
                .forEach(r -> background.put(
                        r.get("finding"),
                        new Background(
                                Double.parseDouble(r.get("day")),
                                Double.parseDouble(r.get("anyway")),
                                words(r.get("only_with")))));
        return new Appearances(all, background);
    }

    private static Map<String, Double> looks(String cell) {
        Map<String, Double> looks = new LinkedHashMap<>();
        words(cell)
                .forEach(word -> looks.put(word.replaceAll(":.*", ""), Double.parseDouble(word.replaceAll(".*:", ""))));
        return looks;
    }

    private static List<String> words(String cell) {
        return cell.isBlank() ? List.of() : List.of(cell.strip().split(" +"));
    }

    private static List<CSVRecord> table(String name) {
        try (Reader in = new InputStreamReader(Appearances.class.getResourceAsStream(name), StandardCharsets.UTF_8)) {
            return CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(in)
                    .getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
