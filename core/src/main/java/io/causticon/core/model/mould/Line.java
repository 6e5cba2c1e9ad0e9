package io.causticon.core.model.mould;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.DoubleStream;

/**
 * The upper edge of a layer, drawn on the end face of the mould: straight between its points and flat beyond them.
 *
 * @param points from left to right, at least one
 */
public record Line(List<Point> points) {

    /**
     * A point on the end face.
     *
     * @param x mm from the left wall
     * @param height mm above the bottom
     */
    public record Point(double x, double height) {}

    private static final double SAME_HEIGHT = 1e-9;

    public Line {
        points = List.copyOf(points);
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).x() <= points.get(i - 1).x()) {
                throw new IllegalArgumentException("Impossible state: the points of a line go backwards");
            }
        }
    }

    public static Line flat(double height) {
        return new Line(List.of(new Point(0, height)));
    }

    public boolean isFlat() {
        double first = points.get(0).height();
        return points.stream().allMatch(p -> Math.abs(p.height() - first) < SAME_HEIGHT);
    }

    /**
     * The corners of what lies between another line and this one, from wall to wall along this line and back along the
     * other.
     *
     * @param below the lower edge
     * @param width from wall to wall, mm
     */
    public List<Point> outlineAbove(Line below, double width) {
        TreeSet<Double> corners = new TreeSet<>(List.of(0.0, width));
        points.forEach(p -> corners.add(Math.max(0, Math.min(width, p.x()))));
        below.points().forEach(p -> corners.add(Math.max(0, Math.min(width, p.x()))));
        List<Point> outline = new ArrayList<>();
        corners.forEach(x -> outline.add(new Point(x, heightAt(x))));
        corners.descendingSet().forEach(x -> outline.add(new Point(x, below.heightAt(x))));
        return outline;
    }

    /** Height in mm at this distance from the left wall. */
    public double heightAt(double x) {
        Point before = points.get(0);
        if (x <= before.x()) {
            return before.height();
        }
        for (Point point : points) {
            if (x <= point.x()) {
                double part = (x - before.x()) / (point.x() - before.x());
                return before.height() + part * (point.height() - before.height());
            }
            before = point;
        }
        return before.height();
    }

    DoubleStream corners() {
        return points.stream().mapToDouble(Point::x);
    }
}
