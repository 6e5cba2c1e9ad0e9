package io.causticon.core.model.mould;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Share;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * Layers drawn on the end face of a mould. The area under each line, less that under the line below, is the layer's
 * part: the lines are straight between their corners, so the trapezium rule over all corners is exact.
 *
 * @param width width of the face, mm
 * @param lines upper edges from the bottom layer up
 */
public record Silhouette(double width, List<Line> lines) {

    /** A line that dips this little, mm, below the one under it only touches it. */
    private static final double TOUCHES = 1e-6;

    public Silhouette {
        lines = List.copyOf(lines);
    }

    /** Area of each layer on the face, mm2, from the bottom up. */
    public List<Double> areas() {
        List<Double> areas = new ArrayList<>();
        double below = 0;
        for (Line line : lines) {
            double under = areaUnder(line);
            areas.add(under - below);
            below = under;
        }
        return areas;
    }

    /** Area under the uppermost line, mm2. */
    public double area() {
        return lines.isEmpty() ? 0 : areaUnder(lines.get(lines.size() - 1));
    }

    /** Each layer's part of the whole, from the bottom up. */
    public List<Share> shares() {
        double whole = area();
        return areas().stream()
                .map(a -> Share.fraction(whole == 0 ? 0 : a / whole))
                .toList();
    }

    /**
     * Tells lines that cross or leave the mould.
     *
     * @param height height of the mould, mm
     * @param fields where each line was typed
     * @param names what each layer is called
     */
    public Problems check(double height, List<String> fields, List<String> names) {
        Problems problems = new Problems();
        for (int i = 0; i < lines.size(); i++) {
            Line line = lines.get(i);
            double top =
                    line.points().stream().mapToDouble(Line.Point::height).max().orElse(0);
            if (top > height + TOUCHES) {
                problems.add(fields.get(i), ProblemKey.ABOVE_THE_MOULD, names.get(i), top, height);
            }
            Line below = i == 0 ? Line.flat(0) : lines.get(i - 1);
            String under = i == 0 ? "the bottom" : names.get(i - 1);
            int at = i;
            cornersOf(line, below)
                    .filter(x -> line.heightAt(x) < below.heightAt(x) - TOUCHES)
                    .findFirst()
                    .ifPresent(x -> problems.add(fields.get(at), ProblemKey.LINES_CROSS, names.get(at), under, x));
        }
        return problems;
    }

    private double areaUnder(Line line) {
        double[] xs = DoubleStream.concat(line.corners(), DoubleStream.of(0, width))
                .filter(x -> x >= 0 && x <= width)
                .sorted()
                .toArray();
        double area = 0;
        for (int i = 1; i < xs.length; i++) {
            area += (xs[i] - xs[i - 1]) * (line.heightAt(xs[i]) + line.heightAt(xs[i - 1])) / 2;
        }
        return area;
    }

    private DoubleStream cornersOf(Line a, Line b) {
        return DoubleStream.concat(DoubleStream.concat(a.corners(), b.corners()), DoubleStream.of(0, width))
                .filter(x -> x >= 0 && x <= width)
                .sorted();
    }
}
