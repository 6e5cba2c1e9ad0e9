package io.causticon.web.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jsoup.Connection;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;

/**
 * Somebody who follows every link and presses every button of every page that she comes to, as they stand, without a
 * script. What differs only in the ids of its address is pressed once for each kind of page, of what differs in the
 * finding alone four; every address is opened once, and of one kind at most so many.
 */
public final class Crawler {

    private static final String ID = "[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}";
    private static final int MOST = 3000;
    private static final int MOST_OF_A_KIND = 13;
    private static final int MOST_ALIKE = 4;
    private static final int FEW = 3;

    private final String address;
    private int mostOfAKind = MOST_OF_A_KIND;
    private int mostInAll = MOST;
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private final Deque<String> open = new ArrayDeque<>();
    private final Set<String> seen = new HashSet<>();
    private final Map<String, Integer> kinds = new HashMap<>();
    private final Map<String, Integer> alike = new HashMap<>();
    private final Set<String> pressed = new HashSet<>();
    private final Set<String> notSentTo = new HashSet<>();
    private final List<String> faults = new ArrayList<>();
    private final List<String> followed = new ArrayList<>();
    private final Map<String, String> pages = new LinkedHashMap<>();
    private final Map<String, Answer> answers = new LinkedHashMap<>();
    private boolean pressing = true;
    private boolean mistyping;

    /** What a button gave back without leading on: the page again, with what was typed. */
    public record Answer(String button, String path, String html) {}

    public Crawler(String address) {
        this.address = address;
    }

    /** What answered with 400 or more, and where it stood. */
    public List<String> faults() {
        return faults;
    }

    /** Everything that was opened or pressed. */
    public List<String> followed() {
        return followed;
    }

    /** One page of each kind that was opened. */
    public Collection<String> pages() {
        return pages.values();
    }

    /** Answers that tell of mistakes, a few of each place. */
    public Collection<Answer> answers() {
        return answers.values();
    }

    /** Writes into every field for a number what is none, before it presses a button. */
    public Crawler mistyping() {
        mistyping = true;
        return this;
    }

    /** Looks and asks, and changes nothing. */
    public Crawler onlyLooking() {
        pressing = false;
        return this;
    }

    /** Opens no more than so many pages of a kind. */
    public Crawler atMost(int ofAKind) {
        mostOfAKind = ofAKind;
        return this;
    }

    /** Opens and presses no more than so many. */
    public Crawler atMostInAll(int many) {
        mostInAll = many;
        return this;
    }

    /** Does not send forms there. */
    public Crawler without(String... targets) {
        notSentTo.addAll(List.of(targets));
        return this;
    }

    public Crawler signIn(String name) {
        String token =
                Jsoup.parse(get("/sign-in").body()).select("input[name=_csrf]").val();
        send(post("/sign-in", Map.of("name", name, "password", "lye-into-water", "_csrf", token)));
        return this;
    }

    /** Opens pages and all that they lead to. */
    public Crawler crawl(String... from) {
        open.addAll(List.of(from));
        while (!open.isEmpty() && followed.size() < mostInAll) {
            String path = open.poll();
            if (seen.add(path)
                    && kinds.merge(family(path), 1, Integer::sum) <= (path.contains("?") ? FEW : mostOfAKind)) {
                follow(
                        "GET " + path,
                        path,
                        "typed",
                        HttpRequest.newBuilder(URI.create(address + path)).GET());
            }
        }
        return this;
    }

    /** The path of a page with its ids taken out. */
    public static String kind(String path) {
        return path.replaceAll(ID, "{id}").replaceAll("(at|rescue|condition)=[^&]*", "$1={}");
    }

    /** Pages that differ only in what is looked for or was touched on them. */
    public static String family(String path) {
        return kind(path).replaceAll("(where|find|finding|presence)=[^&]*", "$1={}");
    }

    private void follow(String what, String path, String from, HttpRequest.Builder request) {
        HttpResponse<String> answer = send(request);
        followed.add(what);
        if (answer.statusCode() >= 400) {
            faults.add(answer.statusCode() + " " + what + ", from " + from);
            return;
        }
        String next = answer.headers().firstValue("Location").orElse("");
        if (!next.isEmpty()) {
            enqueue(next);
            return;
        }
        boolean page = answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html");
        // What a button leads to without leading on is the same page again, with what was typed: a few of them are
        // looked at.
        boolean again = !what.startsWith("GET");
        if (page && !again) {
            pages.putIfAbsent(family(path), path);
        } else if (page) {
            keep(what, path, answer.body());
        }
        if (page && (!again || !mistyping && alike.merge("again " + kind(path), 1, Integer::sum) <= FEW)) {
            look(Jsoup.parse(answer.body(), address + path), path, again ? "again" : kind(path));
        }
    }

