package io.causticon.core.making;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.Recipes;
import io.causticon.core.formula.LiquidTarget;
import org.junit.jupiter.api.Test;

class WorkingTimeTest {

    private static double minutes(Recipes recipe) {
        return WorkingTime.forecast(recipe.plan()).minutes();
    }

    private static Recipes plain() {
        return recipe().fat("olive-oil", 600).fat("palm-oil", 400);
    }

    @Test
    void strongerLyeIsQuicker() {
        assertThat(minutes(plain().target(LiquidTarget.concentration(.40))))
                .isLessThan(minutes(plain().target(LiquidTarget.concentration(.28))));
    }

    @Test
    void longSaturatesAreQuickerThanOleic() {
        assertThat(minutes(recipe().fat("palm-oil", 700).fat("olive-oil", 300)))
                .isLessThan(minutes(recipe().fat("palm-oil", 100).fat("olive-oil", 900)));
    }

    @Test
    void aMoverAndClayAreQuicker() {
        assertThat(minutes(plain().additive("eo-clove", 8))).isLessThan(0.5 * minutes(plain()));
        assertThat(minutes(plain().additive("kaolin", 20))).isLessThan(minutes(plain()));
    }

    @Test
    void theBandIsWhatTheMethodSaysAndHoldsTheMedian() {
        WorkingTime time = WorkingTime.forecast(plain().plan());
        // 80 % of a log-normal with sigma 0.42: a factor exp(1.2816 x 0.42) = 1.713 either way.
        assertThat(time.band().high() / time.minutes()).isCloseTo(1.713, within(0.002));
        assertThat(time.minutes() / time.band().low()).isCloseTo(1.713, within(0.002));
    }

    @Test
    void reasonsMultiplyToTheForecastAndTheStrongestComesFirst() {
        WorkingTime time = WorkingTime.forecast(plain().additive("eo-clove", 8).plan());
        double product = 12;
        for (WorkingTime.Reason reason : time.reasons()) {
            product *= reason.factor();
        }
        assertThat(product).isCloseTo(time.minutes(), within(1e-9));
        assertThat(time.reasons().get(0).words()).contains("clove");
    }
}
