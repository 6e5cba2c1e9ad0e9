package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.PlanCodec;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.recipe.RecipeService;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** A recipe as a short text. */
@Application
class RecipeTextTest {

    private final RunningApplication application = RunningApplication.get();
    private final RecipeService recipes = application.bean(RecipeService.class);
    private final PlanCodec plans = application.bean(PlanCodec.class);

    @Test
    void everyRecipeComesBackTheSameAndShort() {
        assertThat(recipes.inUse()).isNotEmpty().allSatisfy(r -> {
            String plan = plans.write(r.plan());
            String text = RecipeText.write(plan);
            assertThat(RecipeText.read("Try this:\n" + text.replaceAll("(.{60})", "$1\n ") + "\nIt is good."))
                    .isEqualTo(plan);
            assertThat(text.length()).isLessThan(plan.length());
        });
    }

    @Test
    void tellsALostLetter() {
        String text = RecipeText.write(plans.write(recipes.inUse().get(0).plan()));
        for (int at : new int[] {25, 60, text.length() - 12, text.length() - 3}) {
            char other = text.charAt(at) == 'a' ? 'b' : 'a';
            String changed = text.substring(0, at) + other + text.substring(at + 1);
            assertThatThrownBy(() -> RecipeText.read(changed)).isInstanceOf(DocumentFault.class);
            assertThatThrownBy(() -> RecipeText.read(text.substring(0, at) + text.substring(at + 1)))
                    .isInstanceOf(DocumentFault.class);
        }
        assertThatThrownBy(() -> RecipeText.read(""))
                .isInstanceOf(DocumentFault.class)
                .hasMessageContaining("CAUSTICON-RECIPE-1:");
        assertThatThrownBy(() -> RecipeText.read(text.replace("RECIPE-1", "RECIPE-2")))
                .hasMessageContaining("newer");
    }

    @Test
    void goesFromOnePageToTheOther() {
        Client odd = new Client(application.address()).signIn("odd");
        RecipeService.Recipe recipe = recipes.inUse().get(0);
        String page = odd.get("/carry/recipe/" + recipe.recipe() + "/text").body();
        String text = page.substring(page.indexOf("CAUSTICON-RECIPE-1:"), page.indexOf("</textarea>"));
        assertThat(page).contains("class=\"recipe-code\"");
        odd.get("/carry/text");
        assertThat(odd.post("/carry/text", Map.of("text", text)).body())
                .contains(recipe.plan().name(), "The same recipe is here already", "Keep this recipe");
        assertThat(odd.post("/carry/text", Map.of("text", "nothing at all")).body())
                .contains("There is no recipe in this text", "nothing at all</textarea>");
        var kept = odd.post("/carry/text", Map.of("text", text, "keep", "true"));
        String where = kept.headers().firstValue("Location").orElseThrow();
        UUID copy = UUID.fromString(where.substring(where.lastIndexOf('/') + 1));
        assertThat(plans.write(recipes.latest(copy).plan())).isEqualTo(plans.write(recipe.plan()));
        assertThat(odd.post("/plan/" + copy + "/away", Map.of("away", "true")).statusCode())
                .isLessThan(400);
        Client guest = new Client(application.address()).signIn("guest");
        guest.get("/carry/text");
        assertThat(guest.post("/carry/text", Map.of("text", text, "keep", "true"))
                        .statusCode())
                .isEqualTo(403);
    }
}
