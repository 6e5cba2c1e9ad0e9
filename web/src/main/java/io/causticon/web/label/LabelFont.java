package io.causticon.web.label;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.fontbox.ttf.CmapLookup;
import org.apache.fontbox.ttf.TTFParser;
import org.apache.fontbox.ttf.TrueTypeFont;
import org.apache.pdfbox.io.RandomAccessReadBuffer;

/** A typeface for paper: the letters of the application itself, unpacked. What it has no letter for is another face's, or a question mark. */
public enum LabelFont {
    TEXT("text.ttf", "Atkinson Hyperlegible Next"),
    TEXT_EXTENDED("text-ext.ttf", "Atkinson Hyperlegible Next"),
    FIGURES("figures.ttf", "IBM Plex Mono");

    private final String file;
    private final String family;
    private final TrueTypeFont font;
    private final CmapLookup letters;

    LabelFont(String file, String family) {
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
        InputStream in = LabelFont.class.getResourceAsStream(file);
        if (in == null) {
            throw new IllegalStateException("Impossible state: " + file + " is not on the class path");
        }
        return in;
    }

    /** For style sheets. */
    String family() {
        return family;
    }

    private boolean has(int letter) {
        return letters.getGlyphId(letter) > 0;
    }

    /** The face that has a letter: this one, the extended one, or none. */
    private LabelFont of(int letter) {
        return has(letter) ? this : TEXT_EXTENDED.has(letter) ? TEXT_EXTENDED : this;
    }

    /** A stretch of words in one face. */
    public record Run(LabelFont font, String text) {}

    /** Words as stretches that can be written: no line breaks, nothing that no face has. */
    public List<Run> runs(String text) {
        List<Run> runs = new ArrayList<>();
        StringBuilder run = new StringBuilder();
        LabelFont now = this;
        for (int letter : text.replaceAll("\\s+", " ").codePoints().toArray()) {
            LabelFont with = of(letter);
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
        return runs(text).stream().mapToDouble(r -> r.font().plainWidth(r.text(), size)).sum();
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
}
