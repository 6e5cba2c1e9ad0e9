package io.causticon.web.places.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A note typed as it stands, and recipes to begin with, in a workshop that has moulds. */
@Application
class FirstBatchTest {

    private static final String NOTE = "olive oil 400\ncoconut 100\nlye 71\nwater 150";

    private static Document read(Client client, String note) {
        return Jsoup.parse(client.post("/plan/first/read", Map.of("note", note, "mould", "oak loaf"))
                .body());
    }

    /**
     * 400 g olive 189.7 and 100 g coconut 257: 103.9 g KOH, 74.1 g NaOH; 71 g at 98 % is 69.58 g: some 6 % are left.
     */
    @Test
    void aNoteIsReadWhileItIsTyped(Client client) {
        client.signIn("odd");
        Document read = read(client, NOTE);
        assertThat(read.select("dt").eachText())
                .contains("Olive oil (virgin or refined)", "Lye, NaOH", "Distilled or deionised water", "superfat");
        assertThat(read.text()).contains("32.1 %").contains("Taken as usual: lye of 98 % purity.");
        assertThat(read(client, "olive oil 400").text())
                .contains("superfat 5 %")
                .contains("water for a lye concentration of 33 %");
        assertThat(read(client, "olive oil 80 %\ncoconut 20 %").text()).contains("Nothing is typed here yet");
        assertThat(read(client, "moonbeam 400\nolive oil")
                        .select(".field-problem")
                        .eachText())
                .anyMatch(t -> t.contains("\"moonbeam\" is not known here"))
                .anyMatch(t -> t.contains("How much \"olive oil\"?"));
        assertThat(read(client, NOTE.replace("71", "171")).text())
                .contains("far more than these fats can take")
                .contains("would leave 5 %");
        assertThat(read(client, NOTE + "\nsuperfat 5\nconcentration 40").text())
                .contains("The note says superfat 5.0 %; its lye leaves 3.9 %. The lye leads.")
                .contains("The liquid leads.");
        assertThat(read(client, NOTE.replace("400", "14 kg")).text()).doesNotContain("Internal");
    }

    @Test
    void itIsKeptAsTypedAndBegun(RunningApplication application, Client client) {
        client.signIn("odd");
        HttpResponse<String> made = client.post(
                "/plan/first",
                Map.of("note", NOTE, "mould", "oak loaf", "name", "Note Slab", "make", "true", "key", "note-1"));
        assertThat(made.headers().firstValue("Location").orElseThrow()).contains("/bench/");
        Batch batch = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Note Slab"))
                .findFirst()
                .orElseThrow();
        AlkaliBalance balance = AlkaliBalance.of(batch.plan().formula());
        assertThat(balance.lye().grams()).isCloseTo(71, within(1e-6));
        assertThat(balance.liquidMass().grams()).isCloseTo(150, within(1e-6));
        assertThat(batch.plan().mould().name()).isEqualTo("oak loaf");
    }

    @Test
    void theSameFormSentTwiceIsOneRecipeAndOneBatch(RunningApplication application, Client client) {
        client.signIn("odd");
        Map<String, String> note = Map.of(
                "note",
                NOTE,
                "mould",
                "oak loaf",
                "name",
                "Twice " + UUID.randomUUID(),
                "key",
                UUID.randomUUID().toString());
        String first = client.post("/plan/first", note)
                .headers()
                .firstValue("Location")
                .orElseThrow();
        assertThat(client.post("/plan/first", note).headers().firstValue("Location"))
                .contains(first);
        Map<String, String> made = new HashMap<>(note);
        made.putAll(Map.of("make", "true", "key", UUID.randomUUID().toString()));
        String bench = client.post("/plan/first", made)
                .headers()
                .firstValue("Location")
                .orElseThrow();
        int recipes = application.bean(RecipeService.class).all(false).size();
        assertThat(client.post("/plan/first", made).headers().firstValue("Location"))
                .contains(bench);
        assertThat(application.bean(RecipeService.class).all(false)).hasSize(recipes);
    }

    @Test
    void whatIsNotUnderstoodIsNotKept(Client client) {
        client.signIn("odd");
        HttpResponse<String> answer =
                client.post("/plan/first", Map.of("note", "olive oil 400\nxyzzy 12", "key", "note-2", "make", "true"));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).containsPattern(">olive oil 400\\s+xyzzy 12</textarea>");
        assertThat(client.post("/plan/first", Map.of("note", "", "key", "note-3"))
                        .body())
                .contains("There is no fat yet");
        String burning = NOTE.replace("lye 71", "lye 77");
        assertThat(client.post("/plan/first", Map.of("note", burning, "key", "note-6", "make", "true"))
                        .body())
                .contains("more lye than the fats take");
        assertThat(client.post("/plan/first", Map.of("note", burning, "key", "note-7"))
                        .headers()
                        .firstValue("Location")
                        .orElseThrow())
                .contains("/plan/");
        assertThat(client.post("/plan/first/start", Map.of("which", "none", "key", "note-4"))
                        .statusCode())
                .isEqualTo(404);
        client.signIn("guest");
        assertThat(client.post("/plan/first", Map.of("note", NOTE, "key", "note-5"))
                        .statusCode())
                .isEqualTo(403);
        assertThat(client.post("/plan/first/read", Map.of("note", NOTE)).statusCode())
                .isEqualTo(200);
    }

    /** Every one of them, in a mould of each shape there is in the made-up workshop. */
    @ParameterizedTest
    @ValueSource(strings = {"plain", "olive", "milk", "brine"})
    void aStartFillsTheMouldThatSheNames(String which, Client client, RunningApplication application) {
        client.signIn("odd");
        for (String mould : new String[] {"oak loaf", "silicone loaf", "twelve cavities"}) {
            String location = client.post(
                            "/plan/first/start", Map.of("which", which, "mould", mould, "key", which + mould))
                    .headers()
                    .firstValue("Location")
                    .orElseThrow();
            RecipeService.Recipe kept =
                    application.bean(RecipeService.class).latest(UUID.fromString(location.replaceAll(".*/", "")));
            BatchPlan plan = kept.plan();
            assertThat(plan.mould().name()).isEqualTo(mould);
            BatterAmount batter = BatterAmount.of(plan.formula());
            assertThat(batter.mass().dividedBy(plan.mould().capacity(batter.density())))
                    .isCloseTo(1, within(.002));
        }
    }
}
