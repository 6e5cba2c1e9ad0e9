package io.causticon.web.shared.print;

import java.awt.geom.AffineTransform;
import java.awt.geom.PathIterator;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.GlyphData;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/**
 * A typeface for paper and for pictures: the letters of the application itself, unpacked. What it has no letter for is
 * another face's, or a question mark.
 */
public enum Typeface {
    TEXT("text.ttf", "Atkinson Hyperlegible Next"),
    TEXT_EXTENDED("text-ext.ttf", "Atkinson Hyperlegible Next"),
    FIGURES("figures.ttf", "IBM Plex Mono");

    /** Numbers that each kind of segment has: begin, line, quadratic, cubic, close. */
    private static final int[] POINTS = {2, 2, 4, 6, 0};

    private static final double HUNDREDTHS = 100.0;

    private final String file;
    private final String family;
    private final TrueTypeFont font;
    private final CmapLookup letters;

    Typeface(String file, String family) {
        this.file = file;
        this.family = family;
        try (InputStream in = open()) {
            this.font = new TTFParser().parse(new RandomAccessReadBuffer(in));
            this.letters = font.getUnicodeCmapLookup();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public InputStream open() {
        InputStream in = Typeface.class.getResourceAsStream(file);
        if (in == null) {
            throw new IllegalStateException("Impossible state: " + file + " is not on the class path");
        }
        return in;
    }

    /** For style sheets. */
    public String family() {
        return family;
    }

    private boolean has(int letter) {
        return letters.getGlyphId(letter) > 0;
    }

    /** The face that has a letter: this one, the extended one, or none. */
    private Typeface of(int letter) {
        return has(letter) ? this : TEXT_EXTENDED.has(letter) ? TEXT_EXTENDED : this;
    }

    /** A stretch of words in one face. */
    public record Run(Typeface font, String text) {}

    /** Words as stretches that can be written: no line breaks, nothing that no face has. */
    public List<Run> runs(String text) {
        List<Run> runs = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        Typeface now = this;
        for (int letter : text.replaceAll("\\s+", " ").codePoints().toArray()) {
            Typeface with = of(letter);
            String shown = with.has(letter) ? Character.toString(letter) : "?";
            if (with != now && !run.isEmpty()) {
                runs.add(new Run(now, run.toString()));
                run = new StringBuilder();
            }
            now = with;
            run.append(shown);
        }
        if (!run.isEmpty()) {
            runs.add(new Run(now, run.toString()));
        }
        return runs;
    }

    /** In the unit of the size. */
    public double width(String text, double size) {
        return runs(text).stream()
                .mapToDouble(r -> r.font().plainWidth(r.text(), size))
                .sum();
    }

    public double plainWidth(String text, double size) {
        try {
            double units = 0;
            for (int letter : text.codePoints().toArray()) {
                units += font.getAdvanceWidth(letters.getGlyphId(letter));
            }
            return units * size / font.getUnitsPerEm();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The outline of words as the data of a path.
     *
     * @param size of the letters
     * @param x where they begin
     * @param y their baseline
     */
    public String outline(String text, double size, double x, double y) {
        StringBuilder path = new StringBuilder();
        double at = x;
        for (Run run : runs(text)) {
            for (int letter : run.text().codePoints().toArray()) {
                at += run.font().outline(letter, size, at, y, path);
            }
        }
        return path.toString();
    }

    /** One letter; how wide it is. */
    private double outline(int letter, double size, double x, double y, StringBuilder path) {
        try {
            double scale = size / font.getUnitsPerEm();
            int id = letters.getGlyphId(letter);
            GlyphData glyph = font.getGlyph().getGlyph(id);
            if (glyph != null) {
                AffineTransform place = new AffineTransform(scale, 0, 0, -scale, x, y);
                double[] to = new double[6];
                for (PathIterator i = glyph.getPath().getPathIterator(place); !i.isDone(); i.next()) {
                    int kind = i.currentSegment(to);
                    path.append("MLQCZ".charAt(kind));
                    for (int k = 0; k < POINTS[kind]; k++) {
                        path.append(' ').append(Math.round(to[k] * HUNDREDTHS) / HUNDREDTHS);
                    }
                }
            }
            return font.getAdvanceWidth(id) * scale;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
