package io.causticon.web.places.plan;

import java.util.List;
import org.springframework.web.util.HtmlUtils;

/**
 * The choices of a long list as a page has them. A page has the same list in every row: it is written once, and each
 * row marks its own choice in it.
 *
 * @param html an option a choice
 */
record Options(String html) {

    static Options of(List<Choices.Choice> choices) {
        StringBuilder html = new StringBuilder();
        choices.forEach(c -> html.append("<option value=\"")
                .append(HtmlUtils.htmlEscape(c.value()))
                .append("\">")
                .append(HtmlUtils.htmlEscape(c.name()))
                .append("</option>"));
        return new Options(html.toString());
    }

    /** With one of them chosen; none where there is no such. */
    public String choosing(String value) {
        String at = "value=\"" + HtmlUtils.htmlEscape(value) + "\"";
        return value.isEmpty() ? html : html.replace(at, at + " selected");
    }
}
