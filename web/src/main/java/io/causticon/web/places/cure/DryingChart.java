package io.causticon.web.places.cure;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.Drying;
import io.causticon.core.science.cure.Readiness;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.SvgPath;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;

/** Masses of bars against days since the cut: what was weighed, how it goes on with its band, when it is ready. */
final class DryingChart {

    private static final double WIDTH = 830;
    private static final double HEIGHT = 250;
    private static final double LEFT = 52;
    private static final double RIGHT = WIDTH - 64;
    private static final double TOP = 14;
    private static final double BOTTOM = HEIGHT - 34;
    private static final int STEPS = 60;
    private static final double WEEK = 7;
    private static final double LEAST_DAYS = 28;
    private static final double MOST_LABELS = 10;
    private static final double NEAR = 56;

    /** Between the names of two curves. */
    private static final double APART = 13;

    /** g of a bar that nobody weighed: its share is drawn, of a hundred. */
    private static final double NOMINAL = 100;

    private final Readiness readiness;
    private final Drying drying;
    private final Formats formats;
    private final double now;
    private final double last;
    private final boolean weighed;
    private final LinearAxis days;
    private final LinearAxis mass;
    private final Drawing.Builder drawing;

    private DryingChart(Readiness readiness, Formats formats, Instant now) {
        this.readiness = readiness;
        this.drying = readiness.drying();
        this.formats = formats;
        this.now = Math.max(0, readiness.daysAt(now));
        this.weighed = !drying.bars().isEmpty();
        double until = Math.max(readiness.daysAt(readiness.readyBand().get(1)), this.now);
        this.last = WEEK * Math.ceil(Math.max(LEAST_DAYS, until * 1.25) / WEEK);
        this.days = new LinearAxis(0, last, LEFT, RIGHT);
        double most = shownBars().stream().mapToDouble(this::fresh).max().orElse(NOMINAL);
        double least = shownBars().stream().mapToDouble(this::fresh).min().orElse(NOMINAL);
        double low = least * drying.massShareBandAt(last).low();
        double room = Math.max(1, 0.08 * (most - low));
        this.mass = new LinearAxis(most + room, low - room, TOP, BOTTOM);
        this.drawing = Drawing.sized(
                WIDTH, HEIGHT, "Mass of bars against days since the cut, with what is expected until they are ready");
    }

    static Drawing of(Readiness readiness, Formats formats, Instant now) {
        return new DryingChart(readiness, formats, now).drawn();
    }

    private List<String> shownBars() {
        return weighed ? drying.bars() : List.of("");
    }

    private double fresh(String label) {
        return drying.freshGrams(label).orElse(NOMINAL);
    }

    private Drawing drawn() {
        grid();
        ready();
        shownBars().forEach(this::curve);
        drying.shown()
                .forEach(w -> drawing.mark(
                        shownBars().indexOf(w.bar()) == 0 ? "fats" : "liquid", days.at(w.days()), mass.at(w.grams())));
        double x = days.at(now);
        drawing.line(x, TOP, x, BOTTOM, "now").text(x + 5, TOP + 10, "now", "name");
        names();
        atTheEnd();
        return drawing.done();
    }

    private void grid() {
        double span = shown(mass.from()) - shown(mass.to());
        double step = step(span);
        for (double v = Math.ceil(shown(mass.to()) / step) * step; v <= shown(mass.from()); v += step) {
            double y = mass.at(grams(v));
            drawing.line(LEFT, y, RIGHT, y, "rule")
                    .textEnd(LEFT - 8, y + 4, Formats.number(v, step < 1 ? step < 0.1 ? 2 : 1 : 0), "figure");
        }
        drawing.text(LEFT + 4, TOP - 3, weighed ? formats.massUnit() : "%", "note");
        double beat = WEEK * Math.ceil(last / WEEK / MOST_LABELS);
        for (double d = 0; d <= last; d += beat) {
            drawing.textMiddle(days.at(d), BOTTOM + 20, Formats.number(d, 0), "figure");
        }
        drawing.text(RIGHT + 16, BOTTOM + 20, "d", "note");
    }

    /** A step of 1, 2 or 5 with some five lines. */
    private static double step(double span) {
        double power = Math.pow(10, Math.floor(Math.log10(span / 4)));
        double rest = span / 4 / power;
        return power * (rest >= 5 ? 5 : rest >= 2 ? 2 : 1);
    }

    private double shown(double grams) {
        return weighed ? formats.massValue(Mass.grams(grams)) : grams;
    }

    private double grams(double shown) {
        return weighed ? shown / formats.massValue(Mass.grams(1)) : shown;
    }

    private void ready() {
        double from = days.at(readiness.daysAt(readiness.readyBand().get(0)));
        double to = days.at(readiness.daysAt(readiness.readyBand().get(1)));
        double at = days.at(readiness.daysAt(readiness.ready()));
        drawing.rect(from, TOP, Math.max(0, to - from), BOTTOM - TOP, "window").line(at, TOP, at, BOTTOM, "aged");
        boolean nearNow = Math.abs(at - days.at(now)) < NEAR;
        drawing.text(at + 6, TOP + (nearNow ? 26 : 10), "ready", "name");
    }

    private void curve(String label) {
        SvgPath middle = new SvgPath();
        SvgPath band = new SvgPath();
        Deque<Runnable> back = new ArrayDeque<>();
        for (int i = 0; i <= STEPS; i++) {
            // Early days change most.
            double d = last * i * i / STEPS / STEPS;
            Interval share = drying.massShareBandAt(d);
            double fresh = fresh(label);
            middle.to(days.at(d), mass.at(fresh * drying.massShareAt(d)));
            band.to(days.at(d), mass.at(fresh * share.high()));
            back.push(() -> band.to(days.at(d), mass.at(fresh * share.low())));
        }
        back.forEach(Runnable::run);
        drawing.path(band.closed(), "band fill-core").path(middle.open(), "drying");
    }

    /** Which curve is whose, where they stand apart. */
    private void names() {
        if (shownBars().size() < 2) {
            return;
        }
        double before = Double.NEGATIVE_INFINITY;
        for (String label : shownBars().stream()
                .sorted(Comparator.comparingDouble(this::fresh).reversed())
                .toList()) {
            double y = mass.at(fresh(label) * drying.massShareAt(last)) + 4;
            if (y - before >= APART) {
                drawing.text(RIGHT + 5, y, label.isEmpty() ? "any" : label, "small figure");
                before = y;
            }
        }
    }

    private void atTheEnd() {
        String label = shownBars().get(0);
        double grams = fresh(label) * drying.massShareAt(last);
        String water = Formats.number(100 * drying.waterShareAt(last), 0) + " % water";
        drawing.textEnd(
                RIGHT,
                mass.at(fresh(label) * drying.massShareBandAt(last).high()) - 8,
                (weighed ? formats.mass(Mass.grams(grams)) : Formats.number(grams, 0) + " %") + ", " + water,
                "note");
    }
}
