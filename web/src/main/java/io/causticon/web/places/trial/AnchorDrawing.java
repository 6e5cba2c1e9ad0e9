package io.causticon.web.places.trial;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.web.shared.Drawing;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;

/** What each grade of a scale looks like, so that two judges hold on to the same thing. */
final class AnchorDrawing {

    private static final double WIDTH = 72;
    private static final double HEIGHT = 40;
    private static final double GROUND = 34;
    private static final double[] BUBBLE = {0.7, 1.5, 2.6, 4.2, 6.4};
    private static final String LINE = "anchor";
    private static final String FULL = "anchor-full";

    private static final Map<SensoryScale, List<Drawing>> ALL = drawn();

    private AnchorDrawing() {}

    /** Five of each scale, from grade 1. */
    static Map<SensoryScale, List<Drawing>> all() {
        return ALL;
    }

    private static Map<SensoryScale, List<Drawing>> drawn() {
        Map<SensoryScale, List<Drawing>> all = new EnumMap<>(SensoryScale.class);
        for (SensoryScale scale : SensoryScale.values()) {
            all.put(
                    scale,
                    IntStream.rangeClosed(1, 5).mapToObj(g -> of(scale, g)).toList());
        }
        return Map.copyOf(all);
    }

    private static Drawing of(SensoryScale scale, int grade) {
        Drawing.Builder d = Drawing.sized(WIDTH, HEIGHT, scale.anchors().get(grade - 1));
        switch (scale) {
            case START -> start(d, grade);
            case AMOUNT -> d.path("M6 28 Q36 44 66 28", LINE).path(mound(9, 63, 30, 7 * (grade - 1)), FULL);
            case BUBBLES -> bubbles(d, BUBBLE[grade - 1]);
            case CREAM -> cream(d, grade);
            case SLIP -> slip(d, grade);
            case SLIME -> slime(d, grade);
            case TACK -> tack(d, grade);
            case AFTER -> after(d, grade);
            case FIRM -> firm(d, grade);
        }
        return d.done();
    }

    private static String at(String pattern, double... numbers) {
        Object[] values = new Object[numbers.length];
        for (int i = 0; i < numbers.length; i++) {
            values[i] = numbers[i];
        }
        return String.format(Locale.ROOT, pattern, values);
    }

    private static String circle(double x, double y, double r) {
        return at("M%.1f %.1fa%.1f %.1f 0 1 0 %.1f 0a%.1f %.1f 0 1 0 %.1f 0", x - r, y, r, r, 2 * r, r, r, -2 * r);
    }

    /** A heap of so much height between two sides. */
    private static String mound(double left, double right, double ground, double height) {
        double middle = (left + right) / 2;
        return at(
                "M%.1f %.1fC%.1f %.1f %.1f %.1f %.1f %.1fZ",
                left, ground, middle - 12, ground - 1.3 * height, middle + 12, ground - 1.3 * height, right, ground);
    }

    /** A stroke for every five turns, and foam behind the last. */
    private static void start(Drawing.Builder d, int grade) {
        int strokes = grade == 1 ? 8 : 2 * (5 - grade);
        for (int i = 0; i < strokes; i++) {
            d.line(6 + 5 * i, 12, 6 + 5 * i, GROUND - 6, LINE);
        }
        if (grade > 1) {
            double x = 6 + 5 * strokes + 9;
            d.path(circle(x, 24, 5), FULL).path(circle(x + 7, 20, 4), FULL).path(circle(x + 6, 27, 4), FULL);
        }
    }

    private static void bubbles(Drawing.Builder d, double r) {
        List<double[]> placed = new ArrayList<>();
        double step = 2 * r + 0.9;
        for (double y = GROUND - r; y - r > 4 && placed.size() < 150; y -= step * 0.87) {
            double shift = Math.round((GROUND - r - y) / (step * 0.87)) % 2 == 0 ? 0 : step / 2;
            for (double x = 8 + r + shift; x + r < WIDTH - 6 && placed.size() < 150; x += step) {
                placed.add(new double[] {x, y});
            }
        }
        placed.forEach(p -> d.path(circle(p[0], p[1], r), r < 2 ? FULL : LINE));
    }

