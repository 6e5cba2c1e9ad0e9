package io.causticon.web.places.plan;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.junit.jupiter.api.Test;

/** What is typed is never lost: leaving, coming back, another tab. */
@Application
class DraftsTest {

    /** The first of each field of the composer, as a browser would send it. */
    private static Map<String, String> fields(Document page) {
        Map<String, String> fields = new HashMap<>();
        for (Element field : page.select("#plan [name]")) {
            boolean ticked = !field.attr("type").equals("checkbox") || field.hasAttr("checked");
            String value = field.is("select") ? field.select("option[selected]").attr("value") : field.val();
            if (ticked && !field.is("button")) {
                fields.putIfAbsent(field.attr("name"), value);
            }
        }
        return fields;
    }

    private static Document open(Client client, String path) {
        return Jsoup.parse(client.get(path).body());
    }

    private static Map<String, String> begun(Client client, String name) {
        Map<String, String> form = fields(open(client, "/plan/new"));
        form.putAll(Map.of("name", name, "fatId", "olive-oil", "fatAmount", "640", "portionWay", "WHOLE"));
        return form;
    }

    @Test
    void aNewRecipeIsKeptFromTheFirstLetterOn(Client client) {
        client.signIn("ines");
        String name = "Half typed " + UUID.randomUUID();
        Map<String, String> form = begun(client, name);
        client.post("/plan/reckon", form);
        Element line = open(client, "/plan")
                .select(".under-way li:contains(" + name + ")")
                .first();
        assertThat(line).isNotNull();
        Document left = open(client, line.select("a").attr("href"));
        assertThat(left.select(".left-here").text()).contains("Not saved. This is how you left it on");
        assertThat(fields(left))
                .containsEntry("name", name)
                .containsEntry("fatAmount", "640")
                .containsEntry("draft", form.get("draft"));
        // What is no plan at all is kept as well.
        Map<String, String> nonsense = fields(left);
        nonsense.put("fatAmount", "six hundred");
        client.post("/plan/reckon", nonsense);
        assertThat(fields(open(client, "/plan/new/" + form.get("draft")))).containsEntry("fatAmount", "six hundred");
    }

    @Test
    void whatIsSavedIsNoDraftAnyMore(Client client) {
        client.signIn("ines");
        String name = "Saved " + UUID.randomUUID();
        Map<String, String> form = begun(client, name);
        client.post("/plan/reckon", form);
        String place =
                client.post("/plan/save", form).headers().firstValue("Location").orElseThrow();
        // What this page sent in the same moment comes too late.
        client.post("/plan/reckon", form);
        assertThat(open(client, "/plan").select(".under-way li:contains(" + name + ")"))
                .isEmpty();
        assertThat(open(client, place).select(".left-here")).isEmpty();
        assertThat(client.get("/plan/new/" + form.get("draft")).headers().firstValue("Location"))
                .hasValueSatisfying(l -> assertThat(l).endsWith("/plan#" + form.get("draft")));
    }

    @Test
    void changesOfARecipeWaitBesideIt(Client client) {
        client.signIn("ines");
        String place = client.post("/plan/save", begun(client, "Kept " + UUID.randomUUID()))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        Map<String, String> form = fields(open(client, place));
        form.put("fatAmount", "700");
        client.post("/plan/reckon", form);
        Document left = open(client, place);
        assertThat(fields(left)).containsEntry("fatAmount", "700").containsEntry("version", "1");
        assertThat(fields(open(client, place + "?version=1"))).containsEntry("fatAmount", "640");
        client.post(
                "/plan/draft/away",
                Map.of(
                        "draft",
                        fields(left).get("draft"),
                        "recipe",
                        fields(left).get("recipe")));
        assertThat(fields(open(client, place))).containsEntry("fatAmount", "640");
    }

