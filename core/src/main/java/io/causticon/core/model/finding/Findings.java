package io.causticon.core.model.finding;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * All findings that the knowledge speaks of, from the table beside this class, and names for those that the code itself
 * asks for.
 */
public final class Findings {

    private static final Map<String, Finding> BY_ID = read();

    public static final List<Finding> ALL = List.copyOf(BY_ID.values());

    public static final Finding THIN_BLOOM = named("thin-bloom");
    public static final Finding THICK_CRUST = named("thick-crust");
    public static final Finding CRUST_GROWS = named("crust-grows");
    public static final Finding CRUST_RESISTS = named("crust-resists");
    public static final Finding CRUST_UNDER_COVER = named("crust-under-cover");
    public static final Finding WASH_BURNS = named("wash-burns");
    public static final Finding BURNS_AGAIN = named("burns-again");
    public static final Finding SKIN_TIGHT = named("skin-tight");
    public static final Finding ZAP = named("zap");
    public static final Finding FREE_ALKALI = named("free-alkali");
    public static final Finding PINK_DROP = named("pink-drop");
    public static final Finding STRIP_HIGH = named("strip-high");
    public static final Finding METER_HIGH = named("meter-high");
    public static final Finding WHITE_SPOTS = named("white-spots");
    public static final Finding WEEPING_DOTS = named("weeping-dots");
    public static final Finding TUNNELS = named("tunnels");
    public static final Finding DARK_CORE = named("dark-core");
    public static final Finding BRITTLE = named("brittle");
    public static final Finding DENTS = named("dents");
    public static final Finding TACKY = named("tacky");
    public static final Finding CLINGS = named("clings");
    public static final Finding LIQUOR_ORANGE = named("liquor-orange");
    public static final Finding BURNT_SMELL = named("burnt-smell");
    public static final Finding CURDS = named("curds");
    public static final Finding SOLID_AT_ONCE = named("solid-at-once");
    public static final Finding HOT_MASH = named("hot-mash");
    public static final Finding OIL_LAYER = named("oil-layer");
    public static final Finding SOFT_BELOW = named("soft-below");
    public static final Finding CRACK = named("crack");
    public static final Finding HEAVED = named("heaved");
    public static final Finding PUDDLES = named("puddles");
    public static final Finding WRINKLED = named("wrinkled");
    public static final Finding GEL_HALFWAY = named("gel-halfway");
    public static final Finding PALE_EDGE = named("pale-edge");

    private static final Map<String, String> VOCABULARY = words();

    private Findings() {}

    private static Map<String, Finding> read() {
        try (InputStream in = Findings.class.getResourceAsStream("findings.csv")) {
            if (in == null) {
                throw new IllegalStateException("Impossible state: the table of findings is not on the class path");
            }
            Map<String, Finding> findings = new LinkedHashMap<>();
            CSVFormat.RFC4180
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(new InputStreamReader(in, StandardCharsets.UTF_8))
                    .forEach(row -> findings.put(row.get("id"), finding(row)));
            return findings;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Finding finding(CSVRecord row) {
        Finding always = Finding.of(
                row.get("id"),
                Finding.Group.valueOf(row.get("group")),
                row.get("words"),
                row.get("absent"),
                row.get("look"),
                Integer.parseInt(row.get("minutes")),
                Double.parseDouble(row.get("from_day")));
        Finding finding = row.get("to_day").isBlank() ? always : always.until(Double.parseDouble(row.get("to_day")));
        finding = row.get("answer_days").isBlank()
                ? finding
                : finding.answeredIn(Integer.parseInt(row.get("answer_days")));
        String also = row.get("also_called");
        Finding called = also.isBlank() ? finding : finding.called(also.split("\\s*,\\s*"));
        return "no".equals(row.get("absence_clears")) ? called.neverClears() : called;
    }

    /** @throws IllegalArgumentException if there is none of this id */
    public static Finding named(String id) {
        return find(id).orElseThrow(() -> new IllegalArgumentException("Impossible state: no finding called " + id));
    }

    public static Optional<Finding> find(String id) {
        return Optional.ofNullable(BY_ID.get(id));
    }

    /** Words of the quick line with the finding each means. */
    public static Map<String, String> vocabulary() {
        return VOCABULARY;
    }

    private static Map<String, String> words() {
        Map<String, String> words = new TreeMap<>();
        for (Finding finding : ALL) {
            finding.said().forEach(word -> words.put(word, finding.id()));
        }
        return Map.copyOf(words);
    }
}
