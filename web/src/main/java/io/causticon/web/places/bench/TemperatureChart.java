package io.causticon.web.places.bench;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.SvgPath;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;

/** Temperatures against minutes: grid, limit, bands and curves. */
final class TemperatureChart {

    private static final double WIDTH = 780;
    private static final double HEIGHT = 372;
    private static final double LEFT = 46;
    private static final double RIGHT = WIDTH - 104;
    private static final double TOP = 20;
    private static final double BOTTOM = HEIGHT - 36;
    private static final int POINTS = 36;
    private static final double CLOSE = 15;
    /** Of a curve the table tells so many points. */
    private static final int TOLD = 5;

    private final Formats formats;
    private final LinearAxis minutes;
    private final LinearAxis degrees;
    private final Drawing.Builder drawing;
    private final List<Double> labels = new ArrayList<>();
    private final List<Told> told = new ArrayList<>();

    /** A line of the table that tells the same. */
    private record Told(double minute, String what, String value) {}

    TemperatureChart(String label, Formats formats, double from, double to, double lowest, double highest) {
        this.formats = formats;
        this.minutes = new LinearAxis(from, to, LEFT, RIGHT);
        this.degrees = new LinearAxis(highest, lowest, TOP, BOTTOM);
        this.drawing = Drawing.sized(WIDTH, HEIGHT, label);
        grid(from, to, lowest, highest);
    }

    private void grid(double from, double to, double lowest, double highest) {
        for (Temperature mark : formats.marks(lowest, highest)) {
            double y = degrees.at(mark.celsius());
            String label = Formats.number(Math.rint(formats.degrees(mark)), 0);
            drawing.line(LEFT, y, RIGHT, y, "rule").textEnd(LEFT - 8, y + 4, label, "figure");
        }
        double span = to - from;
        double beat = span > 300 ? 60 : span > 120 ? 30 : span > 50 ? 15 : span > 24 ? 5 : 2;
        for (double m = Math.ceil(from / beat) * beat; m <= to; m += beat) {
            drawing.textMiddle(minutes.at(m), BOTTOM + 20, Formats.number(m, 0), "figure");
        }
        drawing.text(RIGHT + 16, BOTTOM + 20, "min", "note");
    }

    void limit(Temperature limit, String words) {
        double y = degrees.at(limit.celsius());
        labels.add(y + 4);
        labels.add(y + 20);
        drawing.rect(LEFT, TOP, RIGHT - LEFT, Math.max(0, y - TOP), "forbidden")
                .line(LEFT, y, RIGHT, y, "limit")
                .text(RIGHT + 8, y + 4, formats.temperature(limit), "name fill-hazard")
                .text(RIGHT + 8, y + 20, words, "name fill-hazard");
    }

    /** The window that both should be in. */
    void window(Interval window) {
        double top = Math.max(TOP, degrees.at(window.high()));
        double bottom = Math.min(BOTTOM, degrees.at(window.low()));
        drawing.rect(LEFT, top, RIGHT - LEFT, bottom - top, "window");
    }

    /**
     * Where it will be, with its central 80 %: the same as {@link #band} and {@link #curve}, and as lines of the table.
     */
    void forecast(
            double from, double to, DoubleFunction<Interval> band, DoubleUnaryOperator at, String style, String name) {
        band(from, to, band, style);
        curve(from, to, at, style, name);
        for (int i = 1; i <= TOLD; i++) {
            double m = from + (to - from) * i / TOLD;
            Interval around = band.apply(m);
            told.add(new Told(
                    m,
                    style + ", forecast",
                    degrees(at.applyAsDouble(m)) + ", " + whole(around.low()) + " to " + degrees(around.high())));
        }
    }

    private void band(double from, double to, DoubleFunction<Interval> band, String style) {
        Interval[] around = new Interval[POINTS + 1];
        SvgPath path = new SvgPath();
        for (int i = 0; i <= POINTS; i++) {
            double m = from + (to - from) * i / POINTS;
            around[i] = band.apply(m);
            path.to(minutes.at(m), y(around[i].high()));
        }
        for (int i = POINTS; i >= 0; i--) {
            path.to(minutes.at(from + (to - from) * i / POINTS), y(around[i].low()));
        }
        drawing.path(path.closed(), "band fill-" + style);
    }

