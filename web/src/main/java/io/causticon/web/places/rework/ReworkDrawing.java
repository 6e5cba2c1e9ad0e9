package io.causticon.web.places.rework;

import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.quantity.Estimate;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;

/**
 * Draws how fat each scrap is, and how fat all of them are together: a band for what is not known, thick for much of
 * it.
 */
final class ReworkDrawing {

    private static final double WIDTH = 370;
    private static final double LEFT = 18;
    private static final double RIGHT = 346;
    private static final double TOP = 26;
    private static final double ROW = 46;
    private static final double THINNEST = 6;
    private static final double THICKEST = 22;
    private static final double LOWEST = -10;
    private static final double HIGHEST = 15;
    private static final double USUAL_LOW = -2;
    private static final double USUAL_HIGH = 10;
    private static final int LONGEST_NAME = 44;

    private final Rework rework;
    private final double low;
    private final double high;

    private ReworkDrawing(Rework rework) {
        this.rework = rework;
        double least = Math.min(USUAL_LOW, lowest());
        this.low = Math.max(LOWEST, Math.floor(least));
        this.high = Math.min(HIGHEST, Math.max(USUAL_HIGH, Math.ceil(highest())));
    }

    static Drawing of(Rework rework) {
        return new ReworkDrawing(rework).drawn();
    }

    private double lowest() {
        double of = 100 * rework.superfat().band95().low();
        return rework.scraps().stream()
                .mapToDouble(s -> 100 * s.superfat().band95().low())
                .reduce(of, Math::min);
    }

    private double highest() {
        double of = 100 * rework.superfat().band95().high();
        return rework.scraps().stream()
                .mapToDouble(s -> 100 * s.superfat().band95().high())
                .reduce(of, Math::max);
    }

    private Drawing drawn() {
        int rows = rework.scraps().size() + 1;
        double bottom = TOP + ROW * rows;
        Drawing.Builder drawing = Drawing.sized(WIDTH, bottom + 26, "Superfat of each scrap and of all together");
        drawing.rect(x(low), TOP - 6, x(0) - x(low), bottom - TOP + 6, "too-much");
        for (double at = Math.ceil(low / 5) * 5; at <= high; at += 5) {
            drawing.line(x(at), TOP - 6, x(at), bottom, at == 0 ? "axis" : "rule");
            drawing.textMiddle(x(at), bottom + 18, Formats.number(at, 0) + " %", "figure");
        }
        drawing.text(x(low) + 4, TOP - 12, "alkali left", "note");
        drawing.textEnd(RIGHT, TOP - 12, "fat left", "note");
        double y = TOP + ROW - THICKEST / 2 - 4;
        for (ScrapPortion s : rework.scraps()) {
            band(drawing, y, s.superfat(), thickness(s.mass().dividedBy(rework.soap())), "band fill-fats", "fats");
            drawing.text(x(0) + 6, y - THICKEST / 2 - 4, shortened(s.name()), "note");
            y += ROW;
        }
        band(drawing, y, rework.superfat(), THICKEST, "band fill-batter", "batter");
        drawing.text(x(0) + 6, y - THICKEST / 2 - 4, "all together", "strong");
        return drawing.done();
    }

    private void band(Drawing.Builder drawing, double y, Estimate superfat, double thick, String style, String mark) {
        double from = x(100 * superfat.band95().low());
        double to = Math.max(from + 2, x(100 * superfat.band95().high()));
        double half = thick / 2;
        drawing.path(
                new SvgPath()
                        .to(from, y - half)
                        .to(to, y - half)
                        .to(to, y + half)
                        .to(from, y + half)
                        .closed(),
                style);
        drawing.mark(mark, x(100 * superfat.value()), y);
    }

    private static double thickness(double share) {
        return THINNEST + (THICKEST - THINNEST) * Math.sqrt(Math.max(0, Math.min(1, share)));
    }

    private double x(double percent) {
        return LEFT + (RIGHT - LEFT) * (Math.max(low, Math.min(high, percent)) - low) / (high - low);
    }

    private static String shortened(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME - 1) + "\u2026" : name;
    }
}
