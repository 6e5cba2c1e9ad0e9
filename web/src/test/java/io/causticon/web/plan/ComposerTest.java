package io.causticon.web.plan;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import java.net.http.HttpResponse;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Application
class ComposerTest {

    private static Map<String, String> form(String... changes) {
        Map<String, String> form = new LinkedHashMap<>();
        form.put("name", "Test bar");
        form.put("fatId", "olive-oil");
        form.put("fatAmount", "1000");
        form.put("liquidId", "distilled-water");
        form.put("liquidAmount", "100");
        form.put("liquidState", "liquid");
        form.put("superfat", "5");
        form.put("naohShare", "100");
        form.put("purity", "98");
        form.put("kohPurity", "90");
        form.put("liquidWay", "LYE_CONCENTRATION");
        form.put("liquidValue", "33");
        form.put("mixAt", "40");
        form.put("fatStep", "1");
        form.put("lyeStep", "1");
        form.put("mould", "oak loaf");
        for (int i = 0; i < changes.length; i += 2) {
            form.put(changes[i], changes[i + 1]);
        }
        return form;
    }

    @Test
    void reckonsTheLyeWhileTyping(Client client) {
        client.signIn("odd");
        // 1000 g olive: 128.674 g NaOH at 5 %, 131.3 g at 98 % purity.
        assertThat(client.post("/plan/reckon", form()).body()).contains("131.3").contains("33.0 %").contains("2.03");
    }

    @Test
    void linksTheThreeFiguresOfTheLiquid(Client client) {
        client.signIn("odd");
        String byRatio = client.post("/plan/reckon", form("liquidWay", "WATER_TO_LYE", "liquidValue", "2")).body();
        assertThat(byRatio).contains("33.3 %").contains("2.00").contains("26.3 %");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', value = {
        "fatAmount | abc | &quot;abc&quot; is not a number",
        "fatAmount | -5 | is below what is possible",
        "fatAmount | 99 kg | is above what is possible",
        "fatAmount | 12 stone | is not a unit known here",
        "fatAmount | 0 | There is no fat yet",
        "liquidAmount | 80 | The parts make 80.0 %, not 100 %",
        "liquidValue | 60 | water dissolves up to 52.0 %",
        "superfat | 95 | Superfat (95.0 %) is above what is possible (40.0 %)",
        "purity | 9 | Purity (9.0 %) is below what is possible (50.0 %)",
        "mixAt | 250 | is above what is possible",
        "name | '' | Nothing is typed here yet"
    })
    void tellsWhatCannotBeAndKeepsWhatWasTyped(String field, String typed, String told, Client client) {
        client.signIn("odd");
        HttpResponse<String> answer = client.post("/plan/save", form(field, typed));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(told);
        if (!typed.isEmpty()) {
            assertThat(answer.body()).contains("value=\"" + typed + "\"");
        }
    }

    @Test
    void readsOuncesAndCommasAsMakersTypeThem(Client client) {
        client.signIn("odd");
        String a = client.post("/plan/reckon", form("fatAmount", "1000,0 g")).body();
        assertThat(a).contains("131.3");
        // 2 lb 3.274 oz are 1000 g.
        assertThat(client.post("/plan/reckon", form("fatAmount", "2 lb 3.274 oz")).body()).contains("131.3");
    }

    @Test
    void savesAVersionOnlyWhenSomethingChanged(Client client) {
        client.signIn("odd");
        String name = "Versions " + UUID.randomUUID();
        String place = client.post("/plan/save", form("name", name)).headers().firstValue("Location").orElseThrow();
        String recipe = place.replaceAll(".*/plan/", "");
        client.post("/plan/save", form("name", name, "recipe", recipe));
        assertThat(client.get("/plan/" + recipe).body()).contains("version 1");
        client.post("/plan/save", form("name", name, "recipe", recipe, "superfat", "6"));
        assertThat(client.get("/plan/" + recipe).body()).contains("version 2");
        assertThat(client.get("/plan/" + recipe + "?version=1").body()).contains("name=\"superfat\" value=\"5\"");
    }

    @Test
    void refusesToBeginABatchTomorrow(Client client) {
        client.signIn("odd");
        HttpResponse<String> answer =
                client.post("/plan/make", form("begun", "2199-01-01T10:00", "key", UUID.randomUUID().toString()));
        assertThat(answer.body()).contains("is still to come").contains("value=\"2199-01-01T10:00\"");
    }
}
