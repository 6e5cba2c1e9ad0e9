package io.causticon.core.model.said.notation;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Line.Point;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Upper edges of layers as they are typed, in mm: {@code 22} is flat, {@code 20 34 20} are heights at equal distances
 * from wall to wall, {@code 0:20 30:34 85:20} are heights at given distances from the left wall.
 */
public final class LineNotation {

    private static final int MOST_POINTS = 40;

    private LineNotation() {}

    /**
     * @param field where the text stands
     * @param text what was typed
     * @param width width of the mould's end face, mm
     * @throws ProblemsException if it is no line
     */
    public static Line read(String field, String text, double width) {
        String plain = TypedText.of(field, text, TypedText.LONGEST_LINE)
                .replaceAll("[;,]\\s+|;", " ")
                .replaceAll("\\s*:\\s*", ":");
        if (plain.isBlank()) {
            throw ProblemsException.of(field, ProblemKey.MISSING);
        }
        String[] words = plain.split("\\s+");
        if (words.length > MOST_POINTS) {
            throw ProblemsException.of(field, ProblemKey.TOO_MANY, words.length, MOST_POINTS);
        }
        return plain.contains(":") ? atDistances(field, words, text) : evenly(field, words, width, text);
    }

    /** The same line as it would be typed. */
    public static String write(Line line) {
        if (line.isFlat()) {
            return NumberNotation.write(line.points().get(0).height(), 1);
        }
        return line.points().stream()
                .map(p -> NumberNotation.write(p.x(), 1) + ":" + NumberNotation.write(p.height(), 1))
                .collect(Collectors.joining(" "));
    }

    private static Line evenly(String field, String[] words, double width, String typed) {
        if (words.length == 1) {
            return Line.flat(height(field, words[0], typed));
        }
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < words.length; i++) {
            points.add(new Point(width * i / (words.length - 1), height(field, words[i], typed)));
        }
        return new Line(points);
    }

    private static Line atDistances(String field, String[] words, String typed) {
        List<Point> points = new ArrayList<>();
        for (String word : words) {
            String[] pair = word.split(":");
            if (pair.length != 2) {
                throw ProblemsException.of(field, ProblemKey.NOT_A_LINE, typed.trim());
            }
            points.add(new Point(number(field, pair[0], typed), height(field, pair[1], typed)));
        }
        points.sort(Comparator.comparingDouble(Point::x));
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).x() == points.get(i - 1).x()) {
                throw ProblemsException.of(field, ProblemKey.NOT_A_LINE, typed.trim());
            }
        }
        return new Line(points);
    }

    private static double height(String field, String word, String typed) {
        double height = number(field, word, typed);
        if (height < 0) {
            throw ProblemsException.of(field, ProblemKey.TOO_LOW, "A height in mm", height, 0.0);
        }
        return height;
    }

    /** "NaN" and "Infinity" are numbers to the platform alone. */
    private static double finite(double value) {
        if (!Double.isFinite(value)) {
            throw new NumberFormatException("not finite");
        }
        return value;
    }

    private static double number(String field, String word, String typed) {
        try {
            return finite(Double.parseDouble(
                    word.replace(',', '.').toLowerCase(Locale.ROOT).replaceAll("mm$", "")));
        } catch (NumberFormatException e) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_LINE, typed.trim());
        }
    }
}
