package io.causticon.web.shared.print;

import java.util.Objects;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/** Words of a drawing as outlines of our own typefaces, as a server has none of its own. */
final class LetterPaths {

    private static final double USUAL_SIZE = 13;
    private static final int BOLD_FROM = 600;

    /** So much of its size a bold letter is thicker. */
    private static final double BOLD = 0.035;

    private LetterPaths() {}

    /** Puts outlines in the place of all words. */
    static void replaceIn(Document svg) {
        for (Element text : svg.select("text")) {
            double size = number(text.attr("font-size"), USUAL_SIZE);
            Typeface face = text.attr("font-family").contains("Figures") ? Typeface.FIGURES : Typeface.TEXT;
            String words = text.text();
            double width = face.width(words, size);
            double left = number(text.attr("x"), 0)
                    - switch (text.attr("text-anchor")) {
                        case "middle" -> width / 2;
                        case "end" -> width;
                        default -> 0;
                    };
            String outline = face.outline(words, size, left, number(text.attr("y"), 0));
            Element letters = new Element("g");
            if (!text.attr("stroke").isEmpty() && text.attr("paint-order").contains("stroke")) {
                path(letters, outline, text.attr("stroke"), text.attr("stroke"), number(text.attr("stroke-width"), 0));
            }
            boolean bold = number(text.attr("font-weight"), 0) >= BOLD_FROM;
            path(letters, outline, text.attr("fill"), text.attr("fill"), bold ? size * BOLD : 0);
            if (!text.attr("opacity").isEmpty()) {
                letters.attr("opacity", text.attr("opacity"));
            }
            text.replaceWith(letters);
        }
    }

    private static void path(Element into, String outline, String fill, String stroke, double width) {
        Element path = into.appendElement("path").attr("d", outline).attr("fill", fill);
        if (width > 0) {
            path.attr("stroke", stroke)
                    .attr("stroke-width", Double.toString(width))
                    .attr("stroke-linejoin", "round");
        }
    }

    private static double number(String written, double otherwise) {
        String number = Objects.requireNonNull(written).replace("px", "").strip();
        return number.matches("-?\\d*\\.?\\d+") ? Double.parseDouble(number) : otherwise;
    }
}
