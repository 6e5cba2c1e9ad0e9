package io.causticon.web.shared;

import org.springframework.web.util.HtmlUtils;

/**
 * Writes the shapes of a drawing as SVG. A drawing has some hundred shapes, and a template takes longer over each than
 * all of them take here. Words are escaped; style names and coordinates are our own.
 */
final class SvgPainter {

    private final StringBuilder svg = new StringBuilder();

    private SvgPainter() {}

    static String paint(Drawing drawing) {
        SvgPainter painter = new SvgPainter();
        drawing.shapes().forEach(painter::shape);
        return painter.svg.toString();
    }

    private void shape(Drawing.Shape s) {
        switch (s.kind()) {
            case "path" -> open("path", s.style()).attribute("d", s.data()).end();
            case "rect" ->
                open("rect", s.style())
                        .attribute("x", s.x())
                        .attribute("y", s.y())
                        .attribute("width", s.w())
                        .attribute("height", s.h())
                        .end();
            case "mark" -> mark(s);
            case "text" -> text(s);
            default -> throw new IllegalStateException("Impossible state: a shape of kind " + s.kind());
        }
    }

    private void mark(Drawing.Shape s) {
        open("svg", s.style()).attribute("x", s.x()).attribute("y", s.y());
        svg.append(" width=\"1\" height=\"1\" overflow=\"visible\"><use href=\"#")
                .append(s.data())
                .append("\" x=\"-9\" y=\"-9\" width=\"18\" height=\"18\"/></svg>");
    }

    private void text(Drawing.Shape s) {
        if (s.href() != null) {
            svg.append("<a href=\"").append(HtmlUtils.htmlEscape(s.href())).append("\">");
        }
        open("text", s.style()).attribute("x", s.x()).attribute("y", s.y()).attribute("text-anchor", s.anchor());
        svg.append('>').append(HtmlUtils.htmlEscape(s.data())).append("</text>");
        if (s.href() != null) {
            svg.append("</a>");
        }
    }

    private SvgPainter open(String element, String style) {
        svg.append('<').append(element);
        return attribute("class", style);
    }

    private SvgPainter attribute(String name, String value) {
        svg.append(' ').append(name).append("=\"").append(value).append('"');
        return this;
    }

    private void end() {
        svg.append("/>");
    }
}
