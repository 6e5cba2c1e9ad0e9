package io.causticon.web.shared.print;

import com.github.weisj.jsvg.SVGDocument;
import com.github.weisj.jsvg.parser.LoaderContext;
import com.github.weisj.jsvg.parser.SVGLoader;
import com.github.weisj.jsvg.view.ViewBox;
import io.causticon.web.shared.Drawing;
import java.awt.Color;
import java.awt.Component;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import javax.imageio.ImageIO;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.Entities;
import org.jsoup.parser.Parser;

/**
 * A drawing as a file of its own: as it stands on its page by day, its colours and marks in it, on the page's ground.
 */
public final class DrawingFile {

    /** What a drawing can leave as. */
    public enum Kind {
        SVG("image/svg+xml"),
        PNG("image/png");

        private final String type;

        Kind(String type) {
            this.type = type;
        }

        /** Its media type. */
        public String type() {
            return type;
        }
    }

    private static final String GROUND = "#ecf1ed";
    private static final double MARGIN = 12;
    private static final int PIXELS_PER_UNIT = 2;
    private static final Map<String, String> MARKS = marks();

    private final Drawing drawing;

    private DrawingFile(Drawing drawing) {
        this.drawing = drawing;
    }

    /** Its bytes. */
    public static byte[] of(Drawing drawing, Kind kind) {
        DrawingFile file = new DrawingFile(drawing);
        Document svg = file.styled();
        return switch (kind) {
            case SVG -> svg.outerHtml().getBytes(StandardCharsets.UTF_8);
            case PNG -> file.png(svg);
        };
    }

    private static Map<String, String> marks() {
        try (InputStream in =
                Objects.requireNonNull(DrawingFile.class.getResourceAsStream("/templates/fragments/marks.html"))) {
            Map<String, String> marks = new HashMap<>();
            Document page = Jsoup.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8), "", Parser.xmlParser());
            page.select("symbol").forEach(s -> marks.put("#" + s.id(), s.html()));
            return Map.copyOf(marks);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Document styled() {
        Document svg = Jsoup.parse(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" class=\"drawing\">" + drawing.markup() + "</svg>",
                "",
                Parser.xmlParser());
        svg.outputSettings()
                .syntax(Document.OutputSettings.Syntax.xml)
                .escapeMode(Entities.EscapeMode.xhtml)
                .prettyPrint(false)
                .charset(StandardCharsets.UTF_8);
        Element root = Objects.requireNonNull(svg.selectFirst("svg"));
        // Links lead nowhere from a file.
        svg.select("a").unwrap();
        for (Element mark : svg.select("svg svg")) {
            Element group = new Element("g")
                    .attr("data-mark", "")
                    .addClass(mark.className())
                    .attr("transform", "translate(" + mark.attr("x") + " " + mark.attr("y") + ")");
            String inside = MARKS.getOrDefault(
                    Objects.requireNonNull(mark.selectFirst("use")).attr("href"), "");
            Jsoup.parse("<g>" + inside + "</g>", "", Parser.xmlParser())
                    .select("g")
                    .first()
                    .children()
                    .forEach(group::appendChild);
            mark.replaceWith(group);
        }
        DrawingStyle.writeInto(svg);
        double width = drawing.width() + 2 * MARGIN;
        double height = drawing.height() + 2 * MARGIN;
        String box = -MARGIN + " " + -MARGIN + " " + width + " " + height;
        root.attr("viewBox", box)
                .attr("width", Double.toString(width))
                .attr("height", Double.toString(height))
                .attr("role", "img");
        root.prependElement("rect")
                .attr("x", Double.toString(-MARGIN))
                .attr("y", Double.toString(-MARGIN))
                .attr("width", Double.toString(width))
                .attr("height", Double.toString(height))
                .attr("fill", GROUND);
        root.prependElement("title").text(drawing.label());
        return svg;
    }

    private byte[] png(Document svg) {
        LetterPaths.replaceIn(svg);
        Element root = Objects.requireNonNull(svg.selectFirst("svg"));
        int width = (int) Math.ceil(Double.parseDouble(root.attr("width")) * PIXELS_PER_UNIT);
        int height = (int) Math.ceil(Double.parseDouble(root.attr("height")) * PIXELS_PER_UNIT);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D canvas = image.createGraphics();
        try {
            canvas.setColor(Color.decode(GROUND));
            canvas.fillRect(0, 0, width, height);
            for (Map.Entry<RenderingHints.Key, Object> hint : List.of(
                    Map.entry(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON),
                    Map.entry(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE))) {
                canvas.setRenderingHint(hint.getKey(), hint.getValue());
            }
            SVGDocument document = Objects.requireNonNull(
                    new SVGLoader()
                            .load(
                                    new ByteArrayInputStream(svg.outerHtml().getBytes(StandardCharsets.UTF_8)),
                                    null,
                                    LoaderContext.createDefault()),
                    "Impossible state: a drawing of ours is no SVG");
            document.render((Component) null, canvas, new ViewBox(0, 0, width, height));
        } finally {
            canvas.dispose();
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }
}
