package io.causticon.web.places.casebook;

import io.causticon.core.science.diagnosis.Ledger;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LabelRows;
import java.util.List;

/** Lays out a ledger: one bar a line from the middle, to the right for, to the left against, as long as it weighs. */
public final class LedgerLayout {

    private static final double WIDTH = 640;
    private static final double MIDDLE = 318;
    private static final double ROW = 25;
    private static final double BAR = 15;
    private static final double LONGEST = 190;
    private static final double LEAST_SCALE = 14;
    private static final double SMALL = 0.35;
    private static final double CLEARLY = 3;
    private static final double STRONGLY = 10;

    private LedgerLayout() {}

    /** The lines that are long enough to see, and those that are shown because they do not count. */
    static List<Ledger.Line> shown(Ledger ledger) {
        return ledger.lines().stream()
                .filter(l -> Math.abs(l.weight().decibans()) >= SMALL
                        || l.kind() == Ledger.Kind.DOES_NOT_CLEAR && l.isExplained())
                .sorted((a, b) ->
                        Double.compare(b.weight().decibans(), a.weight().decibans()))
                .toList();
    }

    /** Its picture. */
    public static Drawing draw(String condition, Ledger ledger, Formats formats) {
        List<Ledger.Line> lines = shown(ledger);
        double height = lines.size() * ROW + 8;
        Drawing.Builder drawing = Drawing.sized(WIDTH, height, "For and against " + condition);
        double most = lines.stream()
                .mapToDouble(l -> Math.abs(l.weight().decibans()))
                .max()
                .orElse(1);
        double scale = LONGEST / Math.max(most, LEAST_SCALE);
        drawing.line(MIDDLE, 0, MIDDLE, height, "axis");
        for (int i = 0; i < lines.size(); i++) {
            row(drawing, lines.get(i), formats.phrase(lines.get(i).words()), 5 + i * ROW, scale);
        }
        return drawing.done();
    }

    private static void row(Drawing.Builder drawing, Ledger.Line line, String words, double y, double scale) {
        double weight = line.weight().decibans();
        double length = Math.abs(weight) * scale;
        String strength = strength(weight);
        if (line.kind() == Ledger.Kind.DOES_NOT_CLEAR) {
            drawing.mark("open", MIDDLE, y + BAR / 2)
                    .text(MIDDLE + 12, y + 12, words + ": does not clear it", "words quiet");
        } else if (weight > 0) {
            drawing.rect(MIDDLE, y, length, BAR, "for")
                    .textEnd(MIDDLE - 10, y + 12, fit(words, MIDDLE - 14), "words")
                    .text(MIDDLE + length + 7, y + 12, strength, "strength");
        } else {
            drawing.rect(MIDDLE - length + 0.75, y + 0.75, length - 1.5, BAR - 1.5, "against")
                    .text(MIDDLE + 10, y + 12, fit(words, WIDTH - MIDDLE - 14), "words")
                    .textEnd(MIDDLE - length - 7, y + 12, strength, "strength");
        }
    }

    /**
     * How heavy a line is, in words. Two decibans make something half as likely again, ten make it ten times as likely.
     *
     * @param decibans below nothing where it speaks against
     */
    static String strength(double decibans) {
        double weight = Math.abs(decibans);
        return weight < CLEARLY ? "a little" : weight < STRONGLY ? "clearly" : "strongly";
    }

    /** Cuts words that would run out of the drawing; the table below it has them whole. */
    private static String fit(String words, double room) {
        int letters = (int) (words.length() * room / Math.max(room, LabelRows.widthOf(words)));
        return letters >= words.length() ? words : words.substring(0, Math.max(1, letters - 1)) + "\u2026";
    }
}
