package io.causticon.web.places.plan;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.quantity.Mass;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
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
        form.put("liquidState", "LIQUID");
        form.put("liquidJoins", "LYE");
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
        assertThat(client.post("/plan/reckon", form()).body())
                .contains("131.3")
                .contains("33.0 %")
                .contains("2.03");
    }

    /**
     * 1000 g of olive oil want 135.45 g of pure NaOH: 130 g at 98 % leave 5.9 %; in 300 g of water they are 130 / 430 =
     * 30.2 %.
     */
    @Test
    void massesOfLyeAndLiquidLeadAndTheRestFollows(Client client) {
        client.signIn("odd");
        Map<String, String> note = form(
                "name", "From a note", "lyeMass", "130", "liquidAmount", "300 g", "superfat", "", "liquidValue", "");
        assertThat(client.post("/plan/reckon", note).body())
                .contains("follows, 5.9 %")
                .contains("follows from the masses")
                .contains("30.2 %")
                .contains("2.31");
        Document kept = Jsoup.parse(client.get(client.post("/plan/save", note)
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .body());
        assertThat(kept.select("[name=lyeMass]").val()).isEqualTo("130");
        assertThat(kept.select("[name=liquidAmount]").get(0).val()).isEqualTo("300 g");
        assertThat(kept.select(".lye-head b").text()).isEqualTo("130.0");
        // Twice the fats at the same size of the note: superfat and all, as typed.
        assertThat(client.post("/plan/scale", with(note, "scaleTo", "2x")).body())
                .contains("value=\"260\"")
                .contains("value=\"600 g\"");
        assertThat(client.post("/plan/save", with(note, "sizedBy", "MOULD", "fatAmount", "100"))
                        .body())
                .contains("Here the mould or the cups decide how much fat there is");
    }

    /**
     * 200 g of goat milk: 26.8 g of powder (87 % and 3 % of water) and 173.2 g of water, as cold, with what is typed as
     * typed.
     */
    @Test
    void milkIsMadeFromPowderAndWater(Client client) {
        client.signIn("odd");
        Map<String, String> milk =
                form("liquidId", "goat-milk-whole", "liquidAmount", "200 g", "liquidState", "SLUSH", "row", "0");
        Document page = Jsoup.parse(client.post("/plan/powder", milk).body());
        assertThat(page.select("[name=liquidId] option[selected]").eachAttr("value"))
                .containsExactly("powdered-goat-milk", "distilled-water");
        assertThat(page.select("[name=liquidAmount]").eachAttr("value")).startsWith("26.8 g", "173.2 g");
        assertThat(page.select("[name=liquidState]")
                        .get(1)
                        .select("option[selected]")
                        .attr("value"))
                .isEqualTo("SLUSH");
        assertThat(client.post("/plan/powder", with(milk, "row", "7")).statusCode())
                .isEqualTo(200);
        assertThat(client.post("/plan/powder", with(milk, "liquidAmount", "much"))
                        .body())
                .contains("value=\"much\"");
    }

    /**
     * Six cups of 100 g, 3 % of the batter sticks: 618.6 g; of olive oil at 33 % and 5 % that is 1.3980 g a gram of
     * fats: 442.5 g.
     */
    @Test
    void cupsOfSoMuchBatterGiveTheFats(Client client) {
        client.signIn("odd");
        Map<String, String> six = form(
                "portionWay",
                "CUPS",
                "stuck",
                "3",
                "cups",
                "6",
                "cup",
                "100",
                "portionName",
                "",
                "portionLiquidId",
                "carrot-puree",
                "portionLiquidDose",
                "15 g");
        Document page = Jsoup.parse(client.post("/plan/cups", six).body());
        assertThat(page.select("[data-in=total]").text()).isEqualTo("442.5 g");
        assertThat(page.select(".portion-table .strong").eachText()).hasSize(6).containsOnly("100.0 g");
        assertThat(page.select("[name=portionLiquidDose]").eachAttr("value"))
                .startsWith("15 g", "15 g", "15 g", "15 g", "15 g", "15 g");
        assertThat(client.post("/plan/cups", with(six, "cups", "25")).body()).contains("is above what is possible");
        assertThat(client.post("/plan/cups", with(six, "cups", "2.5")).body())
                .contains("is not a number")
                .contains("value=\"2.5\"");
        assertThat(client.post("/plan/cups", with(six, "cups", "some")).body())
                .contains("is not a number")
                .contains("value=\"some\"");
        assertThat(client.post("/plan/reckon", with(six, "sizedBy", "CUPS", "portionWay", "WHOLE"))
                        .body())
                .contains("Say below that the batter goes into equal cups");
    }

    @Test
    void jugsOfTheirOwnAreOnThePlanAndOnTheSheet(Client client) {
        client.signIn("odd");
        Map<String, String> jugs = form(
                "name",
                "Jugs " + UUID.randomUUID(),
                "portionWay",
                "SHARES",
                "lyeRoute",
                "OWN",
                "portionName",
                "all of it",
                "portionAmount",
                "100",
                "portionAdditiveId",
                "kaolin",
                "portionAdditiveDose",
                "4 g",
                "portionAdditiveJoins",
                "LYE");
        String reckoned = Jsoup.parse(client.post("/plan/reckon", jugs).body())
                .select(".jug")
                .text();
        assertThat(reckoned).contains("fats1,000.0 g").contains("131.3 g NaOH").contains("4.00 g Kaolin");
        String sheet =
                client.post("/plan/save", jugs).headers().firstValue("Location").orElseThrow() + "/sheet";
        Document printed = Jsoup.parse(client.get(sheet).body());
        assertThat(printed.select(".jug .box")).hasSize(4);
        assertThat(printed.text()).contains("Each part's own lye into its own liquid");
        assertThat(client.post("/plan/reckon", with(jugs, "portionAdditiveJoins", "TOP"))
                        .body())
                .contains("is not one of the choices");
        String master = Jsoup.parse(client.post("/plan/reckon", with(jugs, "lyeRoute", "MASTER"))
                        .body())
                .select(".jug")
                .text();
        assertThat(master).contains("of the lye").contains("jug then");
    }

    @Test
    void aRecipeIsCopiedAndLeadsToWhatWasMadeOfIt(Client client) {
        client.signIn("odd");
        String path = Jsoup.parse(client.get("/plan").body())
                .select("a:contains(Whey & Barley)")
                .attr("href");
        Document recipe = Jsoup.parse(client.get(path).body());
        String batch = recipe.select(".title-row a[href^=/batch/]").attr("href");
        assertThat(Jsoup.parse(client.get(batch).body())
                        .select(".title-row a:contains(Recipe)")
                        .attr("href"))
                .isEqualTo(path);
        Document copy = Jsoup.parse(
                client.get(recipe.select("a:contains(copy it)").attr("href")).body());
        assertThat(copy.select("[name=name]").val()).isEqualTo("Whey & Barley, a copy");
        assertThat(copy.select("[name=recipe]")).isEmpty();
        assertThat(copy.select("[name=fatAmount]").eachAttr("value"))
                .isEqualTo(recipe.select("[name=fatAmount]").eachAttr("value"));
        client.signIn("guest");
        assertThat(client.get(path).body()).doesNotContain("copy it");
    }

    @Test
    void partsNeedNotMakeAHundred(Client client) {
        client.signIn("odd");
        assertThat(client.post("/plan/reckon", form("liquidAmount", "2")).body())
                .contains("131.3")
                .contains("2.03");
        assertThat(client.post("/plan/reckon", form("liquidAmount", "")).body())
                .contains("131.3")
                .contains("2.03");
    }

    private static Map<String, String> with(Map<String, String> form, String... changes) {
        Map<String, String> changed = new LinkedHashMap<>(form);
        for (int i = 0; i < changes.length; i += 2) {
            changed.put(changes[i], changes[i + 1]);
        }
        return changed;
    }

    @Test
    void linksTheThreeFiguresOfTheLiquid(Client client) {
        client.signIn("odd");
        String byRatio = client.post("/plan/reckon", form("liquidWay", "WATER_TO_LYE", "liquidValue", "2"))
                .body();
        assertThat(byRatio).contains("33.3 %").contains("2.00").contains("26.3 %");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "fatAmount | abc | &quot;abc&quot; is not a number",
                "fatAmount | -5 | is below what is possible",
                "fatAmount | 99 kg | is above what is possible",
                "fatAmount | 12 stone | is not a unit known here",
                "fatAmount | 0 | There is no fat yet",
                "liquidAmount | -80 | is below what is possible (0)",
                "lyeMass | 180 | would leave 5 %. Maybe a digit slipped in.",
                "lyeMass | 13 | would leave 5 %. Maybe a digit is missing.",
                "lyeMass | lots | &quot;lots&quot; is not",
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
        assertThat(client.post("/plan/reckon", form("fatAmount", "2 lb 3.274 oz"))
                        .body())
                .contains("131.3");
    }

    @Test
    void savesAVersionOnlyWhenSomethingChanged(Client client) {
        client.signIn("odd");
        String name = "Versions " + UUID.randomUUID();
        String place = client.post("/plan/save", form("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow();
        String recipe = place.replaceAll(".*/plan/", "");
        client.post("/plan/save", form("name", name, "recipe", recipe));
        assertThat(client.get("/plan/" + recipe).body()).contains("version 1");
        client.post("/plan/save", form("name", name, "recipe", recipe, "superfat", "6"));
        assertThat(client.get("/plan/" + recipe).body()).contains("version 2");
        assertThat(client.get("/plan/" + recipe + "?version=1").body()).contains("name=\"superfat\" value=\"5\"");
    }

    @Test
    void anotherNameIsTheRecipesAndNoVersion(Client client) {
        client.signIn("odd");
        String name = "Called " + UUID.randomUUID();
        String recipe = client.post("/plan/save", form("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceAll(".*/plan/", "");
        client.post("/plan/save", form("name", name, "recipe", recipe, "version", "1", "superfat", "8"));
        client.post("/plan/save", form("name", name + " anew", "recipe", recipe, "version", "2", "superfat", "8"));
        assertThat(client.get("/plan/" + recipe).body()).contains("version 2").contains("value=\"" + name + " anew\"");
        assertThat(client.get("/plan/" + recipe + "?version=1").body())
                .contains("value=\"" + name + " anew\"")
                .contains("name=\"superfat\" value=\"5\"");
        assertThat(client.get("/plan").body()).contains(">" + name + " anew<").doesNotContain(">" + name + "<");
    }

    @Test
    void saysWhatWouldMakeItGelAndTakesIt(Client client) {
        client.signIn("odd");
        Map<String, String> loaf = form("mould", "oak loaf", "gel", "ALLOW", "mixAt", "38");
        Document asked = Jsoup.parse(client.post("/plan/gel", loaf).body());
        assertThat(asked.select(".gel-roads h3").eachText()).containsExactly("All through", "Not at all");
        Element road = asked.select(".gel-road button").first();
        assertThat(road.parent().text()).contains("full");
        // Taken, the plan says the chance that was promised.
        String chance = road.parent().select("span").text().replaceAll(";.*", "");
        String taken =
                client.post("/plan/change", with(loaf, "change", road.val())).body();
        assertThat(taken).contains("gel " + chance);
        assertThat(client.post("/plan/gel", form("superfat", "a lot")).body())
                .contains("not a number")
                .doesNotContain("gel-roads");
    }

    @Test
    void refusesToBeginABatchTomorrow(Client client) {
        client.signIn("odd");
        HttpResponse<String> answer = client.post(
                "/plan/make",
                form("begun", "2199-01-01T10:00", "key", UUID.randomUUID().toString()));
        assertThat(answer.body()).contains("is still to come").contains("value=\"2199-01-01T10:00\"");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "sizedBy=TOTAL;fatAmount=80;total=1000 | The parts make 80.0 %, not 100 %",
                "fatAmount=42 % | Give the total of the fats or let the mould decide",
                "sizedBy=TOTAL;fatAmount=100;total=-2 | is below what is possible",
                "sizedBy=MOULD;fatAmount=100;mould= | Nothing is typed here yet",
                "fillHeight=400 | is above what is possible",
                "fillHeight=high | is not a length",
                "process=OVEN;ovenAt=300 | An oven for soap (300.0 \u00b0C) is above what is possible (120.0 \u00b0C)",
                "process=OVEN;ovenMinutes=0 | The oven\u2019s time, minutes (0) is below what is possible",
                "thickness=0 | is below what is possible",
                "overage=300 | Overage (300.0 %) is above what is possible (100.0 %)",
                "additiveId=kaolin;additiveAmount=a pinch | is not a number",
                "additiveId=silk;additiveAmount=2 tsp | is not spooned here",
                "additiveId=kaolin;additiveAmount=-3 % | is below what is possible",
                "additiveId=moonlight;additiveAmount=3 | is not known here",
                "portionWay=LAYERS;portionName=a;portionAmount=soft | is not a height or a line",
                "portionWay=LAYERS;portionName=a;portionAmount=500 | the mould is 75 mm high",
                "portionWay=SHARES;portionName=a;portionAmount=40 | The parts make 40.0 %, not 100 %",
                "liquidJoins=TRACE | Let one part join with the lye",
                "liquidJoins=YESTERDAY | is not one of the choices",
                "mould=a hat | is not one of the choices",
                "superfat=5,5x | is not a number"
            })
    void tellsWhatCannotBeOfTheWholeFormula(String changes, String told, Client client) {
        client.signIn("odd");
        Map<String, String> form = form();
        for (String change : changes.split(";")) {
            String[] pair = change.split("=", 2);
            form.put(pair[0], pair[1]);
        }
        assertThat(client.post("/plan/save", form).body()).contains(told);
    }

    @Test
    void takesNeitherNoFatsNorSixtyOneRowsButWaxesAlone(Client client) {
        client.signIn("odd");
        assertThat(client.post("/plan/save", form("fatId", "", "fatAmount", "")).body())
                .contains("There is no fat yet");
        StringBuilder rows = new StringBuilder();
        for (int i = 0; i < 70; i++) {
            rows.append("&fatId=olive-oil&fatAmount=10");
        }
        assertThat(client.postRaw("/plan/save", form(), rows.toString()).body())
                .contains("61 are too many; 60 are the most");
        String waxes = client.post("/plan/reckon", form("fatId", "beeswax", "fatAmount", "500"))
                .body();
        // 500 x 94 mg/g = 47.0 g KOH = 33.5 g NaOH; 31.8 at 5 %; 32.5 at 98 % purity.
        assertThat(waxes).contains("32.5").contains("Beeswax sets before it soaps");
    }

    @Test
    void splitsTheLiquidAndChecksBothSteps(Client client) {
        client.signIn("odd");
        String split = "&liquidId=goat-milk-whole&liquidAmount=50&liquidState=FROZEN&liquidJoins=EMULSION";
        String body = client.postRaw("/plan/reckon", form("liquidAmount", "50"), split)
                .body();
        assertThat(body).contains("Strong lye first: 132.3 g in").contains("Goat milk, whole, frozen, at emulsion");
        String tooStrong = client.postRaw("/plan/reckon", form("liquidAmount", "30"), split.replace("=50", "=70"))
                .body();
        assertThat(tooStrong).contains("water dissolves up to 52.0 %");
    }

    @Test
    void makesAChangeOfOneTap(Client client) {
        client.signIn("odd");
        Map<String, String> risky = form("superfat", "1");
        risky.put("change", "finer-scale");
        String body = client.post("/plan/change", risky).body();
        assertThat(body).contains("name=\"lyeStep\" value=\"0.1\"").contains("name=\"superfat\" value=\"1\"");
    }

    @Test
    void scalesAndChangesHowTheSizeIsTold(Client client) {
        client.signIn("odd");
        assertThat(client.post("/plan/scale", form("scaleTo", "1.5x")).body())
                .contains("name=\"fatAmount\" value=\"1500\"");
        assertThat(client.post("/plan/scale", form("scaleTo", "2 kg")).body())
                .contains("name=\"fatAmount\" value=\"2000\"");
        assertThat(client.post("/plan/scale", form("scaleTo", "to the moon")).body())
                .contains("is not a number")
                .contains("value=\"to the moon\"");
        String byShare = client.post("/plan/size", form("by", "TOTAL")).body();
        assertThat(byShare).contains("name=\"fatAmount\" value=\"100\"").contains("name=\"total\" value=\"1000\"");
        String even = client.postRaw(
                        "/plan/even",
                        form("sizedBy", "TOTAL", "fatAmount", "60", "total", "1000"),
                        "&fatId=lard&fatAmount=60")
                .body();
        assertThat(even).contains("name=\"fatAmount\" value=\"50\"");
    }

    @Test
    void tellsWhatAScaleDoesNotShow(Client client) {
        client.signIn("odd");
        assertThat(client.post("/plan/reckon", form("fatAmount", "0.4", "fatStep", "1", "lyeStep", "0.01"))
                        .body())
                .contains("The fats: 0.40 g. A scale in steps of 1.00 g shows nothing of that.");
        assertThat(client.post("/plan/reckon", form("lyeStep", "0")).body())
                .contains("A scale&#39;s step (0.00 g) is below what is possible (0.001 g).");
        assertThat(client.post("/plan/reckon", form("superfat", "-3")).body()).contains("in excess, \u22123.0 %");
    }

    @Test
    void fitsToWhatMatters(Client client) {
        client.signIn("odd");
        String lard = "&fatId=lard&fatAmount=300&fatId=coconut-oil-76&fatAmount=250";
        assertThat(client.postRaw("/plan/fit", form("fatAmount", "450"), lard).body())
                .contains("Say what matters first");
        String proposal = client.postRaw("/plan/fit", form("fatAmount", "450", "noAnimal", "1"), lard)
                .body();
        assertThat(proposal).contains("30.0 \u2192 0.0 %").contains("Take these shares");
        String taken = client.postRaw("/plan/fit", form("fatAmount", "450", "noAnimal", "1", "take", "true"), lard)
                .body();
        assertThat(taken).doesNotContain("value=\"lard\" selected");
    }

    @Test
    void comparesVersionsAndPrintsASheet(Client client) {
        client.signIn("odd");
        String name = "Compared " + UUID.randomUUID();
        String recipe = client.post("/plan/save", form("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceAll(".*/plan/", "");
        client.post("/plan/save", form("name", name, "recipe", recipe, "superfat", "8"));
        assertThat(client.get("/plan/" + recipe + "/compare?a=1&b=2").body())
                .contains("5.0 %</td><td class=\"figure differs\">8.0 %");
        assertThat(client.get("/plan/" + recipe + "/sheet").body())
                .contains("Olive oil (virgin or refined)")
                .contains("1,000.0 g")
                .contains("Lye into the liquid, never the reverse")
                .contains("safety data sheet");
    }

    @Test
    void aFormThatWasOvertakenIsToldAndKeepsWhatWasTyped(Client client) {
        client.signIn("odd");
        String name = "Overtaken " + UUID.randomUUID();
        String recipe = client.post("/plan/save", form("name", name))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceAll(".*/plan/", "");
        client.post("/plan/save", form("name", name, "recipe", recipe, "version", "1", "superfat", "8"));
        HttpResponse<String> told =
                client.post("/plan/save", form("name", name, "recipe", recipe, "version", "1", "superfat", "3"));
        assertThat(told.statusCode()).isEqualTo(200);
        assertThat(told.body())
                .contains("Odd Brekke kept version 2 meanwhile; you began from 1.")
                .contains("name=\"superfat\" value=\"3\"")
                .contains("name=\"version\" value=\"2\"");
        assertThat(client.get("/plan/" + recipe + "?version=2").body()).contains("name=\"superfat\" value=\"8\"");
        // What she typed waits for her, begun from the later version.
        assertThat(client.get("/plan/" + recipe).body())
                .contains("name=\"superfat\" value=\"3\"")
                .contains("This is how you left it");
        // Told, and saved again: now it stands on top, and the other one under it.
        assertThat(client.post("/plan/save", form("name", name, "recipe", recipe, "version", "2", "superfat", "3"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(client.get("/plan/" + recipe).body()).contains("name=\"superfat\" value=\"3\"");
        assertThat(client.get("/plan/" + recipe + "?version=2").body()).contains("name=\"superfat\" value=\"8\"");
    }

    @Test
    void anIngredientThatWasPutAwayStaysReadableInItsRecipe(Client client) {
        client.signIn("odd");
        String fat = "Quay pressing " + UUID.randomUUID().toString().substring(0, 8);
        client.post(
                "/shelf/fat",
                new LinkedHashMap<>(
                        Map.of("name", fat, "like", "olive-oil", "saponification", "188.2", "iodine", "84")));
        String id = "own-" + fat.toLowerCase(Locale.ROOT).replace(' ', '-');
        String recipe = client.post("/plan/save", form("name", "Kept " + fat, "fatId", id))
                .headers()
                .firstValue("Location")
                .orElseThrow()
                .replaceAll(".*/plan/", "");
        client.post("/shelf/away", new LinkedHashMap<>(Map.of("kind", "fat", "id", id)));
        assertThat(Jsoup.parse(client.get("/shelf").body()).select("#fat").text())
                .doesNotContain(fat);
        // 1000 x 188.2 / 56106 x 39.997 x 0.95 / 0.98 = 130.06 g.
        String opened = client.get("/plan/" + recipe).body();
        assertThat(opened).contains("130.1").contains(fat + ", put away");
        String again = client.post(
                        "/plan/save",
                        form("name", "Kept " + fat, "fatId", id, "recipe", recipe, "version", "1", "superfat", "6"))
                .headers()
                .firstValue("Location")
                .orElse("none");
        assertThat(again).endsWith(recipe);
    }

    /** What a list of vessels has chosen. */
    private static String chosen(String page, String list) {
        Matcher option = Pattern.compile("<select id=\"" + list + "\".*?</select>", Pattern.DOTALL)
                .matcher(page);
        assertThat(option.find()).isTrue();
        Matcher selected = Pattern.compile("value=\"([^\"]*)\" selected=\"selected\">([^<]*)<")
                .matcher(option.group());
        return selected.find() ? selected.group(2) : "";
    }

    @Test
    void offersTheVesselsThatWereUsedLast(RunningApplication application, Client client) {
        BatchService batches = application.bean(BatchService.class);
        BatchPlan plan = Swirl.plan("Youngest")
                .with(PlanFields.LYE_VESSEL, new Vessel("second jug", VesselMaterial.POLYPROPYLENE, Mass.grams(84)))
                .with(PlanFields.FATS_VESSEL, new Vessel("a pot long gone", VesselMaterial.ENAMEL, Mass.grams(900)));
        batches.begin(
                plan,
                null,
                1,
                Instant.now(),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        String page = client.signIn("ines").get("/plan/new").body();
        assertThat(chosen(page, "vessel")).isEqualTo("second jug");
        // What no longer stands on the shelf is not offered; the one used before it is.
        assertThat(chosen(page, "pot")).isEqualTo("wide pot");
    }

    @Test
    void keepsAVesselThatWasPutAwayForThePlanThatHasIt(RunningApplication application, Client client) {
        BatchPlan plan = Swirl.plan("Old ways")
                .with(PlanFields.FATS_VESSEL, new Vessel("copper kettle", VesselMaterial.ENAMEL, Mass.grams(900)));
        RecipeService recipes = application.bean(RecipeService.class);
        UUID recipe = recipes.create(plan, "Ines").recipe();
        String page = client.signIn("ines").get("/plan/" + recipe).body();
        assertThat(chosen(page, "pot")).isEqualTo("copper kettle, put away");
        client.post(
                "/plan/save",
                form("recipe", recipe.toString(), "version", "1", "name", "Old ways", "pot", "copper kettle"));
        assertThat(recipes.latest(recipe).version()).isEqualTo(2);
        assertThat(recipes.latest(recipe).plan().fatsVessel()).isEqualTo(plan.fatsVessel());
    }
}
