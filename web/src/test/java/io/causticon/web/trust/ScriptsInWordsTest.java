package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.RunningApplication;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;

/** A script put into every text field there is stays what it is: words. */
class ScriptsInWordsTest {

    /** What fields of their kind want, where free words would be refused. */
    private static final Map<String, String> WANTED = Map.ofEntries(
            Map.entry("fatAmount", "500"),
            Map.entry("liquidAmount", "100"),
            Map.entry("superfat", "5"),
            Map.entry("mass", "100"),
            Map.entry("amount", "100"),
            Map.entry("width", "80"),
            Map.entry("length", "200"),
            Map.entry("height", "60"),
            Map.entry("cavities", "1"),
            Map.entry("saponification", "190"),
            Map.entry("iodine", "60"),
            Map.entry("useBy", "2030-01-01"),
            Map.entry("price", "5"),
            Map.entry("cap", "3"),
            Map.entry("password", "long-enough-1"),
            Map.entry("at", ""),
            Map.entry("begun", ""),
            Map.entry("water", ""),
            Map.entry("room", "20"),
            Map.entry("mixAt", "40"),
            Map.entry("within", "6"),
            Map.entry("currency", "EUR"),
            Map.entry("degrees", ""),
            Map.entry("everySeconds", ""),
            Map.entry("onChange", ""),
            Map.entry("old", ""));

    /** Names that are compared are short. */
    private static final Map<String, Integer> LONGEST =
            Map.of("name", 40, "displayName", 60, "workshop", 80, "quick", 400, "words", 400, "caption", 300);

    @Test
    void areShownAndDoNotRun() {
        try (RunningApplication application = RunningApplication.own(true);
                Browser browser = new Browser(application.address())) {
            List<String> pages = fill(application);
            browser.signIn("ines");
            List<String> ran = new ArrayList<>();
            Client client = new Client(application.address()).signIn("ines");
            int shown = 0;
            for (String page : pages) {
                // Looked at by the browser is what holds the words at all, which costs ten times as much.
                if (!client.get(page).body().contains("window.ran=1")) {
                    continue;
                }
                browser.open(page).waitFor("main");
                boolean runs = Boolean.TRUE.equals(
                        browser.script("return window.ran === 1 || document.querySelector('[onerror], [onload],"
                                + " script:not([src])') !== null"));
                if (runs) {
                    ran.add(page);
                }
                shown += Boolean.TRUE.equals(
                                browser.script("return document.documentElement.outerHTML.includes('window.ran=1')"))
                        ? 1
                        : 0;
            }
            assertThat(ran).isEmpty();
            assertThat(shown).as("pages that show it, of " + pages.size()).isGreaterThan(12);
        }
    }

    /** Sends the script through every form of every kind of page; the pages to look at afterwards. */
    private static List<String> fill(RunningApplication application) {
        Client client = new Client(application.address()).signIn("ines");
        Map<String, String> kinds = new TreeMap<>();
        for (String start :
                List.of("/", "/plan", "/plan/new", "/bench", "/casebook", "/shelf", "/devices", "/settings")) {
            gather(client, start, kinds, 0);
        }
        List.copyOf(kinds.values()).forEach(page -> forms(client, page));
        // Once more: what was made now has pages of its own.
        for (String start : List.of("/", "/plan", "/casebook")) {
            Jsoup.parse(client.get(start).body(), application.address())
                    .select("a[href^=/batch], a[href^=/plan/], a[href^=/casebook/]")
                    .stream()
                    .limit(2)
                    .forEach(a -> gather(client, a.attr("href"), kinds, 0));
        }
        return List.copyOf(kinds.values());
    }

    private static void gather(Client client, String path, Map<String, String> kinds, int depth) {
        String kind = Crawler.family(path) + (depth == 0 ? path : "");
        if (kinds.containsKey(kind) || depth > 3 || path.contains("sign-out")) {
            return;
        }
        kinds.put(kind, path);
        Document page = Jsoup.parse(client.get(path).body(), "http://here");
        for (Element link : page.select("a[href^=/]")) {
            gather(client, link.attr("href").replaceAll("#.*", ""), kinds, depth + 1);
        }
    }

    private static void forms(Client client, String path) {
        Set<String> done = new java.util.HashSet<>();
        for (FormElement form : Jsoup.parse(client.get(path).body(), "http://here")
                .select("form[method=post]")
                .forms()) {
            Map<String, String> fields = new LinkedHashMap<>();
            for (Element input : form.elements()) {
                String name = input.attr("name");
                String type = input.attr("type");
                if (name.isEmpty()
                        || input.tagName().equals("button")
                        || type.equals("checkbox")
                        || type.equals("file")) {
                    continue;
                }
                boolean free = !type.equals("hidden")
                        && (input.tagName().equals("input") || input.tagName().equals("textarea"));
                fields.put(
                        name,
                        free
                                ? typed(name)
                                : input.tagName().equals("select")
                                        ? input.select("option").stream()
                                                .map(Element::val)
                                                .filter(v -> !v.isEmpty())
                                                .findFirst()
                                                .orElse("")
                                        : input.val());
            }
            fields.remove("_csrf");
            fields.put("key", UUID.randomUUID().toString());
            for (String target : targets(form)) {
                if (!target.contains("sign-out")
                        && !target.contains("password")
                        && done.add(target + fields.keySet())) {
                    client.post(target, fields);
                }
            }
        }
    }

    private static List<String> targets(FormElement form) {
        List<String> targets = new ArrayList<>(List.of(form.attr("action")));
        form.select("button[formaction]").forEach(b -> targets.add(b.attr("formaction")));
        return targets.stream().filter(t -> t.startsWith("/")).distinct().toList();
    }

    private static String typed(String name) {
        if (WANTED.containsKey(name)) {
            return WANTED.get(name);
        }
        String script = (name.equals("quick") ? "note " : "") + OddValues.SCRIPT;
        // The beginning alone would run, if anything ran.
        return script.length() <= LONGEST.getOrDefault(name, 80) ? script : "<svg onload=window.ran=1>";
    }
}
