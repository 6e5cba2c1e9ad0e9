package io.causticon.web.places.history;

import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.history.Chapter;
import io.causticon.core.science.history.Measure;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.store.batch.BatchId;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;

/**
 * One group of a history: a measure against the date, on the scales that all groups share; what had a defect is crossed
 * and named.
 */
final class PanelChart {

    private static final double WIDTH = 330;
    private static final double HEIGHT = 140;
    private static final double LEFT = 58;
    private static final double RIGHT = WIDTH - 14;
    private static final double TOP = 20;
    private static final double BOTTOM = HEIGHT - 28;
    private static final double SECONDS_A_DAY = 86_400;
    private static final double WIDE_FROM = 0.55;
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yy", Locale.ENGLISH);

    /** Names of what could hurt somebody. */
    static final Set<String> HAZARDS = StandardKnowledge.all().conditions().stream()
            .filter(Condition::hazard)
            .map(Condition::name)
            .collect(Collectors.toSet());

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
    record Scales(
            Measure measure,
            Instant first,
            Instant last,
            double low,
            double high,
            DoubleFunction<String> words,
            ZoneId zone) {}

    private PanelChart() {}

    static Drawing of(String name, List<Chapter> chapters, Map<Chapter, BatchId> batches, Scales scales) {
        Drawing.Builder drawing =
                Drawing.sized(WIDTH, HEIGHT, name + ": " + scales.measure().words() + " by date");
        double span = Math.max(1, days(scales.first(), scales.last()));
        LinearAxis time = new LinearAxis(0, span, LEFT + 8, RIGHT - 8);
        double room = Math.max(scales.high() - scales.low(), Math.abs(scales.high()) * 0.02 + 1e-9) * 0.15;
        LinearAxis value = new LinearAxis(scales.high() + room, scales.low() - room, TOP, BOTTOM);
        for (double v : new double[] {scales.low(), scales.high()}) {
            drawing.line(LEFT, value.at(v), RIGHT, value.at(v), "rule")
                    .textEnd(LEFT - 6, value.at(v) + 4, scales.words().apply(v), "figure");
            if (scales.low() == scales.high()) {
                break;
            }
        }
        drawing.line(LEFT, BOTTOM, RIGHT, BOTTOM, "lane");
        drawing.text(LEFT, BOTTOM + 18, MONTH.format(scales.first().atZone(scales.zone())), "figure");
        drawing.textEnd(RIGHT, BOTTOM + 18, MONTH.format(scales.last().atZone(scales.zone())), "figure");
        List<Chapter> shown = chapters.stream()
                .filter(c -> c.measures().containsKey(scales.measure()))
                .toList();
        SvgPath line = new SvgPath();
        for (Chapter c : shown) {
            line.to(
                    time.at(days(scales.first(), c.begun())),
                    value.at(c.measures().get(scales.measure())));
        }
        if (!line.isEmpty()) {
            drawing.path(line.open(), "stroke-history");
        }
        Names names = new Names(drawing);
        for (Chapter c : shown) {
            double x = time.at(days(scales.first(), c.begun()));
            double y = value.at(c.measures().get(scales.measure()));
            boolean had = !c.conditions().isEmpty();
            drawing.mark(
                    !had ? "dot" : c.conditions().keySet().stream().anyMatch(HAZARDS::contains) ? "trouble" : "cross",
                    x,
                    y);
            if (had) {
                names.put(
                        c.conditions().keySet().stream().sorted().findFirst().orElse(""),
                        x,
                        y,
                        "/batch/" + batches.get(c));
            }
        }
        return drawing.done();
    }

    /** Names what is crossed, as long as there is room beside what is named already. */
    private static final class Names {

        private static final double LETTER = 6.6;
        private static final double LINE = 14;

        private final Drawing.Builder drawing;
        private final List<double[]> taken = new ArrayList<>();

        Names(Drawing.Builder drawing) {
            this.drawing = drawing;
        }

        void put(String words, double x, double y, String href) {
            double wide = LETTER * words.length();
            boolean late = x > LEFT + WIDE_FROM * (RIGHT - LEFT);
            double from = late ? Math.max(0, x + 6 - wide) : Math.min(x - 6, RIGHT - wide);
            for (double at : new double[] {y - 9, y + 20}) {
                boolean fits = at > TOP - 6
                        && at < BOTTOM + 2
                        && taken.stream()
                                .noneMatch(t -> Math.abs(t[1] - at) < LINE && from < t[0] + t[2] && t[0] < from + wide);
                if (fits) {
                    taken.add(new double[] {from, at, wide});
                    drawing.link(from, at, words, "small strong", href);
                    return;
                }
            }
        }
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / SECONDS_A_DAY;
    }
}
