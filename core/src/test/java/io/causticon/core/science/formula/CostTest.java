package io.causticon.core.science.formula;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Map;
import org.junit.jupiter.api.Test;

class CostTest {

    private static final Map<String, BigDecimal> PRICES = Map.of(
            "olive-oil",
            new BigDecimal("8.40"),
            "coconut-oil-76",
            new BigDecimal("4.60"),
            Cost.NAOH,
            new BigDecimal("3.80"));

    @Test
    void addsWhatIsBought() {
        // 0.7 x 8.40 + 0.3 x 4.60 + 0.142084 x 3.80 = 5.88 + 1.38 + 0.5399 = 7.80. Water costs nothing.
        Cost cost = Cost.of(
                recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).formula(), PRICES);
        assertThat(cost.total()).isEqualTo("7.80");
        assertThat(cost.unpriced()).isEmpty();
        assertThat(cost.perBar(12)).isEqualTo("0.65");
    }

    @Test
    void namesWhatHasNoPrice() {
        Cost cost = Cost.of(
                recipe().fat("olive-oil", 700)
                        .fat("shea-butter", 100)
                        .liquid("goat-milk-whole", 100)
                        .additive("eo-lavender", 20)
                        .formula(),
                PRICES);
        assertThat(cost.unpriced()).containsExactly("Shea butter", "Goat milk, whole", "Essential oil: lavender");
    }
}
