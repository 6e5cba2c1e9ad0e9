package io.causticon.web.shared.print;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;

/**
 * The style sheet of what is drawn, written into each shape: a drawing then needs no style sheet, and every program
 * that knows SVG shows it alike. The sheet is flat and names no colour by a variable but those that are set within a
 * drawing.
 */
final class DrawingStyle {

    /** What SVG takes as an attribute, of what the sheet says. */
    private static final List<String> ATTRIBUTES = List.of(
            "color",
            "fill",
            "stroke",
            "stroke-width",
            "stroke-dasharray",
            "stroke-linecap",
            "stroke-linejoin",
            "opacity",
            "font-family",
            "font-size",
            "font-weight",
            "font-style",
            "paint-order");

    private static final Pattern RULE = Pattern.compile("([^{}]+)\\{([^{}]*)\\}");
    private static final Pattern VARIABLE = Pattern.compile("var\\((--[a-z-]+)\\)");
    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/");

    private static final List<Rule> RULES = read();

    private record Rule(String selector, int weight, Map<String, String> says) {}

    private DrawingStyle() {}

    private static List<Rule> read() {
        try (InputStream in = Objects.requireNonNull(DrawingStyle.class.getResourceAsStream("drawing.css"))) {
            String sheet = COMMENT.matcher(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .replaceAll("");
            List<Rule> rules = new ArrayList<>();
            for (Matcher rule = RULE.matcher(sheet); rule.find(); ) {
                Map<String, String> says = declarations(rule.group(2));
                Stream.of(rule.group(1).split(","))
                        .map(String::strip)
                        // What a hand does to it.
                        .filter(s -> !s.contains(":"))
                        .forEach(s -> rules.add(new Rule(s, weight(s), says)));
            }
            // The heavier says more; of two alike, the later: the sort keeps their order.
            rules.sort(Comparator.comparingInt(Rule::weight));
            return List.copyOf(rules);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Map<String, String> declarations(String block) {
        Map<String, String> says = new LinkedHashMap<>();
        for (String one : block.split(";")) {
            int colon = one.indexOf(':', one.strip().startsWith("--") ? one.indexOf("--") + 2 : 0);
            if (colon > 0) {
                says.put(
                        one.substring(0, colon).strip(),
                        one.substring(colon + 1).strip());
            }
        }
        return says;
    }

    /** A class counts as much as ten names of elements. */
    private static int weight(String selector) {
        int classes = (int) selector.chars().filter(c -> c == '.').count();
        int elements = (int) Stream.of(selector.split("\\s+"))
                .filter(p -> !p.startsWith("."))
                .count();
        return classes * 10 + elements;
    }

    /**
     * Writes it into the shapes of a drawing. What is in a mark ({@code data-mark}) has its own looks, and takes its
     * colours from the mark.
     */
    static void writeInto(Document svg) {
        Map<Element, Map<String, String>> said = new LinkedHashMap<>();
        for (Rule rule : RULES) {
            svg.select(rule.selector()).stream()
                    .filter(s -> !s.parents().hasAttr("data-mark"))
                    .forEach(s ->
                            said.computeIfAbsent(s, n -> new LinkedHashMap<>()).putAll(rule.says()));
        }
        said.forEach((shape, says) -> ATTRIBUTES.stream()
                .filter(says::containsKey)
                .forEach(a -> shape.attr(a, resolved(says.get(a), shape, said))));
        for (Element shape : svg.select("*")) {
            for (String colour : List.of("fill", "stroke")) {
                String value = shape.attr(colour);
                if (value.equalsIgnoreCase("currentcolor")) {
                    shape.attr(colour, inherited("color", shape, said));
                } else if (value.contains("var(")) {
                    shape.attr(colour, resolved(value, shape, said));
                }
            }
        }
        svg.select("[class]").removeAttr("class");
        svg.select("[data-mark]").removeAttr("data-mark");
    }

    private static String resolved(String value, Element at, Map<Element, Map<String, String>> said) {
        Matcher variable = VARIABLE.matcher(value);
        return variable.find()
                ? variable.replaceAll(v -> Matcher.quoteReplacement(inherited(v.group(1), at, said)))
                : value;
    }

    /** What it or the nearest around it says; black where nothing does. */
    private static String inherited(String name, Element at, Map<Element, Map<String, String>> said) {
        for (Element e = at; e != null; e = e.parent()) {
            String value = said.getOrDefault(e, Map.of()).get(name);
            if (value != null && !value.contains("var(")) {
                return value;
            }
        }
        return "#10251f";
    }
}
