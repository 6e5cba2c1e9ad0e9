package io.causticon.core.science.formula;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Weights;
import org.junit.jupiter.api.Test;

class SoapSolutionTest {

    private static final double GRAMS = 1400;

    private static double ph(double superfat, double converted) {
        Formula formula = recipe().fat("olive-oil", 700)
                .fat("coconut-oil-76", 300)
                .superfat(superfat)
                .formula();
        return SoapSolution.ph(Weights.planned(formula), formula.alkali(), GRAMS, converted);
    }

    @Test
    void ofPureAlkaliIsThatOfAStrongBase() {
        assertThat(SoapSolution.ph(0.01, 0)).isCloseTo(12, within(1e-6));
        assertThat(SoapSolution.ph(0, 0)).isCloseTo(7, within(1e-9));
    }

    @Test
    void ofANeutralBarStandsBetweenNineAndTenAndAHalf() {
        assertThat(ph(5, 1)).isBetween(9.0, 10.5);
        assertThat(ph(0, 1)).isCloseTo(ph(5, 1), within(0.05));
    }

    @Test
    void fallsAsSaponificationGoesOn() {
        double last = 14;
        for (double converted : new double[] {0, 0.05, 0.3, 0.7, 0.95, 0.99, 1}) {
            double ph = ph(5, converted);
            assertThat(ph).as("at %s", converted).isLessThan(last);
            last = ph;
        }
        // 3.5 mol in 1.4 kg: a gram of the fresh batter in 0.099 l is some 0.025 molar, pH 12.4.
        assertThat(ph(5, 0.02)).isBetween(12.2, 12.6);
    }

    @Test
    void staysHighWhenThereIsMoreAlkaliThanFatCanTake() {
        // Five per cent too much of 3.7 mol is 0.18 mol in 1.4 kg: a gram in 0.099 l is 1.3 mmol/l.
        assertThat(ph(-5, 1)).isCloseTo(14 + Math.log10(0.00133), within(0.08)).isGreaterThan(11);
    }
}
