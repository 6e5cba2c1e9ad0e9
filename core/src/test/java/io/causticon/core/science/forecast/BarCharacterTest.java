package io.causticon.core.science.forecast;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.Recipes;
import io.causticon.core.model.plan.LiquidTarget;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class BarCharacterTest {

    private static String verdict(Recipes recipe, String name) {
        return BarCharacter.of(recipe.plan()).stream()
                .filter(t -> t.name().equals(name))
                .map(t -> t.verdict()
                        .written(v -> v instanceof Double d ? String.format(Locale.ROOT, "%.0f", d) : v.toString()))
                .findFirst()
                .orElseThrow();
    }

    private static String reason(Recipes recipe, String name) {
        return BarCharacter.of(recipe.plan()).stream()
                .filter(t -> t.name().equals(name))
                .map(t -> t.reason().written(Object::toString))
                .findFirst()
                .orElseThrow();
    }

    private final Recipes coconut = recipe().fat("coconut-oil-76", 1000);
    private final Recipes olive = recipe().fat("olive-oil", 1000);
    private final Recipes tallow = recipe().fat("tallow-beef", 1000);

    @Test
    void coconutIsHardDissolvesFastAndFoamsAtOnce() {
        assertThat(verdict(coconut, "firmness")).endsWith("hard after cure");
        assertThat(verdict(coconut, "in use")).isEqualTo("goes fast in use");
        assertThat(verdict(coconut, "lather")).startsWith("quick rich, lasting modest");
        assertThat(verdict(coconut, "keeping")).isEqualTo("keeps two years");
    }

    @Test
    void oliveIsSoftAtFirstAndLeavesAGelLikeSkin() {
        assertThat(verdict(olive, "firmness")).contains("soft at first");
        assertThat(verdict(olive, "body")).isEqualTo("a gel-like skin when wet");
        assertThat(verdict(olive, "lather")).startsWith("quick modest");
    }

    @Test
    void tallowLastsWithALastingLather() {
        assertThat(verdict(tallow, "in use")).isEqualTo("lasts");
        assertThat(verdict(tallow, "lather")).contains("lasting rich");
    }

    @Test
    void castorClingsAndTurnsRubberyWithWater() {
        Recipes castor = recipe().fat("olive-oil", 850).fat("castor-oil", 150);
        assertThat(verdict(castor, "touch")).isEqualTo("clings when wet");
        assertThat(verdict(castor.target(LiquidTarget.ratio(3)), "body")).isEqualTo("rubbery");
    }

    @Test
    void sunflowerIsToBeUsedWithinTheYear() {
        assertThat(verdict(recipe().fat("sunflower-oil", 600).fat("coconut-oil-76", 400), "keeping"))
                .isEqualTo("use within the year");
    }

    @Test
    void namesTheFatThatBringsMost() {
        assertThat(reason(
                        recipe().fat("olive-oil", 500)
                                .fat("coconut-oil-76", 200)
                                .fat("tallow-beef", 300),
                        "lather"))
                .contains("quick bubbles come from coconut")
                .contains("body from tallow");
    }
}