    @Test
    void anotherTabIsToldAndOverwritesNothing(Client client) {
        client.signIn("ines");
        String place = client.post("/plan/save", begun(client, "Two tabs " + UUID.randomUUID()))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        Map<String, String> first = fields(open(client, place));
        Map<String, String> second = fields(open(client, place));
        first.put("fatAmount", "701");
        second.put("fatAmount", "702");
        client.post("/plan/reckon", first);
        assertThat(client.post("/plan/reckon", second).body()).contains("was changed on another page");
        assertThat(fields(open(client, place))).containsEntry("fatAmount", "701");
        // She says which one counts.
        Map<String, String> over = new HashMap<>(second);
        over.put("over", "true");
        assertThat(client.post("/plan/rows", over).body()).doesNotContain("was changed on another page");
        assertThat(fields(open(client, place))).containsEntry("fatAmount", "702");
        assertThat(client.post("/plan/reckon", first).body()).contains("was changed on another page");
    }

    @Test
    void whatIsSavedOnOnePageTakesNothingOfAnother(Client client) {
        client.signIn("ines");
        String place = client.post("/plan/save", begun(client, "Saved beside " + UUID.randomUUID()))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        Map<String, String> first = fields(open(client, place));
        Map<String, String> second = fields(open(client, place));
        first.put("note", "of the first page");
        client.post("/plan/reckon", first);
        second.put("fatAmount", "702");
        client.post("/plan/save", second);
        assertThat(fields(open(client, place + "?version=2"))).containsEntry("fatAmount", "702");
        assertThat(open(client, place).select("#note").text()).isEqualTo("of the first page");
    }

    @Test
    void nobodySeesOrTouchesTheDraftOfAnother(Client client) {
        client.signIn("ines");
        String name = "Of Ines " + UUID.randomUUID();
        Map<String, String> form = begun(client, name);
        client.post("/plan/reckon", form);
        client.signIn("odd");
        assertThat(open(client, "/plan").text()).doesNotContain(name);
        Map<String, String> his = begun(client, "Of Odd");
        his.put("draft", form.get("draft"));
        client.post("/plan/reckon", his);
        client.post("/plan/draft/away", Map.of("draft", form.get("draft")));
        client.signIn("ines");
        assertThat(fields(open(client, "/plan/new/" + form.get("draft")))).containsEntry("name", name);
    }

    @Test
    void aGuestKeepsNone(Client client) {
        client.signIn("guest");
        Map<String, String> form = begun(client, "A guest's");
        assertThat(client.post("/plan/reckon", form).statusCode()).isEqualTo(200);
        assertThat(open(client, "/plan").select(".under-way")).isEmpty();
    }

    @Test
    void aRecipeIsPutAwayAndBroughtBack(Client client) {
        client.signIn("ines");
        String name = "Away " + UUID.randomUUID();
        String place = client.post("/plan/save", begun(client, name))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        client.post(place + "/away", Map.of());
        Document list = open(client, "/plan");
        assertThat(list.select("table").text()).doesNotContain(name);
        assertThat(list.select("details.away").text()).contains(name);
        assertThat(open(client, place).select(".left-here").text()).contains("is put away");
        client.post(place + "/away", Map.of("back", "true"));
        assertThat(open(client, "/plan").select("table").text()).contains(name);
    }

    @Test
    void leavingInTheMiddleOfAWordAndComingBackBringsEverythingBack(Browser browser) {
        String name = "Left " + UUID.randomUUID();
        browser.signIn("odd").open("/plan/new").waitFor("#plan");
        browser.type("name", name).type("fatAmount", "5");
        browser.waitUntilTrue(() -> browser.path().startsWith("/plan/new/"));
        String draft = browser.path();
        browser.type("note", "half a sentence that");
        browser.open("/shelf").waitFor("main").open(draft).waitFor(".left-here");
        assertThat(List.of(browser.value("name"), browser.value("note"))).containsExactly(name, "half a sentence that");
    }
}