    /** Keeps an answer that tells of mistakes, of the same mistakes once, and of one place few. */
    private void keep(String what, String path, String html) {
        Document page = Jsoup.parse(html);
        Set<String> told =
                new TreeSet<>(page.select("span.field-problem, .problem").eachText());
        String place = path.replaceAll("^/(\\w+).*", "$1");
        if (!told.isEmpty()
                && !answers.containsKey(place + told)
                && alike.merge("told at " + place, 1, Integer::sum) <= FEW) {
            answers.put(place + told, new Answer(what, path, html));
        }
    }

    private void look(Document page, String path, String kind) {
        page.select("a[href]:not([href^=#]), image[href], img[src], link[href], script[src]")
                .forEach(e -> {
                    enqueue(e.absUrl(e.hasAttr("href") ? "href" : "src"));
                });
        for (FormElement form : page.select("form:not([method=dialog])").forms()) {
            List<Element> buttons = form.select("button:not([type=button]):not([disabled]), input[type=submit]");
            for (Element button : buttons) {
                press(form, button, path, kind);
            }
            if (form.select("button").isEmpty()) {
                press(form, new Element("button"), path, kind);
            }
        }
    }

    private void press(FormElement form, Element button, String path, String kind) {
        String action = button.hasAttr("formaction") ? button.absUrl("formaction") : form.absUrl("action");
        String target = local(action.isEmpty() ? address + path : action);
        boolean asks = form.attr("method").equalsIgnoreCase("get");
        if (target == null || target.contains("sign-out") || notSentTo.contains(target) || !(pressing || asks)) {
            return;
        }
        String what = form.attr("method").toUpperCase(java.util.Locale.ROOT) + " " + kind(target) + " \u201c"
                + button.text() + "\u201d " + button.attr("name") + "="
                + kind(button.val()).replaceAll("\\d+", "#");
        String family = kind + " " + kind(target).replaceAll("finding=[^&]*", "finding={}") + " " + button.attr("name");
        boolean enough = alike.merge(family, 1, Integer::sum) > (mistyping ? 1 : MOST_ALIKE);
        if (enough || !pressed.add(kind + " " + what)) {
            return;
        }
        // Gathered only of what is pressed: it costs more than all else here.
        Map<String, List<String>> fields = new LinkedHashMap<>();
        for (Connection.KeyVal field : form.formData()) {
            fields.computeIfAbsent(field.key(), k -> new ArrayList<>()).add(typed(form, field));
        }
        if (button.hasAttr("name")) {
            fields.computeIfAbsent(button.attr("name"), k -> new ArrayList<>()).add(button.val());
        }
        if (asks) {
            enqueue(address + target + (target.contains("?") ? "&" : "?") + encoded(fields));
        } else if (form.attr("enctype").equals("multipart/form-data")) {
            follow(what, target, path, multipart(target, fields, form));
        } else {
            follow(what, target, path, post(target, encoded(fields)));
        }
    }

    private String typed(FormElement form, Connection.KeyVal field) {
        boolean number = mistyping
                && !form.select("input[inputmode][name=" + field.key() + "]").isEmpty();
        return number ? "ninety" : field.value();
    }

    /** As a browser sends a form whose file was not chosen. */
    private HttpRequest.Builder multipart(String path, Map<String, List<String>> fields, FormElement form) {
        StringBuilder body = new StringBuilder();
        fields.forEach(
                (name, values) -> values.forEach(v -> body.append("--edge\r\nContent-Disposition: form-data; name=\"")
                        .append(name)
                        .append("\"\r\n\r\n")
                        .append(v)
                        .append("\r\n")));
        form.select("input[type=file]")
                .forEach(f -> body.append("--edge\r\nContent-Disposition: form-data; name=\"")
                        .append(f.attr("name"))
                        .append("\"; filename=\"\"\r\nContent-Type: application/octet-stream\r\n\r\n\r\n"));
        body.append("--edge--\r\n");
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "multipart/form-data; boundary=edge")
                .POST(HttpRequest.BodyPublishers.ofString(body.toString()));
    }

    private HttpRequest.Builder post(String path, Map<String, String> fields) {
        Map<String, List<String>> lists = new LinkedHashMap<>();
        fields.forEach((k, v) -> lists.put(k, List.of(v)));
        return post(path, encoded(lists));
    }

    private HttpRequest.Builder post(String path, String body) {
        return HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(body));
    }

    private HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    private void enqueue(String url) {
        String path = local(url);
        if (path != null && !path.contains("sign-out")) {
            open.add(path);
        }
    }

    /** The path with its query, of an address of ours; null for any other. */
    private String local(String url) {
        String plain = url.replaceAll("#.*", "");
        if (plain.startsWith(address)) {
            String path = plain.substring(address.length());
            return path.isEmpty() ? "/" : path;
        }
        return plain.startsWith("/") ? plain : null;
    }

    private static String encoded(Map<String, List<String>> fields) {
        StringBuilder body = new StringBuilder();
        fields.forEach((name, values) -> values.forEach(v -> body.append(body.isEmpty() ? "" : "&")
                .append(URLEncoder.encode(name, StandardCharsets.UTF_8))
                .append('=')
                .append(URLEncoder.encode(v, StandardCharsets.UTF_8))));
        return body.toString();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
