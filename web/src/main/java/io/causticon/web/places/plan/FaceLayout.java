package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Portion;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;

/**
 * The end face of a mould with its drawn layers, to scale.
 *
 * @param viewBox of the drawing
 * @param scale units of the drawing to the mm
 * @param left x of the left wall
 * @param bottom y of the bottom
 * @param faceWidth mm
 * @param faceHeight mm
 * @param layers from the bottom up
 * @param handles points that can be dragged
 * @param ticks heights that are written beside it
 */
record FaceLayout(
        String viewBox,
        double scale,
        double left,
        double bottom,
        double faceWidth,
        double faceHeight,
        List<Layer> layers,
        List<Handle> handles,
        List<Tick> ticks) {

    /** One layer: its outline, its number, and where its name stands. */
    record Layer(String outline, int number, String name, String x, String y) {}

    /** A corner of a line. */
    record Handle(int layer, int point, String x, String y, String label) {}

    /** A height in mm. */
    record Tick(String label, String y) {}

    private static final double WIDTH = 440;
    private static final double TALLEST = 300;
    private static final double MARGIN = 34;
    private static final double EDGE = 10;
    private static final double TICK_MILLIMETRES = 10;

    static FaceLayout of(Mould mould, List<Portion> portions) {
        double scale = Math.min((WIDTH - MARGIN - EDGE) / mould.width(), TALLEST / mould.height());
        double bottom = EDGE + mould.height() * scale;
        List<Line> lines =
                portions.stream().map(p -> Objects.requireNonNull(p.top())).toList();
        List<Layer> layers = new ArrayList<>();
        List<Handle> handles = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            Line below = i == 0 ? Line.flat(0) : lines.get(i - 1);
            // A quarter in: corners are mostly at the walls and in the middle.
            double x = mould.width() / 4;
            double y = (lines.get(i).heightAt(x) + below.heightAt(x)) / 2;
            layers.add(new Layer(
                    outline(lines.get(i), below, mould.width(), scale, bottom),
                    i % 6,
                    portions.get(i).name(),
                    SvgPath.coordinate(MARGIN + x * scale),
                    SvgPath.coordinate(bottom - y * scale + 5)));
            for (int j = 0; j < lines.get(i).points().size(); j++) {
                Line.Point p = lines.get(i).points().get(j);
                handles.add(new Handle(
                        i,
                        j,
                        SvgPath.coordinate(MARGIN + p.x() * scale),
                        SvgPath.coordinate(bottom - p.height() * scale),
                        portions.get(i).name() + ", " + Formats.number(p.height(), 0) + " mm high at "
                                + Formats.number(p.x(), 0) + " mm"));
            }
        }
        List<Tick> ticks = new ArrayList<>();
        for (double h = 0; h <= mould.height(); h += TICK_MILLIMETRES * (mould.height() > 120 ? 4 : 2)) {
            ticks.add(new Tick(Formats.number(h, 0), SvgPath.coordinate(bottom - h * scale + 4)));
        }
        return new FaceLayout(
                "0 0 " + SvgPath.coordinate(WIDTH) + " " + SvgPath.coordinate(bottom + EDGE),
                scale,
                MARGIN,
                bottom,
                mould.width(),
                mould.height(),
                layers,
                handles,
                ticks);
    }

    public String shell() {
        return new SvgPath()
                .to(left, bottom - faceHeight * scale)
                .to(left, bottom)
                .to(left + faceWidth * scale, bottom)
                .to(left + faceWidth * scale, bottom - faceHeight * scale)
                .open();
    }

    private static String outline(Line top, Line below, double width, double scale, double bottom) {
        SvgPath path = new SvgPath();
        top.outlineAbove(below, width).forEach(p -> path.to(MARGIN + p.x() * scale, bottom - p.height() * scale));
        return path.closed();
    }
}