    private static void cream(Drawing.Builder d, int grade) {
        d.line(4, GROUND, WIDTH - 4, GROUND, LINE);
        switch (grade) {
            case 1 -> d.path(at("M8 %.1fQ36 %.1f 64 %.1f", GROUND, GROUND - 3, GROUND), FULL);
            case 2 -> d.path(mound(10, 62, GROUND, 7), FULL);
            case 3 -> d.path(mound(14, 58, GROUND, 14), FULL);
            case 4 ->
                d.path(at("M16 %.1fC16 14 26 20 30 12C34 20 42 8 46 16C54 14 56 26 56 %.1fZ", GROUND, GROUND), FULL);
            default ->
                d.path(
                        at(
                                "M16 %.1fC18 20 24 18 24 4C28 16 32 16 36 2C40 16 44 16 48 4C48 18 54 20 56 %.1fZ",
                                GROUND, GROUND),
                        FULL);
        }
    }

    /** A hand's way over the bar: short and jagged, or long and smooth. */
    private static void slip(Drawing.Builder d, int grade) {
        d.rect(6, 24, 60, 10, LINE);
        double reach = 8 + 11 * grade;
        StringBuilder way = new StringBuilder("M8 14");
        int teeth = 3 * (5 - grade);
        for (int i = 1; i <= Math.max(1, teeth); i++) {
            double x = 8 + (reach - 8) * i / Math.max(1, teeth);
            way.append(at("L%.1f %.1f", x, teeth > 0 && i % 2 == 1 ? 20 : 14));
        }
        d.path(way.toString(), LINE).path(at("M%.1f 10L%.1f 14L%.1f 18", reach - 5, reach, reach - 5), LINE);
    }

    private static void slime(Drawing.Builder d, int grade) {
        d.rect(14, 6, 44, 10, LINE);
        int strings = grade == 1 ? 0 : grade == 2 ? 1 : grade;
        for (int i = 0; i < strings; i++) {
            double x = 20 + 34.0 * i / Math.max(1, strings - 1);
            double end = 16 + 3 + 3.6 * (grade - 1);
            d.path(at("M%.1f 16Q%.1f %.1f %.1f %.1f", x, x + 2, (16 + end) / 2, x, end), LINE);
            d.path(circle(x, end, 1.6), FULL);
        }
    }

    /** Two fingers that part, and what holds them. */
    private static void tack(Drawing.Builder d, int grade) {
        double gap = 22 - 4.6 * (grade - 1);
        double top = 20 - gap / 2;
        double below = 20 + gap / 2;
        d.path(at("M8 %.1fH50Q62 %.1f 50 %.1fH8", top - 7, top - 3.5, top), LINE)
                .path(at("M8 %.1fH50Q62 %.1f 50 %.1fH8", below, below + 3.5, below + 7), LINE);
        for (int i = 1; i < grade; i++) {
            d.line(14 + 9 * i, top, 14 + 9 * i, below, LINE);
        }
    }

    /** Skin: drawn tight and cracked, flat, or full. */
    private static void after(Drawing.Builder d, int grade) {
        StringBuilder skin = new StringBuilder("M4 20");
        for (int i = 1; i <= 8; i++) {
            double x = 4 + 8.0 * i;
            switch (grade) {
                case 1 -> skin.append(at("L%.1f %.1f", x, i % 2 == 1 ? 12 : 26));
                case 2 -> skin.append(at("L%.1f %.1f", x, i % 2 == 1 ? 17 : 22));
                case 3 -> skin.append(at("L%.1f 20", x));
                default ->
                    skin.append(at(
                            "Q%.1f %.1f %.1f 20",
                            x - 4, i % 2 == 1 ? 20 - 3.0 * (grade - 3) : 20 + 3.0 * (grade - 3), x));
            }
        }
        d.path(skin.toString(), LINE);
        if (grade == 5) {
            d.path(circle(20, 8, 2.4), FULL).path(circle(40, 7, 2.4), FULL).path(circle(56, 9, 2.4), FULL);
        }
    }

    private static void firm(Drawing.Builder d, int grade) {
        double deep = new double[] {14, 9, 5, 1.5, 0}[grade - 1];
        d.path(at("M6 34V16H24Q36 %.1f 48 16H66V34Z", 16 + 2 * deep), LINE);
        d.path(at("M30 2V%.1fQ36 %.1f 42 %.1fV2", 9 + deep * 0.5, 14 + deep, 9 + deep * 0.5), FULL);
        if (grade == 3) {
            d.path("M50 24L54 20L58 24", LINE);
        }
    }
}
