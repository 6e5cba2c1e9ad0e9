package io.causticon.web.exchange.label;

import io.causticon.web.shared.QrCode;
import io.causticon.web.shared.print.Typeface;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** Puts labels on paper. */
final class LabelPrint {

    private static final double POINTS_PER_MM = 72 / 25.4;
    private static final double NO_MARGIN = 1e-3;

    private LabelPrint() {}

    /**
     * Sheets with the labels one after another.
     *
     * @param first place on the first sheet, from 0: what is gone from it stays free
     */
    static byte[] pdf(List<LabelArt> labels, LabelSheet sheet, int first, String title) {
        try (PDDocument document = new PDDocument();
                ByteArrayOutputStream out = new ByteArrayOutputStream()) {
            document.getDocumentInformation().setTitle(title);
            Map<Typeface, PDFont> fonts = fonts(document);
            PDPageContentStream page = null;
            for (int i = 0; i < labels.size(); i++) {
                int place = first + i;
                if (page == null || place % sheet.count() == 0) {
                    if (page != null) {
                        page.close();
                    }
                    PDPage paper = new PDPage(new PDRectangle(
                            (float) (sheet.pageWidth() * POINTS_PER_MM), (float) (sheet.pageHeight() * POINTS_PER_MM)));
                    document.addPage(paper);
                    page = new PDPageContentStream(document, paper);
                }
                write(labels.get(i), sheet.x(place), sheet.y(place), sheet.pageHeight(), page, fonts);
            }
            if (page != null) {
                page.close();
            }
            document.save(out);
            return out.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<Typeface, PDFont> fonts(PDDocument document) throws IOException {
        Map<Typeface, PDFont> fonts = new EnumMap<>(Typeface.class);
        for (Typeface font : Typeface.values()) {
            try (InputStream in = font.open()) {
                fonts.put(font, PDType0Font.load(document, in, true));
            }
        }
        return fonts;
    }

    private static float points(double millimetres) {
        return (float) (millimetres * POINTS_PER_MM);
    }

    private static void write(
            LabelArt art, double x, double y, double pageHeight, PDPageContentStream page, Map<Typeface, PDFont> fonts)
            throws IOException {
        for (LabelArt.Piece piece : art.pieces()) {
            if (piece instanceof LabelArt.Words words) {
                double at = x + words.x();
                for (Typeface.Run run : words.font().runs(words.text())) {
                    page.beginText();
                    page.setFont(fonts.get(run.font()), points(words.size()));
                    page.newLineAtOffset(points(at), points(pageHeight - y - words.y()));
                    page.showText(run.text());
                    page.endText();
                    at += run.font().plainWidth(run.text(), words.size());
                }
            } else if (piece instanceof LabelArt.Box box) {
                page.setLineWidth(points(box.line()));
                page.addRect(
                        points(x + box.x()),
                        points(pageHeight - y - box.y() - box.height()),
                        points(box.width()),
                        points(box.height()));
                page.stroke();
            } else if (piece instanceof LabelArt.Code code) {
                write(code, x, y, pageHeight, page);
            }
        }
    }

    private static void write(LabelArt.Code code, double x, double y, double pageHeight, PDPageContentStream page)
            throws IOException {
        QrCode qr = code.code();
        double square = code.side() / qr.size();
        for (int row = 0; row < qr.size(); row++) {
            for (int column = 0; column < qr.size(); column++) {
                if (qr.isDark(column, row)) {
                    page.addRect(
                            points(x + code.x() + column * square),
                            points(pageHeight - y - code.y() - (row + 1) * square),
                            points(square),
                            points(square));
                }
            }
        }
        page.fill();
    }

    /** One label as a drawing of its true size. */
    static String svg(LabelArt art) {
        StringBuilder svg = new StringBuilder(4000);
        svg.append(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%smm\" height=\"%smm\" viewBox=\"0 0 %s %s\""
                        + " role=\"img\" aria-label=\"Label\"><rect width=\"100%%\" height=\"100%%\" fill=\"#fff\"/>",
                mm(art.width()),
                mm(art.height()),
                mm(art.width()),
                mm(art.height())));
        art.pieces().forEach(p -> svg.append(svg(p)));
        return svg.append("</svg>").toString();
    }

    private static String svg(LabelArt.Piece piece) {
        if (piece instanceof LabelArt.Words w) {
            return "<text xml:space=\"preserve\" x=\"" + mm(w.x()) + "\" y=\"" + mm(w.y()) + "\" font-size=\""
                    + mm(w.size()) + "\" class=\"" + (w.font() == Typeface.FIGURES ? "figures" : "words")
                    + "\" font-family=\"'" + w.font().family()
                    + "', sans-serif\" fill=\"#000\" textLength=\""
                    + mm(Math.max(NO_MARGIN, w.font().width(w.text(), w.size())))
                    + "\" lengthAdjust=\"spacingAndGlyphs\">"
                    + escaped(w.text()) + "</text>";
        }
        if (piece instanceof LabelArt.Box b) {
            return "<rect x=\"" + mm(b.x()) + "\" y=\"" + mm(b.y()) + "\" width=\"" + mm(b.width()) + "\" height=\""
                    + mm(b.height()) + "\" fill=\"none\" stroke=\"#000\" stroke-width=\"" + mm(b.line()) + "\"/>";
        }
        LabelArt.Code c = (LabelArt.Code) piece;
        double square = c.side() / c.code().size();
        return "<path transform=\"translate(" + mm(c.x()) + " " + mm(c.y()) + ") scale("
                + String.format(Locale.ROOT, "%.5f", square) + ")\" fill=\"#000\" d=\""
                + c.code().path() + "\"/>";
    }

    private static String mm(double millimetres) {
        return String.format(Locale.ROOT, "%.3f", millimetres).replaceAll("\\.?0+$", "");
    }

    private static String escaped(String text) {
        StringBuilder safe = new StringBuilder();
        text.codePoints().forEach(c -> {
            switch (c) {
                case '<' -> safe.append("&lt;");
                case '>' -> safe.append("&gt;");
                case '&' -> safe.append("&amp;");
                case '"' -> safe.append("&quot;");
                // What no XML may hold.
                default ->
                    safe.appendCodePoint(c < ' ' || c >= 0xD800 && c <= 0xDFFF || c == 0xFFFE || c == 0xFFFF ? '?' : c);
            }
        });
        return safe.toString();
    }
}
