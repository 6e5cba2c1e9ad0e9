package io.causticon.web.places.batch;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.OnStrip;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Drying;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LabelRows;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayDeque;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Lays out the whole life of a batch on one strip: logarithmic time, a lane each for temperatures, trace, bench, tests
 * and mass.
 */
final class StripLayout {

    static final double WIDTH = 922;
    private static final double HEIGHT = 660;
    private static final double LEFT = 92;
    private static final double RIGHT = WIDTH - 34;
    private static final double TOP = 26;
    private static final double BOTTOM = 640;
    private static final double FIRST_MINUTE = 1;
    private static final int CURVE_STEPS = 16;
    private static final double LEAST_SPAN = 180;
    private static final double HEADROOM = 1.25;
    private static final List<Stage> RUNGS =
            List.of(Stage.EMULSION, Stage.THIN, Stage.LIGHT, Stage.MEDIUM, Stage.THICK);
    private static final double RUNG = 20;

    /** C: the first mark of its scale. */
    private static final double COOL = 20;

    /** Lanes: name, top, bottom. */
    private enum Lane {
        TEMPERATURE("", 36, 236),
        TRACE("trace", 262, 366),
        BENCH("bench", 388, 460),
        TESTS("tests", 482, 546),
        MASS("bar mass", 568, 632);

        private final String title;
        private final double top;
        private final double bottom;

        Lane(String title, double top, double bottom) {
            this.title = title;
            this.top = top;
            this.bottom = bottom;
        }
    }

    private final Batch batch;
    private final BatchLog log;
    private final Formats formats;
    private final Instant now;
    private final Optional<LoafEnsemble> loaf;
    private final LogTimeAxis axis;
    private final Drawing.Builder drawing;
    private final LinearAxis degrees;

    private StripLayout(Batch batch, Formats formats, Instant now, Optional<LoafEnsemble> loaf) {
        this.batch = batch;
        this.log = batch.log();
        this.formats = formats;
        this.now = now;
        this.loaf = loaf;
        this.axis = axisOf(batch, now);
        this.degrees = temperatureAxis();
        this.drawing = Drawing.sized(WIDTH, HEIGHT, "The life of " + batch.name() + " on a logarithmic time axis");
    }

    static Drawing of(Batch batch, Formats formats, Instant now, Optional<LoafEnsemble> loaf) {
        return new StripLayout(batch, formats, now, loaf).draw();
    }

    /** The axis of a batch's strip: from its first minute to a little after now. */
    static LogTimeAxis axisOf(Batch batch, Instant now) {
        double age = Math.max(LEAST_SPAN, minutes(batch.log().begun(), now)) * HEADROOM;
        return new LogTimeAxis(FIRST_MINUTE, age, LEFT, RIGHT);
    }

    private Drawing draw() {
        grid();
        temperatures();
        trace();
        bench();
        tests();
        masses();
        double x = x(now);
        drawing.line(x, TOP, x, BOTTOM, "now").text(Math.min(x + 5, RIGHT + 2), TOP + 10, "now", "strong");
        return drawing.done();
    }

    private void grid() {
        axis.ticks().forEach(t -> {
            double x = axis.x(t.minutes());
            drawing.line(x, TOP, x, BOTTOM, "rule").textMiddle(x, 16, t.label(), "tick");
        });
        for (Lane lane : Lane.values()) {
            String title = lane == Lane.TEMPERATURE ? formats.temperatureUnit() : lane.title;
            drawing.text(0, lane.top + 14, title, "strong");
            if (lane != Lane.TEMPERATURE) {
                drawing.line(0, lane.top - 10, RIGHT, lane.top - 10, "lane");
            }
        }
    }

    private void temperatures() {
        for (Temperature mark : formats.marks(COOL, degrees.from())) {
            double y = degrees.at(mark.celsius());
            String number = Formats.number(Math.rint(formats.degrees(mark)), 0);
            drawing.line(LEFT, y, RIGHT, y, "dotted").textEnd(LEFT - 8, y + 4, number, "figure");
        }
        loaf.ifPresent(this::forecast);
        room();
        series(MeasurementPoint.LYE, "lye");
        series(MeasurementPoint.FATS, "fats");
        series(MeasurementPoint.BATTER, "batter");
        series(MeasurementPoint.CORE, "core");
    }

