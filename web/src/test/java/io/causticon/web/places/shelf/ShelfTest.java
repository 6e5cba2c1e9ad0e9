package io.causticon.web.places.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

@Application
class ShelfTest {

    private static Map<String, String> mould(String... changes) {
        Map<String, String> form = new LinkedHashMap<>(Map.of(
                "name",
                "crate " + UUID.randomUUID(),
                "kind",
                "SLAB",
                "length",
                "300",
                "width",
                "20 cm",
                "height",
                "2 in",
                "cavities",
                "1"));
        for (int i = 0; i < changes.length; i += 2) {
            form.put(changes[i], changes[i + 1]);
        }
        return form;
    }

    @Test
    void measuresAMouldInAnyUnit(Client client) {
        client.signIn("odd");
        Map<String, String> crate = mould();
        client.post("/shelf/mould", crate);
        // 300 x 200 x 50.8 mm.
        assertThat(client.get("/shelf").body())
                .contains(crate.get("name"))
                .contains("300 \u00d7 200 \u00d7 51 mm")
                .contains("3.05 kg");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "width | 0 | is below what is possible",
                "height | -20 | is below what is possible",
                "length | 9 m | is not a length",
                "length | 90000 | is above what is possible",
                "name | '' | Nothing is typed here yet",
                "kind | HAT | is not one of the choices",
                "water | much | is not a number"
            })
    void tellsWhatIsWrongWithAMouldAndKeepsWhatWasTyped(String field, String typed, String told, Client client) {
        client.signIn("odd");
        String body = client.post("/shelf/mould", mould(field, typed)).body();
        assertThat(body).contains(told).contains(field.equals("width") ? "value=\"300\"" : "value=\"20 cm\"");
    }

    @Test
    void wantsWaterForAShapeOfItsOwn(Client client) {
        client.signIn("odd");
        assertThat(client.post("/shelf/mould", mould("kind", "CUSTOM")).body()).contains("Nothing is typed here yet");
        Map<String, String> rose = mould("kind", "CUSTOM", "water", "95", "cavities", "6");
        client.post("/shelf/mould", rose);
        assertThat(client.get("/shelf").body()).contains(rose.get("name")).contains("measured with water");
    }

    @Test
    void refusesANameThatIsTakenAndTakesItAgainWhenPutAway(Client client) {
        client.signIn("odd");
        Map<String, String> crate = mould();
        client.post("/shelf/mould", crate);
        assertThat(client.post("/shelf/mould", crate).body()).contains("is taken. Choose another name");
        client.post("/shelf/away", new LinkedHashMap<>(Map.of("kind", "mould", "id", crate.get("name"))));
        assertThat(section(client, "mould")).doesNotContain(crate.get("name"));
        assertThat(section(client, "away")).contains(crate.get("name"));
        assertThat(client.post("/shelf/mould", crate).statusCode()).isEqualTo(302);
    }

    private static String section(Client client, String id) {
        return Jsoup.parse(client.get("/shelf").body()).select("#" + id).text();
    }

    @Test
    void bringsBackWhatWasPutAway(Client client) {
        client.signIn("odd");
        String jug = "Jug " + UUID.randomUUID();
        client.post("/shelf/vessel", new LinkedHashMap<>(Map.of("name", jug, "mass", "210", "material", "GLASS")));
        client.post("/shelf/away", new LinkedHashMap<>(Map.of("kind", "vessel", "id", jug)));
        assertThat(section(client, "vessel")).doesNotContain(jug);
        client.post("/shelf/back", new LinkedHashMap<>(Map.of("kind", "vessel", "id", jug)));
        assertThat(section(client, "vessel")).contains(jug + "210.0 g empty");
        // Another of the same name in between: names are said aloud.
        client.post("/shelf/away", new LinkedHashMap<>(Map.of("kind", "vessel", "id", jug)));
        client.post(
                "/shelf/vessel",
                new LinkedHashMap<>(Map.of("name", jug.toUpperCase(Locale.ROOT), "mass", "300", "material", "GLASS")));
        assertThat(client.post("/shelf/back", new LinkedHashMap<>(Map.of("kind", "vessel", "id", jug)))
                        .body())
                .contains("is taken");
        assertThat(client.post("/shelf/back", new LinkedHashMap<>(Map.of("kind", "hat", "id", jug)))
                        .statusCode())
                .isEqualTo(200);
    }

    /** Six cavities of 60 ml; three of 2 oz of water, 56.7 g each; a batch of 900 g that filled it half: 1.8 l. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "CAVITIES | 6 | 60 | | | 360 g, sides guessed",
                "CAVITIES | 3 | 2 oz | | | 170 g, sides guessed",
                "WOODEN_LOAF | 1 | 1200 ml | | | 1.2 kg, sides guessed",
                "SLAB | 1 | | 900 | 50 | 1.8 kg, sides guessed",
                "CAVITIES | 6 | | 360 g | 100 % | 360 g, sides guessed"
            })
    void aMouldIsKnownByItsWaterOrByABatch(
            String kind, String cavities, String water, String batter, String filled, String holds, Client client) {
        client.signIn("odd");
        String name = "known " + UUID.randomUUID();
        Map<String, String> form = new LinkedHashMap<>(
                Map.of("name", name, "kind", kind, "cavities", cavities, "length", "", "width", "", "height", ""));
        form.put("water", water == null ? "" : water);
        form.put("batter", batter == null ? "" : batter);
        form.put("filled", filled == null ? "" : filled);
        client.post("/shelf/mould", form);
        assertThat(section(client, "mould").split(name)[1]).contains("holds " + holds);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"0 | is below what is possible", "half | is not a number", "400 | is above what is possible"})
    void aBatchThatCannotHaveFilledItIsTold(String filled, String told, Client client) {
        client.signIn("odd");
        Map<String, String> form = new LinkedHashMap<>(
                Map.of("name", "n" + UUID.randomUUID(), "kind", "SLAB", "batter", "900", "filled", filled));
        assertThat(client.post("/shelf/mould", form).body()).contains(told).contains("value=\"900\"");
    }

    @Test
    void aLotNarrowsTheSuperfatAndTellsWhatABarCosts(Client client) {
        client.signIn("odd");
        String label = "L" + UUID.randomUUID().toString().substring(0, 8);
        client.post(
                "/shelf/lot",
                new LinkedHashMap<>(Map.of(
                        "name",
                        label,
                        "substance",
                        "FAT/olive-oil",
                        "saponification",
                        "189",
                        "price",
                        "7,25",
                        "useBy",
                        "2031-05-01")));
        assertThat(client.get("/shelf").body())
                .contains(label)
                .contains("certified 189.0 mg KOH/g")
                .contains("7.25 a kg")
                .contains("use by 1 May 2031");
        assertThat(client.get("/plan/new").body()).contains("olive-oil@" + label);
        assertThat(client.post(
                                "/shelf/lot",
                                new LinkedHashMap<>(Map.of("name", "x", "substance", "FAT/moss", "price", "-1")))
                        .body())
                .contains("Nothing is typed here yet")
                .contains("A price (\u22121) is below what is possible");
    }

    @Test
    void aViewerMayLookButNotAdd(Client client) {
        client.signIn("guest");
        assertThat(client.get("/shelf").body()).contains("oak loaf").doesNotContain("Add a mould");
        assertThat(client.post("/shelf/mould", mould()).statusCode()).isEqualTo(403);
    }
}
