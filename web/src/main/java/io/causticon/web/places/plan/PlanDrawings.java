package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Cutting;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LabelRows;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Lays out the drawings of the composer. */
final class PlanDrawings {

    /** A chance. */
    private static final double WORTH_TELLING = 0.01;

    private static final double DENSITY_WIDTH = 262;
    private static final double DENSITY_HEIGHT = 116;
    private static final double SPECTRUM_WIDTH = 480;
    private static final double TIMELINE_WIDTH = 480;
    private static final double MOULD_WIDTH = 252;
    private static final double MOULD_HEIGHT = 110;
    private static final double ROW = 26;
    private static final double MINUTES_A_DAY = 24 * 60;
    private static final Map<Family, String> NAMES = Map.of(
            Family.SHORT_SATURATED, "short",
            Family.LONG_SATURATED, "long sat.",
            Family.MONO_UNSATURATED, "oleic",
            Family.RICINOLEIC, "castor\u2019s",
            Family.POLY_UNSATURATED, "lin.",
            Family.OTHER, "");

    private PlanDrawings() {}

    /** The superfat as a density, with the region of excess alkali marked. */
    static Drawing density(Estimate superfat) {
        double centre = 100 * superfat.value();
        double sigma = Math.max(0.05, 100 * superfat.standardDeviation());
        double from = Math.min(-2, Math.floor(centre - 4 * sigma));
        double to = Math.max(10, Math.ceil(centre + 4 * sigma));
        LinearAxis x = new LinearAxis(from, to, 14, DENSITY_WIDTH - 14);
        double base = 88;
        Drawing.Builder drawing = Drawing.sized(
                DENSITY_WIDTH, DENSITY_HEIGHT, "Density of the superfat, with the region below zero marked");
        drawing.rect(x.at(from), 14, x.at(0) - x.at(from), base - 14, "forbidden")
                .text(x.at(from) + 4, 27, "excess", "small fill-hazard")
                .text(x.at(from) + 4, 41, "alkali", "small fill-hazard");
        SvgPath bell = new SvgPath().to(x.at(from), base);
        double step = (to - from) / 160;
        for (double v = from; v <= to; v += step) {
            double z = (v - centre) / sigma;
            bell.to(x.at(v), base - 66 * Math.exp(-z * z / 2));
        }
        drawing.path(bell.to(x.at(to), base).closed(), "bell").line(14, base, DENSITY_WIDTH - 14, base, "axis");
        for (double tick : new double[] {from, 0, Math.rint(centre), to}) {
            boolean crowded =
                    tick == from && x.at(0) - x.at(from) < 26 || tick == 0 && x.at(Math.rint(centre)) - x.at(0) < 20;
            if (!crowded) {
                drawing.textMiddle(x.at(tick), base + 17, Formats.number(tick, 0), "figure");
            }
        }
        return drawing.done();
    }

    /** The fatty acids as one bar, short saturated to poly-unsaturated. */
    static Drawing spectrum(Composition composition) {
        Drawing.Builder drawing =
                Drawing.sized(SPECTRUM_WIDTH, 30, "Fatty acids from short saturated to poly-unsaturated");
        double all = composition.families().values().stream()
                .mapToDouble(s -> s.fraction())
                .sum();
        double x = 0;
        for (Family family : Family.values()) {
            double share = all == 0 ? 0 : composition.of(family).fraction() / all;
            double width = share * SPECTRUM_WIDTH;
            if (width > 0.5) {
                drawing.rect(x, 3, width - 1.5, 24, "acid acid-" + family.ordinal());
                String words = NAMES.get(family) + " " + Formats.number(100 * share, 1);
                if (width > LabelRows.widthOf(words) + 4) {
                    drawing.text(x + 6, 20, words, "on-acid");
                }
            }
            x += width;
        }
        return drawing.done();
    }

    /** What the batch will do, on logarithmic time. */
    static Drawing timeline(
            BatchPlan plan, WorkingTime time, LyePeak peak, Optional<LoafEnsemble> loaf, Formats formats) {
        LogTimeAxis axis = new LogTimeAxis(3, 260_000, 6, TIMELINE_WIDTH - 10);
        Drawing.Builder drawing = Drawing.sized(TIMELINE_WIDTH, 24 + 5 * ROW, "What the batch will do, by age");
        axis.ticks().stream().filter(t -> t.minutes() != 15).forEach(t -> {
            double x = axis.x(t.minutes());
            drawing.line(x, 20, x, 24 + 5 * ROW, "rule").textMiddle(x, 13, t.label(), "tick");
        });
        Schedule schedule = Schedule.of(plan);
        double bench = schedule.bench().toMinutes();
        double lyeIn = 0.65 * bench;
        event(drawing, axis, 0, "lye", 5, 16, "lye peaks near " + formats.temperature(peak.expected()));
        event(
                drawing,
                axis,
                1,
                "batter",
                lyeIn + time.band().low(),
                lyeIn + time.band().high(),
                "light trace " + Formats.number(time.band().low(), 0) + "\u2013"
                        + Formats.number(time.band().high(), 0) + " min after lye-in, pours until "
                        + Formats.number(time.unpourable(), 0));
        loaf.ifPresentOrElse(
                l -> {
                    double at = bench + 60 * l.middle().peakHour();
                    event(drawing, axis, 2, "core", 0.75 * at, 1.4 * at, gel(l, formats));
                },
                () -> drawing.text(
                        6,
                        20 + 2 * ROW + 17,
                        plan.process() == Process.HOT
                                ? "cooked before it is in the mould"
                                : "no forecast of the core for this mould",
                        "note"));
        double out = bench + schedule.unmould().toMinutes();
        event(drawing, axis, 3, "ink", 0.75 * out, 1.3 * out, "unmould");
        double ready = out + schedule.cure().toMinutes();
        Interval dry = Readiness.expected(plan).drying().readyDays();
        double driest = out + MINUTES_A_DAY * dry.high();
        event(
                drawing,
                axis,
                4,
                "action",
                Math.max(ready, out + MINUTES_A_DAY * dry.low()),
                Math.max(1.05 * ready, driest),
                "old enough after " + Formats.duration(Duration.ofMinutes((long) ready)) + ", dry after "
                        + Formats.number(dry.low(), 0) + "\u2013" + Formats.number(dry.high(), 0) + " d");
        return drawing.done();
    }