    private LinearAxis temperatureAxis() {
        double highest = Math.max(
                75,
                Math.max(
                        log.of(Entry.TemperatureRead.class)
                                .mapToDouble(t -> t.entry().temperature().celsius())
                                .max()
                                .orElse(0),
                        loaf.map(l -> l.peakBand().high()).orElse(0.0)));
        return new LinearAxis(highest + 8, 8, Lane.TEMPERATURE.top, Lane.TEMPERATURE.bottom);
    }

    private void series(MeasurementPoint spot, String style) {
        SvgPath path = new SvgPath();
        List<BatchLog.Timed<Entry.TemperatureRead>> readings = readings(spot);
        readings.forEach(t -> path.to(x(t.at()), y(t.entry().temperature())));
        if (spot != MeasurementPoint.CORE) {
            drawing.path(path.open(), "curve stroke-" + style);
        }
        readings.forEach(t -> drawing.mark(style, x(t.at()), y(t.entry().temperature())));
        if (!readings.isEmpty() && spot != MeasurementPoint.CORE && spot != MeasurementPoint.BATTER) {
            BatchLog.Timed<Entry.TemperatureRead> highest = highest(readings);
            // Fats mostly come in under the falling lye: their name then stands below, off its curve.
            boolean below = spot == MeasurementPoint.FATS
                    && !readings(MeasurementPoint.LYE).isEmpty()
                    && highest(readings(MeasurementPoint.LYE))
                            .entry()
                            .temperature()
                            .isAbove(highest.entry().temperature());
            drawing.textMiddle(
                    x(highest.at()),
                    y(highest.entry().temperature()) + (below ? 22 : -10),
                    EntryWords.spot(spot),
                    "name fill-" + style);
        }
    }

    private static BatchLog.Timed<Entry.TemperatureRead> highest(List<BatchLog.Timed<Entry.TemperatureRead>> readings) {
        return readings.stream()
                .max(Comparator.comparingDouble(t -> t.entry().temperature().celsius()))
                .orElseThrow();
    }

