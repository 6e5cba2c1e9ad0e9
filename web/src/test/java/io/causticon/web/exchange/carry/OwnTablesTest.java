package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Everybody;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.recipe.RecipeService;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.WebElement;

/** Recipes from tables as makers keep them, through the page. */
@Application
class OwnTablesTest {

    private static final double OUNCE = 28.349523125;

    @TempDir
    private Path folder;

    private static void bring(Browser browser, Path file) {
        browser.open("/carry/table");
        browser.all("#file").get(0).sendKeys(file.toAbsolutePath().toString());
        browser.press("Look at it first").waitFor("form[action*='/leave']");
    }

    /** The names stand on the page before as well: it is done where the list of recipes comes. */
    private static void keep(Browser browser, String words) {
        browser.press(words).waitUntilTrue(() -> browser.path().startsWith("/plan"));
    }

    private static BatchPlan plan(RunningApplication application, String name) {
        return application.bean(RecipeService.class).inUse().stream()
                .map(r -> r.plan())
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String row(Browser browser, String name) {
        return browser.all("tbody tr").stream()
                .filter(r -> r.getText().contains(name))
                .findFirst()
                .map(WebElement::getText)
                .orElseThrow();
    }

    @Test
    void areReadAsTheirMakersMeantThem(RunningApplication application, Browser browser) throws Exception {
        browser.signIn("odd");
        bring(browser, OwnTables.german(folder));
        assertThat(browser.text()).contains("1 of 2 recipes can be taken", "Row 9: \"zaubersalz 300 g\"");
        new Everybody(browser).canUse("a table of her own");
        String seen = browser.path();
        keep(browser, "Keep this recipe");
        // Whoever comes back to what was taken is led to what came of it.
        browser.open(seen).waitForText("1 of 2 recipes.");
        BatchPlan village = plan(application, "Dorfseife");
        assertThat(village.formula().fatMass().grams()).isCloseTo(550, within(0.01));
        assertThat(village.formula().superfat().inPercent()).isCloseTo(5, within(1e-6));

        bring(browser, OwnTables.blocks(folder));
        keep(browser, "Keep these 2 recipes");
        BatchPlan doorstep = plan(application, "Lavender Doorstep");
        assertThat(doorstep.formula().fatMass().grams()).isCloseTo(16.75 * OUNCE, within(0.1));
        assertThat(doorstep.formula().fixed().lye().grams()).isCloseTo(2.25 * OUNCE, within(0.1));
        assertThat(plan(application, "Plain Lard").formula().superfat().inPercent())
                .isCloseTo(6, within(1e-6));

        bring(browser, OwnTables.columns(folder));
        assertThat(row(browser, "Broken One")).contains("lots");
        keep(browser, "Keep these 2 recipes");
        assertThat(plan(application, "Quay Stone").formula().fats()).hasSize(3);
        assertThat(plan(application, "White Ferry").formula().superfat().inPercent())
                .isCloseTo(8, within(1e-6));

        // All three go again, the last first.
        for (int taken = 3; taken > 0; taken--) {
            int left = taken - 1;
            browser.open("/carry/table")
                    .waitFor(".came form")
                    .all(".came form button")
                    .get(0)
                    .click();
            browser.waitUntilTrue(() -> browser.all(".came form").size() == left);
        }
        assertThat(application.bean(RecipeService.class).inUse())
                .noneMatch(r ->
                        List.of("Dorfseife", "Quay Stone").contains(r.plan().name()));
        assertThat(browser.complaints()).isEmpty();
    }
}
