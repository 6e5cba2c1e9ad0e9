package io.causticon.web.history;

import io.causticon.core.diagnosis.Condition;
import io.causticon.core.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.history.Chapter;
import io.causticon.core.history.Measure;
import io.causticon.web.batch.BatchId;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;

/** One group of a history: a measure against the date, on the scales that all groups share; what had a defect is crossed and named. */
final class PanelChart {

    private static final double WIDTH = 400;
    private static final double HEIGHT = 150;
    private static final double LEFT = 58;
    private static final double RIGHT = WIDTH - 14;
    private static final double TOP = 20;
    private static final double BOTTOM = HEIGHT - 28;
    private static final double SECONDS_A_DAY = 86_400;
    private static final double WIDE_FROM = 0.55;
    private static final int NAMED = 3;
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yy", Locale.ENGLISH);

    /** Names of what could hurt somebody. */
    static final Set<String> HAZARDS =
            StandardKnowledge.all().conditions().stream().filter(Condition::hazard).map(Condition::name).collect(Collectors.toSet());

    /**
     * What all charts share.
     *
     * @param measure what is drawn
     * @param first of all dates
     * @param last of all dates
     * @param low least of all values, in its unit
     * @param high most of all values
     * @param words how a value is written
     * @param zone of the workshop
     */
    record Scales(Measure measure, Instant first, Instant last, double low, double high, DoubleFunction<String> words, ZoneId zone) {}

    private PanelChart() {}

    static Drawing of(String name, List<Chapter> chapters, Map<Chapter, BatchId> batches, Scales scales) {
        Drawing.Builder drawing = Drawing.sized(WIDTH, HEIGHT, name + ": " + scales.measure().words() + " by date");
        double span = Math.max(1, days(scales.first(), scales.last()));
        LinearAxis time = new LinearAxis(0, span, LEFT + 8, RIGHT - 8);
        double room = Math.max(scales.high() - scales.low(), Math.abs(scales.high()) * 0.02 + 1e-9) * 0.15;
        LinearAxis value = new LinearAxis(scales.high() + room, scales.low() - room, TOP, BOTTOM);
        for (double v : new double[] {scales.low(), scales.high()}) {
            drawing.line(LEFT, value.at(v), RIGHT, value.at(v), "rule").textEnd(LEFT - 6, value.at(v) + 4, scales.words().apply(v), "figure");
            if (scales.low() == scales.high()) {
                break;
            }
        }
        drawing.line(LEFT, BOTTOM, RIGHT, BOTTOM, "lane");
        drawing.text(LEFT, BOTTOM + 18, MONTH.format(scales.first().atZone(scales.zone())), "figure");
        drawing.textEnd(RIGHT, BOTTOM + 18, MONTH.format(scales.last().atZone(scales.zone())), "figure");
        List<Chapter> shown = chapters.stream().filter(c -> c.measures().containsKey(scales.measure())).toList();
        SvgPath line = new SvgPath();
        for (Chapter c : shown) {
            line.to(time.at(days(scales.first(), c.begun())), value.at(c.measures().get(scales.measure())));
        }
        if (!line.isEmpty()) {
            drawing.path(line.open(), "stroke-history");
        }
        long troubled = shown.stream().filter(c -> !c.conditions().isEmpty()).count();
        for (Chapter c : shown) {
            double x = time.at(days(scales.first(), c.begun()));
            double y = value.at(c.measures().get(scales.measure()));
            boolean had = !c.conditions().isEmpty();
            drawing.mark(!had ? "dot" : c.conditions().keySet().stream().anyMatch(HAZARDS::contains) ? "trouble" : "cross", x, y);
            if (had && troubled <= NAMED) {
                boolean late = x > LEFT + WIDE_FROM * (RIGHT - LEFT);
                String words = c.conditions().keySet().stream().sorted().findFirst().orElse("");
                String href = "/batch/" + batches.get(c);
                double at = y < TOP + 14 ? y + 20 : y - 9;
                if (late) {
                    drawing.linkEnd(x + 6, at, words, "small strong", href);
                } else {
                    drawing.link(x - 6, at, words, "small strong", href);
                }
            }
        }
        return drawing.done();
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / SECONDS_A_DAY;
    }

    static String percent(double share) {
        return Formats.number(100 * share, 1) + " %";
    }
}
