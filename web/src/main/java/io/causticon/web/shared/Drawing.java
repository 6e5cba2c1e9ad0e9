package io.causticon.web.shared;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A drawing that is already laid out: the template only paints it. Colours and widths come from the style names, marks
 * are the ones that the substances have everywhere.
 *
 * @param width width of its coordinates
 * @param height height of its coordinates
 * @param label what it shows, for those who do not see it
 * @param shapes what is drawn, in the order of painting
 */
public record Drawing(double width, double height, String label, List<Shape> shapes) {

    private static final double SMALLEST_LETTERS = 12;
    private static final double SMALLEST_SHOWN = 11;
    private static final int STEPS = 50;

    public Drawing {
        shapes = List.copyOf(shapes);
    }

    public String viewBox() {
        return "0 0 " + SvgPath.coordinate(width) + " " + SvgPath.coordinate(height);
    }

    /**
     * Style name of how narrow it may be drawn so that its smallest letters are still 11 px high; narrower screens
     * scroll it sideways in its own box.
     */
    public String least() {
        return "least-" + (int) (Math.ceil(width * SMALLEST_SHOWN / SMALLEST_LETTERS / STEPS) * STEPS);
    }

    /** A group where something in it can be followed, which a picture would hide; else a picture. */
    public String role() {
        return shapes.stream().anyMatch(s -> s.href() != null) ? "group" : "img";
    }

    /** Its shapes as SVG, for the inside of an {@code svg} element. */
    public String markup() {
        return SvgPainter.paint(this);
    }

    /**
     * One shape. Only the members that its kind needs are set.
     *
     * @param kind {@code path}, {@code rect}, {@code mark} or {@code text}
     * @param style style names
     * @param x left edge, centre of a mark, anchor of a text
     * @param y top edge, centre of a mark, baseline of a text
     * @param w width of a rectangle
     * @param h height of a rectangle
     * @param data outline of a path, name of a mark, words of a text
     * @param anchor anchor of a text: start, middle or end
     * @param href where it leads, if it is a link
     */
    public record Shape(
            String kind,
            String style,
            String x,
            String y,
            String w,
            String h,
            String data,
            String anchor,
            @Nullable String href) {}

    public static Builder sized(double width, double height, String label) {
        return new Builder(width, height, label);
    }

    /** Collects shapes. */
    public static final class Builder {

        private final double width;
        private final double height;
        private final String label;
        private final List<Shape> shapes = new ArrayList<>();

        private Builder(double width, double height, String label) {
            this.width = width;
            this.height = height;
            this.label = label;
        }

        public Builder line(double x1, double y1, double x2, double y2, String style) {
            return path(new SvgPath().to(x1, y1).to(x2, y2).open(), style);
        }

        public Builder path(String outline, String style) {
            return outline.isEmpty() ? this : add("path", style, 0, 0, 0, 0, outline, "", null);
        }

        public Builder rect(double x, double y, double w, double h, String style) {
            return add("rect", style, x, y, Math.max(0, w), Math.max(0, h), "", "", null);
        }

        /** A mark of a substance or a state, centred. */
        public Builder mark(String name, double x, double y) {
            return add("mark", "mark-" + name, x, y, 0, 0, "mark-" + name, "", null);
        }

        public Builder text(double x, double y, String words, String style) {
            return add("text", style, x, y, 0, 0, words, "start", null);
        }

        public Builder textMiddle(double x, double y, String words, String style) {
            return add("text", style, x, y, 0, 0, words, "middle", null);
        }

        public Builder textEnd(double x, double y, String words, String style) {
            return add("text", style, x, y, 0, 0, words, "end", null);
        }

        public Builder link(double x, double y, String words, String style, String href) {
            return add("text", style, x, y, 0, 0, words, "start", href);
        }

        public Drawing done() {
            return new Drawing(width, height, label, shapes);
        }

        private Builder add(
                String kind,
                String style,
                double x,
                double y,
                double w,
                double h,
                String data,
                String anchor,
                @Nullable String href) {
            shapes.add(new Shape(
                    kind,
                    style,
                    SvgPath.coordinate(x),
                    SvgPath.coordinate(y),
                    SvgPath.coordinate(w),
                    SvgPath.coordinate(h),
                    data,
                    anchor,
                    href));
            return this;
        }
    }
}
