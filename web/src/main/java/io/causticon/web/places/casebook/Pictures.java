package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.web.shared.Drawing;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * What each finding looks like, drawn: a thing (a bar, a cut face, a pot) and marks on it. {@code pictures.csv} says
 * which marks, {@code strokes.csv} how things and marks are drawn.
 */
final class Pictures {

    private static final double WIDTH = 112;
    private static final double HEIGHT = 64;
    private static final Pictures ALL = new Pictures();

    private final Map<String, Picture> pictures = new LinkedHashMap<>();

    /** Where on it, or where else, something is looked for. */
    enum Where {
        TOP("top, open to air"),
        SIDE("side that lay in the mould"),
        FACE("cut face"),
        CORE("core of the cut face"),
        ALL("anywhere on it"),
        FEEL("to the hand"),
        HAND("skin and tests"),
        LYE("lye"),
        BATTER("batter"),
        USE("in use"),
        SMELL("smell");

        private final String words;

        Where(String words) {
            this.words = words;
        }

        String words() {
            return words;
        }
    }

    /**
     * One picture.
     *
     * @param where where that is looked for
     * @param drawing of it
     * @param asks what is asked next where it was seen
     */
    record Picture(Where where, Drawing drawing, List<Finding> asks) {}

    private Pictures() {
        Map<String, List<CSVRecord>> strokes =
                table("strokes.csv").stream().collect(Collectors.groupingBy(r -> r.get("kind") + " " + r.get("name")));
        for (CSVRecord row : table("pictures.csv")) {
            Finding finding = finding(row.get("finding"));
            List<Finding> asks =
                    words(row.get("asks")).stream().map(Pictures::finding).toList();
            Drawing.Builder drawing = Drawing.sized(WIDTH, HEIGHT, finding.words());
            of(strokes, "base " + row.get("base")).forEach(s -> drawing.path(s.get("data"), "pic-" + s.get("style")));
            words(row.get("marks")).forEach(m -> mark(drawing, m.split(":"), row.get("base"), strokes));
            pictures.put(finding.id(), new Picture(Where.valueOf(row.get("where")), drawing.done(), asks));
        }
    }

    private static Finding finding(String id) {
        return Findings.find(id).orElseThrow(() -> new IllegalStateException("No finding " + id));
    }

    /** Of a finding that is known. */
    static Picture of(Finding finding) {
        return ALL.pictures.get(finding.id());
    }

    /**
     * A mark is a line of its own for its place, or a stamp at each point of the place; words stand beside the thing.
     */
    private static void mark(
            Drawing.Builder drawing, String[] mark, String base, Map<String, List<CSVRecord>> strokes) {
        String tone = mark.length > 2 ? " pic-of-" + mark[2] : "";
        if (mark[0].equals("words")) {
            drawing.textMiddle(WIDTH - 26, HEIGHT / 2 - 4, mark[1].replace('_', ' '), "pic-words");
            return;
        }
        List<CSVRecord> lines = strokes.getOrDefault("line " + mark[0] + ":" + mark[1], List.of());
        if (!lines.isEmpty()) {
            lines.forEach(s -> drawing.path(s.get("data"), "pic-" + s.get("style") + tone));
            return;
        }
        CSVRecord stamp = of(strokes, "stamp " + mark[0]).get(0);
        for (String point :
                words(of(strokes, "points " + base + "/" + mark[1]).get(0).get("data"))) {
            drawing.path("M" + point.replace(':', ' ') + stamp.get("data"), "pic-" + stamp.get("style") + tone);
        }
    }

    private static List<CSVRecord> of(Map<String, List<CSVRecord>> strokes, String name) {
        List<CSVRecord> found = strokes.get(name);
        if (found == null) {
            throw new IllegalStateException("No strokes for " + name);
        }
        return found;
    }

    private static List<String> words(String cell) {
        return cell.isBlank() ? List.of() : List.of(cell.strip().split(" +"));
    }

    private static List<CSVRecord> table(String name) {
        try (Reader in = new InputStreamReader(Pictures.class.getResourceAsStream(name), StandardCharsets.UTF_8)) {
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
