package io.causticon.web.exchange.label;

import io.causticon.web.shared.QrCode;
import io.causticon.web.shared.print.Typeface;
import java.util.ArrayList;
import java.util.List;

/**
 * One label as it is printed, in millimetres from its upper left corner.
 *
 * @param width of it
 * @param height of it
 * @param pieces what stands on it
 * @param leftOut whether words did not fit; the label tells then where to read on
 */
record LabelArt(double width, double height, List<Piece> pieces, boolean leftOut) {

    LabelArt {
        pieces = List.copyOf(pieces);
    }

    /** Something on it. */
    sealed interface Piece {}

    /** Words on one line; x is their left end, y their baseline, size the height of the letters' body. */
    record Words(double x, double y, double size, Typeface font, String text) implements Piece {}

    /** A frame. */
    record Box(double x, double y, double width, double height, double line) implements Piece {}

    /** A code, square. */
    record Code(double x, double y, double side, QrCode code) implements Piece {}

    /** Puts lines under one another and knows how much room is left. */
    static final class Writer {

        private static final double LEADING = 1.18;

        private final List<Piece> pieces = new ArrayList<>();
        private final double width;
        private final double height;
        private final double margin;
        private double y;
        private double until;
        private boolean leftOut;

        Writer(double width, double height, double margin) {
            this.width = width;
            this.height = height;
            this.margin = margin;
            this.y = margin;
            this.until = width - margin;
        }

        double y() {
            return y;
        }

        /** Lines end before this, for what stands at the right. */
        void narrow(double right) {
            until = right;
        }

        /** A line that is made smaller, down to 60 %, and then cut, until it fits. */
        void line(String text, double size, Typeface font) {
            double room = until - margin;
            double wide = font.width(text, size);
            double fitted = wide <= room ? size : Math.max(0.6 * size, size * room / wide);
            put(cut(text, fitted, font, room), fitted, font);
        }

        /** Words over as many lines as there is room for. */
        void paragraph(String text, double size, Typeface font, double bottom) {
            List<String> lines = wrapped(text, size, font);
            for (int i = 0; i < lines.size(); i++) {
                boolean last = y + 2 * size * LEADING > bottom;
                if (y + size * LEADING > bottom + 1e-6) {
                    leftOut = true;
                    return;
                }
                boolean more = i + 1 < lines.size();
                put(
                        last && more ? cut(lines.get(i) + " \u2026", size, font, until - margin) : lines.get(i),
                        size,
                        font);
                if (last && more) {
                    leftOut = true;
                    return;
                }
            }
        }

        /** How many lines these words take. */
        double heightOf(String text, double size, Typeface font) {
            return wrapped(text, size, font).size() * size * LEADING;
        }

        private List<String> wrapped(String text, double size, Typeface font) {
            List<String> lines = new ArrayList<>();
            StringBuilder line = new StringBuilder();
            for (String word : text.split(" ")) {
                String longer = line.isEmpty() ? word : line + " " + word;
                if (!line.isEmpty() && font.width(longer, size) > until - margin) {
                    lines.add(line.toString());
                    line = new StringBuilder(word);
                } else {
                    line = new StringBuilder(longer);
                }
            }
            lines.add(line.toString());
            return lines;
        }

        private static String cut(String text, double size, Typeface font, double room) {
            String shown = text;
            while (shown.length() > 1 && font.width(shown, size) > room) {
                shown = shown.substring(0, shown.length() - 2).stripTrailing() + "\u2026";
            }
            return shown;
        }

        private void put(String text, double size, Typeface font) {
            pieces.add(new Words(margin, y + 0.8 * size, size, font, text));
            y += size * LEADING;
        }

        void gap(double millimetres) {
            y += millimetres;
        }

        void add(Piece piece) {
            pieces.add(piece);
        }

        LabelArt done() {
            return new LabelArt(width, height, pieces, leftOut);
        }
    }
}