    private void curve(double from, double to, DoubleUnaryOperator at, String style, String name) {
        drawing.path(line(from, to, at).open(), "forecast stroke-" + style);
        drawing.text(RIGHT + 8, free(y(at.applyAsDouble(to)) + 4), name, "name fill-" + style);
    }

    /** What was expected of the time that is past: behind what was read, with its name at its highest point. */
    void expected(double from, double to, DoubleUnaryOperator at) {
        double high = from;
        for (int i = 0; i <= POINTS; i++) {
            double m = from + (to - from) * i / POINTS;
            high = at.applyAsDouble(m) > at.applyAsDouble(high) ? m : high;
        }
        drawing.path(line(from, to, at).open(), "expected");
        for (int i = 0; i <= TOLD && to > from; i++) {
            double m = from + (to - from) * i / TOLD;
            told.add(new Told(m, "expected before it was read", degrees(at.applyAsDouble(m))));
        }
        double x = minutes.at(high);
        double above = y(at.applyAsDouble(high)) - 6;
        // Over the flank, so that it does not stand on the line of now.
        if (high > (from + to) / 2) {
            drawing.textEnd(x - 6, above, "expected", "tick");
        } else {
            drawing.text(x + 6, above, "expected", "tick");
        }
    }

    private SvgPath line(double from, double to, DoubleUnaryOperator at) {
        SvgPath path = new SvgPath();
        for (int i = 0; i <= POINTS; i++) {
            double m = from + (to - from) * i / POINTS;
            path.to(minutes.at(m), y(at.applyAsDouble(m)));
        }
        return path;
    }

    /** The same as a table, by the minute. */
    List<BenchPage.ChartRow> rows() {
        return told.stream()
                .sorted(Comparator.comparingDouble(Told::minute))
                .map(t -> new BenchPage.ChartRow(Formats.number(t.minute(), 0), t.what(), t.value()))
                .toList();
    }

    private String degrees(double celsius) {
        return whole(celsius) + " " + formats.temperatureUnit();
    }

    private String whole(double celsius) {
        return Formats.number(formats.degrees(Temperature.celsius(celsius)), 0);
    }

    /** The nearest height at which no other label stands. */
    private double free(double wanted) {
        double place = wanted;
        for (double step = 0; ; step += 2) {
            double up = wanted - step;
            double down = wanted + step;
            if (labels.stream().allMatch(l -> Math.abs(l - down) >= CLOSE)) {
                place = down;
                break;
            }
            if (labels.stream().allMatch(l -> Math.abs(l - up) >= CLOSE)) {
                place = up;
                break;
            }
        }
        labels.add(place);
        return place;
    }

    void measured(SvgPath path, String style) {
        drawing.path(path.open(), "curve stroke-" + style);
    }

    void mark(String style, double minute, double celsius) {
        told.add(new Told(minute, style + ", read", formats.temperature(Temperature.celsius(celsius))));
        drawing.mark(style, x(minute), y(celsius));
    }

    /** Something that happened or is to happen, at the foot of the chart. */
    void event(double minute, boolean done) {
        double x = x(minute);
        drawing.line(x, BOTTOM - 16, x, BOTTOM, done ? "event" : "now");
    }

    void words(double minute, double up, String words) {
        drawing.text(x(minute) + 4, BOTTOM - up, words, "note");
    }

    void now(double minute) {
        drawing.line(x(minute), TOP, x(minute), BOTTOM, "now").text(x(minute) + 5, TOP + 12, "now", "strong");
    }

    double x(double minute) {
        return minutes.at(minute);
    }

    double y(double celsius) {
        return Math.max(TOP, Math.min(BOTTOM, degrees.at(celsius)));
    }

    Drawing done() {
        return drawing.done();
    }
}