    private static String gel(LoafEnsemble loaf, Formats formats) {
        String peak = "core "
                + Formats.number(
                        formats.degrees(Temperature.celsius(loaf.middle().peak())), 0) + " "
                + formats.temperatureUnit();
        // What hardly ever happens has no room here.
        String likely = Stream.of(Extent.FULL, Extent.PARTIAL, Extent.NONE)
                .filter(e -> loaf.probabilityOf(e) >= WORTH_TELLING)
                .limit(2)
                .map(e -> e.name().toLowerCase(Locale.ROOT) + " " + Formats.counted(loaf.probabilityOf(e)))
                .collect(Collectors.joining(", "));
        return peak + ", gel " + likely;
    }

    private static void event(
            Drawing.Builder drawing, LogTimeAxis axis, int row, String style, double from, double to, String words) {
        double y = 24 + row * ROW;
        double left = axis.x(from);
        double right = Math.max(axis.x(to), left + 6);
        drawing.rect(left, y, right - left, 13, "fill-" + style);
        // Where it fits on neither side, the one with more room: beyond the left edge stands the form.
        if (right + 8 + LabelRows.widthOf(words) < TIMELINE_WIDTH || TIMELINE_WIDTH - right > left) {
            drawing.text(right + 8, y + 11, words, "words");
        } else {
            drawing.textEnd(left - 8, y + 11, words, "words");
        }
    }

    /** The mould from its long side, or a row of its cavities, to scale, with its fill, cut and centre marks. */
    static Drawing mould(Mould mould, BatterAmount batter, Cutting cutting) {
        return mould.kind().isCut() ? cutMould(mould, batter, cutting) : cavities(mould, batter);
    }

    private static Drawing cutMould(Mould mould, BatterAmount batter, Cutting cutting) {
        boolean standing = mould.kind() == MouldKind.TUBE;
        double long_ = standing ? mould.height() : mould.length();
        double short_ = standing ? mould.width() : mould.height();
        double scale = Math.min((MOULD_WIDTH - 6) / long_, MOULD_HEIGHT / short_);
        double width = long_ * scale;
        double height = short_ * scale;
        double part = Math.min(1, batter.mass().dividedBy(mould.capacity(batter.density())));
        Drawing.Builder drawing =
                Drawing.sized(MOULD_WIDTH, height + 18, mould.name() + " with its fill, cut and centre marks");
        // A standing tube is drawn lying: its bottom is at the left.
        double fillWidth = standing ? width * part : width;
        double fillHeight = standing ? height : height * part;
        drawing.rect(3, 4 + height - fillHeight, fillWidth, fillHeight, "fill-batter soft");
        if (standing) {
            drawing.line(3 + fillWidth, 4, 3 + fillWidth, 4 + height, "level stroke-batter");
        } else {
            drawing.line(3, 4 + height - fillHeight, 3 + width, 4 + height - fillHeight, "level stroke-batter");
        }
        drawing.rect(3, 4, width, height, "shell");
        cutting.cuts().forEach(x -> drawing.line(3 + x * scale, 5, 3 + x * scale, 4 + height, "cut"));
        cutting.centres().forEach(x -> drawing.line(3 + x * scale, 8 + height, 3 + x * scale, 13 + height, "centre"));
        return drawing.done();
    }

    private static Drawing cavities(Mould mould, BatterAmount batter) {
        int columns = (int) Math.ceil(Math.sqrt(mould.cavities() * 1.6));
        int rows = (int) Math.ceil((double) mould.cavities() / columns);
        double cell = (MOULD_WIDTH - 6) / columns;
        double scale = (cell - 6) / Math.max(mould.length(), mould.width());
        double height = mould.width() * scale;
        double part = Math.min(1, batter.mass().dividedBy(mould.capacity(batter.density())));
        Drawing.Builder drawing = Drawing.sized(
                MOULD_WIDTH,
                rows * (height + 6) + 4,
                mould.cavities() + " cavities of " + mould.name() + " with their fill");
        for (int i = 0; i < mould.cavities(); i++) {
            double x = 3 + i % columns * cell;
            double y = 3 + i / columns * (height + 6);
            drawing.rect(x, y + height * (1 - part), mould.length() * scale, height * part, "fill-batter soft")
                    .rect(x, y, mould.length() * scale, height, "shell thin");
        }
        return drawing.done();
    }

    /** Portions as one bar, each with its name where it fits. */
    static Drawing shares(List<PortionAmounts> portions) {
        Drawing.Builder drawing = Drawing.sized(SPECTRUM_WIDTH, 34, "Portions by their share of the batter");
        double x = 0;
        for (int i = 0; i < portions.size(); i++) {
            double width = portions.get(i).share().fraction() * SPECTRUM_WIDTH;
            drawing.rect(x, 2, width - 2, 30, "layer layer-" + i % 6);
            String name = portions.get(i).portion().name();
            if (LabelRows.widthOf(name) + 8 < width) {
                drawing.textMiddle(x + width / 2, 22, name, "words");
            }
            x += width;
        }
        return drawing.done();
    }
}
