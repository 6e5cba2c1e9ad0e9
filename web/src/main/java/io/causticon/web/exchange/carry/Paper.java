package io.causticon.web.exchange.carry;

import io.causticon.web.shared.print.Typeface;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** Sheets of A4 that are written from top to bottom, in points; a sheet that is full is followed by the next. */
final class Paper implements AutoCloseable {

    static final double WIDTH = 595;
    private static final double HEIGHT = 842;
    static final double MARGIN = 51;
    private static final double FOOT = 60;
    private static final double BODY = 9.6;
    private static final double LEADING = 1.35;
    static final Color INK = new Color(0x10, 0x25, 0x1f);
    static final Color QUIET = new Color(0x56, 0x69, 0x60);
    static final Color HAZARD = new Color(0xb9, 0x2e, 0x12);

    private final PDDocument document = new PDDocument();
    private final Map<Typeface, PDFont> fonts = new EnumMap<>(Typeface.class);
    private final String foot;
    private PDPageContentStream page;
    private double y;

    Paper(String title, String foot) {
        this.foot = foot;
        document.getDocumentInformation().setTitle(title);
        try {
            for (Typeface font : Typeface.values()) {
                try (InputStream in = font.open()) {
                    fonts.put(font, PDType0Font.load(document, in, true));
                }
            }
            this.page = sheet();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private PDPageContentStream sheet() throws IOException {
        PDPage paper = new PDPage(PDRectangle.A4);
        document.addPage(paper);
        y = HEIGHT - MARGIN;
        return new PDPageContentStream(document, paper);
    }

    /** Goes to the next sheet where so much has no room. */
    void room(double height) {
        if (y - height < FOOT) {
            try {
                page.close();
                page = sheet();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    void title(String words) {
        write(words, MARGIN, 20, INK, Typeface.TEXT, WIDTH - 2 * MARGIN);
    }

    void heading(String words) {
        room(60);
        y -= 10;
        rule();
        write(words, MARGIN, 13, INK, Typeface.TEXT, WIDTH - 2 * MARGIN);
        y -= 2;
    }

    void words(String words) {
        write(words, MARGIN, BODY, INK, Typeface.TEXT, WIDTH - 2 * MARGIN);
    }

    void words(String words, Color colour, double indent) {
        write(words, MARGIN + indent, BODY, colour, Typeface.TEXT, WIDTH - 2 * MARGIN - indent);
    }

    /** What stands at the left of a line, and beside it what is said. */
    void row(String left, String right, double wide) {
        room(BODY * LEADING);
        double before = y;
        put(left, MARGIN, y - BODY, BODY, QUIET, Typeface.TEXT);
        y = before;
        write(right, MARGIN + wide, BODY, INK, Typeface.TEXT, WIDTH - 2 * MARGIN - wide);
    }

    private void write(String words, double x, double size, Color colour, Typeface font, double width) {
        for (String line : lines(words, size, font, width)) {
            room(size * LEADING);
            put(line, x, y - size, size, colour, font);
            y -= size * LEADING;
        }
    }

    /** Words broken into lines; a word that is longer than a line is cut. */
    private static List<String> lines(String words, double size, Typeface font, double width) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : words.strip().split("\\s+")) {
            String rest = word;
            while (font.width(rest, size) > width && rest.length() > 1) {
                int cut = rest.length() - 1;
                while (cut > 1 && font.width(rest.substring(0, cut), size) > width) {
                    cut--;
                }
                if (!line.isEmpty()) {
                    lines.add(line.toString());
                    line.setLength(0);
                }
                lines.add(rest.substring(0, cut));
                rest = rest.substring(cut);
            }
            if (!line.isEmpty() && font.width(line + " " + rest, size) > width) {
                lines.add(line.toString());
                line.setLength(0);
            }
            line.append(line.isEmpty() ? "" : " ").append(rest);
        }
        lines.add(line.toString());
        return lines;
    }

    /** Words at a place of this sheet, counted from its lower left corner. */
    void put(String words, double x, double baseline, double size, Color colour, Typeface font) {
        try {
            double at = x;
            for (Typeface.Run run : font.runs(words)) {
                page.beginText();
                page.setNonStrokingColor(colour);
                page.setFont(fonts.get(run.font()), (float) size);
                page.newLineAtOffset((float) at, (float) baseline);
                page.showText(run.text());
                page.endText();
                at += run.font().plainWidth(run.text(), size);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void put(String words, double x, double baseline, double size, Color colour) {
        put(words, x, baseline, size, colour, Typeface.TEXT);
    }

    private void rule() {
        line(List.of(MARGIN, y, WIDTH - MARGIN, y), QUIET, 0.6);
        y -= 6;
    }

    /** A line through points, x and y in turn, from the lower left corner. */
    void line(List<Double> points, Color colour, double width) {
        if (points.size() < 4) {
            return;
        }
        try {
            page.setStrokingColor(colour);
            page.setLineWidth((float) width);
            page.moveTo(points.get(0).floatValue(), points.get(1).floatValue());
            for (int i = 2; i + 1 < points.size(); i += 2) {
                page.lineTo(points.get(i).floatValue(), points.get(i + 1).floatValue());
            }
            page.stroke();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** A small square round a point. */
    void dot(double x, double at, Color colour) {
        try {
            page.setNonStrokingColor(colour);
            page.addRect((float) (x - 1.6), (float) (at - 1.6), 3.2f, 3.2f);
            page.fill();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Room for a drawing of this height.
     *
     * @return the y of its lower edge
     */
    double drawing(double height) {
        room(height + 8);
        y -= height + 8;
        return y;
    }

    /** Pictures beside one another with words under each. */
    void pictures(List<byte[]> jpegs, List<String> words) {
        double gap = 14;
        double width = (WIDTH - 2 * MARGIN - gap) / 2;
        for (int i = 0; i < jpegs.size(); i += 2) {
            double tallest = 0;
            try {
                List<PDImageXObject> images = new ArrayList<>();
                for (int k = i; k < Math.min(i + 2, jpegs.size()); k++) {
                    PDImageXObject image = PDImageXObject.createFromByteArray(document, jpegs.get(k), "picture");
                    images.add(image);
                    tallest = Math.max(tallest, width * image.getHeight() / image.getWidth());
                }
                double height = Math.min(tallest, 260);
                double low = drawing(height + 16);
                for (int k = 0; k < images.size(); k++) {
                    PDImageXObject image = images.get(k);
                    double scale = Math.min(width / image.getWidth(), height / image.getHeight());
                    double x = MARGIN + k * (width + gap);
                    page.drawImage(
                            image,
                            (float) x,
                            (float) (low + 16 + height - image.getHeight() * scale),
                            (float) (image.getWidth() * scale),
                            (float) (image.getHeight() * scale));
                    List<String> lines = lines(words.get(i + k), 8, Typeface.TEXT, width);
                    put(lines.get(0), x, low + 5, 8, QUIET);
                }
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** All sheets, with their numbers. */
    byte[] done() {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            page.close();
            int count = document.getNumberOfPages();
            for (int i = 0; i < count; i++) {
                page = new PDPageContentStream(
                        document, document.getPage(i), PDPageContentStream.AppendMode.APPEND, true, true);
                put(foot, MARGIN, 34, 8, QUIET);
                put("sheet " + (i + 1) + " of " + count, WIDTH - MARGIN - 60, 34, 8, QUIET);
                page.close();
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        try {
            document.close();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