    private List<BatchLog.Timed<Entry.TemperatureRead>> readings(MeasurementPoint spot) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .toList();
    }

    private void room() {
        readings(MeasurementPoint.ROOM).stream().findFirst().ifPresent(t -> {
            double y = y(t.entry().temperature());
            drawing.line(x(t.at()), y, x(now), y, "room").textEnd(x(now) - 6, y - 5, "room", "note");
        });
    }

    private void forecast(LoafEnsemble ensemble) {
        Instant poured = log.first(Entry.Poured.class).orElseThrow().at();
        double start = minutes(log.begun(), poured);
        SvgPath upper = new SvgPath();
        SvgPath middle = new SvgPath();
        ArrayDeque<double[]> lower = new ArrayDeque<>();
        double end = Math.min(axis.toMinutes(), start + 36 * 60);
        for (double x = axis.x(start); x <= axis.x(end); x += 4) {
            double hours = (axis.minutesAt(x) - start) / 60;
            Interval band = ensemble.coreBand(Math.max(0, hours));
            upper.to(x, degrees.at(band.high()));
            lower.push(new double[] {x, degrees.at(band.low())});
            middle.to(x, degrees.at(ensemble.middle().coreCelsiusAt(Math.max(0, hours))));
        }
        lower.forEach(p -> upper.to(p[0], p[1]));
        drawing.path(upper.closed(), "band fill-core").path(middle.open(), "forecast stroke-core");
        double peak = start + 60 * ensemble.middle().peakHour();
        String words = "core, and what is reckoned";
        double x = Math.min(axis.x(Math.max(peak, 1)) + 14, RIGHT - LabelRows.widthOf(words));
        drawing.text(x, degrees.at(ensemble.peakBand().high()) - 4, words, "name fill-core");
    }

    private void trace() {
        for (int i = 0; i < RUNGS.size(); i++) {
            drawing.textEnd(LEFT - 8, rungY(i) + 5, RUNGS.get(i).name().toLowerCase(Locale.ROOT), "note");
        }
        SvgPath ladder = new SvgPath();
        double[] last = {0, 0};
        log.of(Entry.StageReached.class).filter(s -> s.entry().stage().isRung()).forEach(s -> {
            double x = x(s.at());
            double y = rungY(rung(s.entry().stage()));
            if (!ladder.isEmpty()) {
                ladder.to(x, last[1]);
            }
            ladder.to(x, y);
            last[0] = x;
            last[1] = y;
        });
        drawing.path(ladder.open(), "ladder stroke-batter");
        log.of(Entry.StageReached.class).forEach(s -> {
            boolean onLadder = s.entry().stage().isRung();
            double y = onLadder ? rungY(rung(s.entry().stage())) : Lane.TRACE.bottom;
            drawing.mark(onLadder ? "batter" : "trouble", x(s.at()), y);
            if (!onLadder || s.entry().stage() == Stage.MASH) {
                drawing.text(x(s.at()) + 9, y + 4, EntryWords.stage(s.entry().stage()), "name fill-hazard");
            }
        });
        lightTrace(last[0]);
    }

    private void lightTrace(double endOfLadder) {
        batch.facts(now).minutesTo(Stage.LIGHT).ifPresent(minutes -> {
            // As it was made, not as planned: the pots seldom meet at just the planned temperature.
            var forecast = WorkingTime.forecast(Situation.asMade(batch.facts(now)), TraceKnowledge.PRIOR);
            double x = Math.min(endOfLadder + 14, RIGHT - 170);
            drawing.text(
                            x,
                            Lane.TRACE.top + 38,
                            "light trace in " + Formats.number(minutes, 0) + " min",
                            "name fill-batter")
                    .text(
                            x,
                            Lane.TRACE.top + 55,
                            "forecast " + Formats.number(forecast.band().low(), 0) + " to "
                                    + Formats.number(forecast.band().high(), 0),
                            "note");
        });
    }

    private static int rung(Stage stage) {
        if (stage == Stage.STREAKS) {
            return 0;
        }
        return stage == Stage.MASH ? RUNGS.size() - 1 : RUNGS.indexOf(stage);
    }

    private static double rungY(int rung) {
        return Lane.TRACE.bottom - 8 - RUNG * rung;
    }

    private void bench() {
        LabelRows rows = new LabelRows(3, WIDTH);
        for (LoggedEntry line : log.entries()) {
            Entry entry = line.entry();
            double x = x(line.at());
            if (EntryKinds.strip(entry) == OnStrip.TICK) {
                drawing.rect(x, Lane.BENCH.bottom - 12, 3, 10, "burst");
            } else if (EntryKinds.strip(entry) == OnStrip.EVENT) {
                String words = shortWords(entry);
                LabelRows.Place place = rows.take(x + 4, words);
                drawing.line(x, Lane.BENCH.top + 2 + 17 * Math.max(0, place.row()), x, Lane.BENCH.bottom, "event");
                if (place.row() >= 0) {
                    drawing.text(place.x(), Lane.BENCH.top + 13 + 17 * place.row(), words, "note");
                }
            }
        }
    }

    private String shortWords(Entry entry) {
        return formats.phrase(EntryKinds.stripWords(entry, batch.names()));
    }

    private void tests() {
        LabelRows rows = new LabelRows(3, WIDTH);
        for (LoggedEntry line : log.entries()) {
            OnStrip sign = EntryKinds.strip(line.entry());
            if (sign.isTest()) {
                String mark = sign.name().toLowerCase(Locale.ROOT);
                double x = x(line.at());
                String words = shortWords(line.entry());
                boolean fits = x + 10 + LabelRows.widthOf(words) <= WIDTH;
                LabelRows.Place place = rows.take(fits ? x + 10 : x - 14 - LabelRows.widthOf(words), words);
                // Without room for its words a mark goes below the rows; the log beside the strip has them.
                drawing.mark(mark, x, place.row() < 0 ? Lane.TESTS.bottom - 1 : Lane.TESTS.top + 9 + 18 * place.row());
                if (place.row() >= 0) {
                    String style = mark.equals("alarm") || mark.equals("held") ? "note fill-hazard" : "note";
                    double y = Lane.TESTS.top + 13 + 18 * place.row();
                    if (fits) {
                        drawing.text(x + 10, y, words, style);
                    } else {
                        drawing.textEnd(x - 11, y, words, style);
                    }
                }
            }
        }
    }

    private void masses() {
        List<BatchLog.Timed<Entry.BarWeighed>> bars =
                log.of(Entry.BarWeighed.class).toList();
        if (bars.isEmpty()) {
            return;
        }
        double high =
                bars.stream().mapToDouble(b -> b.entry().mass().grams()).max().orElseThrow();
        double low =
                bars.stream().mapToDouble(b -> b.entry().mass().grams()).min().orElseThrow();
        double span = Math.max(high - low, 0.02 * high);
        LinearAxis mass = new LinearAxis(high + 0.15 * span, high - 1.15 * span, Lane.MASS.top, Lane.MASS.bottom);
        drying(mass, bars);
        bars.forEach(
                b -> drawing.mark("dot", x(b.at()), mass.at(b.entry().mass().grams())));
        BatchLog.Timed<Entry.BarWeighed> first = bars.get(0);
        BatchLog.Timed<Entry.BarWeighed> last = bars.get(bars.size() - 1);
        // The curve begins at the cut, before anybody weighed.
        double left = Math.min(x(first.at()), x(Readiness.of(batch.plan(), log).cut()));
        drawing.textEnd(
                left - 8,
                mass.at(first.entry().mass().grams()) + 5,
                formats.mass(first.entry().mass()),
                "figure");
        if (bars.size() > 1) {
            double loss = 1 - last.entry().mass().dividedBy(first.entry().mass());
            drawing.textEnd(
                    x(last.at()) - 6,
                    mass.at(last.entry().mass().grams()) + 18,
                    formats.mass(last.entry().mass()) + ", " + Formats.number(100 * loss, 1) + " % lost",
                    "figure");
        }
    }

    /** As it dries by all weighings, with its band; a bar of its own for each number that was said. */
    private void drying(LinearAxis mass, List<BatchLog.Timed<Entry.BarWeighed>> bars) {
        Readiness readiness = Readiness.of(batch.plan(), log);
        Drying drying = readiness.drying();
        Instant last = bars.get(bars.size() - 1).at();
        drying.bars().forEach(label -> {
            double fresh = drying.freshGrams(label).orElseThrow();
            SvgPath middle = new SvgPath();
            SvgPath band = new SvgPath();
            Deque<Runnable> back = new ArrayDeque<>();
            for (int i = 0; i <= CURVE_STEPS; i++) {
                moment(readiness, last, i).ifPresent(at -> {
                    double days = readiness.daysAt(at);
                    Interval share = drying.massShareBandAt(days);
                    middle.to(x(at), mass.at(fresh * drying.massShareAt(days)));
                    band.to(x(at), mass.at(fresh * share.high()));
                    back.push(() -> band.to(x(at), mass.at(fresh * share.low())));
                });
            }
            back.forEach(Runnable::run);
            drawing.path(band.closed(), "band fill-core").path(middle.open(), "drying");
        });
    }

    /** From the cut to the last weighing; each step as far on the strip as the other. */
    private static Optional<Instant> moment(Readiness readiness, Instant last, int step) {
        double days = readiness.daysAt(last);
        return days <= 0
                ? Optional.empty()
                : Optional.of(readiness
                        .cut()
                        .plusSeconds(Math.round(86_400 * days * Math.pow(step / (double) CURVE_STEPS, 2))));
    }

    private double x(Instant at) {
        return axis.x(minutes(log.begun(), at));
    }

    private double y(Temperature temperature) {
        return degrees.at(temperature.celsius());
    }

    private static double minutes(Instant from, Instant to) {
        return Math.max(FIRST_MINUTE, Duration.between(from, to).toSeconds() / 60.0);
    }
}
