package io.causticon.web.places.plan;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;

/** What a case teaches goes into the recipe as a proposal, and is kept only when the maker keeps it. */
@Application
class NextVersionPageTest {

    @Test
    void isProposedAndKeptWhenSaved(RunningApplication application, Client client) {
        BatchService batches = application.bean(BatchService.class);
        Batch slab = batches.all().stream()
                .filter(b -> b.name().equals("Juniper Slab"))
                .findFirst()
                .orElseThrow();
        UUID recipe = batches.recipe(slab.id()).orElseThrow();
        client.signIn("odd");
        RecipeService recipes = application.bean(RecipeService.class);
        int before = recipes.versions(recipe).size();
        HttpResponse<String> answer = client.get("/plan/after/" + slab.id() + "?condition=soda-ash");
        assertThat(answer.statusCode()).isEqualTo(200);
        Document page = Jsoup.parse(answer.body(), application.address());
        assertThat(page.select(".proposal").text())
                .contains("Juniper Slab, soda ash", "lye concentration 36 % instead of 33 %", "Nothing is kept");
        assertThat(page.select("[name=liquidValue]").val()).isEqualTo("36");
        assertThat(page.select("[name=note]").text()).contains("soda ash on");
        assertThat(recipes.versions(recipe)).hasSize(before);

        Map<String, String> one = new HashMap<>();
        StringBuilder more = new StringBuilder();
        ((FormElement) page.getElementById("plan"))
                .formData().stream()
                        .filter(f -> !f.key().equals("_csrf"))
                        .forEach(f -> more.append('&')
                                .append(f.key())
                                .append('=')
                                .append(URLEncoder.encode(f.value(), StandardCharsets.UTF_8)));
        assertThat(client.postRaw("/plan/save", one, more.toString()).statusCode())
                .isEqualTo(302);
        assertThat(recipes.versions(recipe)).hasSize(before + 1);
        assertThat(recipes.latest(recipe).plan().formula().liquidTarget().value())
                .isEqualTo(.36);
        // What was made keeps what it was made from.
        assertThat(batches.get(slab.id()).plan().note()).doesNotContain("soda ash on");
    }

    @Test
    void ofWhatNobodyKnowsThereIsNone(RunningApplication application, Client client) {
        Batch slab = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Juniper Slab"))
                .findFirst()
                .orElseThrow();
        client.signIn("guest");
        assertThat(client.get("/plan/after/" + slab.id() + "?condition=moonbeams")
                        .statusCode())
                .isEqualTo(404);
        assertThat(client.get("/plan/after/" + UUID.randomUUID() + "?condition=soda-ash")
                        .statusCode())
                .isEqualTo(404);
        // Who may only look may look at this too.
        assertThat(client.get("/plan/after/" + slab.id() + "?condition=soda-ash")
                        .statusCode())
                .isEqualTo(200);
    }
}
