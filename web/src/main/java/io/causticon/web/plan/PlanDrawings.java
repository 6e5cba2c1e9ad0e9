package io.causticon.web.plan;

import io.causticon.core.cure.Schedule;
import io.causticon.core.forecast.LyePeak;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Composition;
import io.causticon.core.formula.Mould;
import io.causticon.core.formula.MouldKind;
import io.causticon.core.heat.LoafEnsemble;
import io.causticon.core.heat.LoafHistory.Extent;
import io.causticon.core.making.WorkingTime;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.FattyAcid.Family;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LabelRows;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;

/** Lays out the drawings of the composer. */
final class PlanDrawings {

    private static final double DENSITY_WIDTH = 262;
    private static final double DENSITY_HEIGHT = 116;
    private static final double SPECTRUM_WIDTH = 480;
    private static final double TIMELINE_WIDTH = 480;
    private static final double ROW = 26;
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
            boolean crowded = tick == from && x.at(0) - x.at(from) < 26
                    || tick == 0 && x.at(Math.rint(centre)) - x.at(0) < 20;
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
        double all = composition.families().values().stream().mapToDouble(s -> s.fraction()).sum();
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
    static Drawing timeline(BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf, Formats formats) {
        LogTimeAxis axis = new LogTimeAxis(3, 260_000, 6, TIMELINE_WIDTH - 10);
        Drawing.Builder drawing = Drawing.sized(TIMELINE_WIDTH, 24 + 5 * ROW, "What the batch will do, by age");
        axis.ticks().stream().filter(t -> t.minutes() != 15).forEach(t -> {
            double x = axis.x(t.minutes());
            drawing.line(x, 20, x, 24 + 5 * ROW, "rule").textMiddle(x, 13, t.label(), "tick");
        });
        WorkingTime time = WorkingTime.forecast(plan);
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
                "light trace " + Formats.number(time.band().low(), 0) + " to " + Formats.number(time.band().high(), 0)
                        + " min after lye-in");
        loaf.ifPresentOrElse(
                l -> {
                    double at = bench + 60 * l.middle().peakHour();
                    event(drawing, axis, 2, "core", 0.75 * at, 1.4 * at, gel(l, formats));
                },
                () -> drawing.text(6, 20 + 2 * ROW + 17, "no forecast of the core for this mould", "note"));
        double out = bench + schedule.unmould().toMinutes();
        event(drawing, axis, 3, "ink", 0.75 * out, 1.3 * out, "unmould");
        double ready = out + schedule.cure().toMinutes();
        event(
                drawing,
                axis,
                4,
                "action",
                0.95 * ready,
                1.15 * ready,
                "ready after " + Formats.duration(Duration.ofMinutes((long) ready)));
        return drawing.done();
    }

    private static String gel(LoafEnsemble loaf, Formats formats) {
        String peak = "core near "
                + formats.temperature(Temperature.celsius(Math.rint(loaf.middle().peak())));
        return peak + ", full gel " + Formats.probability(loaf.probabilityOf(Extent.FULL));
    }

    private static void event(
            Drawing.Builder drawing, LogTimeAxis axis, int row, String style, double from, double to, String words) {
        double y = 24 + row * ROW;
        double left = axis.x(from);
        double right = Math.max(axis.x(to), left + 6);
        drawing.rect(left, y, right - left, 13, "fill-" + style);
        if (right + 8 + LabelRows.widthOf(words) < TIMELINE_WIDTH) {
            drawing.text(right + 8, y + 11, words, "words");
        } else {
            drawing.textEnd(left - 8, y + 11, words, "words");
        }
    }

    /** The mould from its long side, to scale, with its fill and cut marks. */
    static Drawing mould(Mould mould, Mass batter, int bars) {
        double width = 252;
        double scale = (width - 6) / mould.length();
        double height = Math.min(110, mould.height() * scale);
        double vertical = height / mould.height();
        double fill = Math.min(mould.height(), mould.fillHeight(batter)) * vertical;
        Drawing.Builder drawing = Drawing.sized(width, height + 8, mould.name() + " with its fill and cut marks");
        drawing.rect(4, 4 + height - fill, width - 8, fill, "fill-line fill-batter soft")
                .line(4, 4 + height - fill, width - 4, 4 + height - fill, "level stroke-batter")
                .rect(3, 3, width - 6, height, "shell");
        if (mould.kind() != MouldKind.CAVITIES) {
            for (int i = 1; i < bars; i++) {
                double x = 4 + (width - 8) * i / bars;
                drawing.line(x, 4, x, 3 + height, "cut");
            }
        }
        return drawing.done();
    }
}
