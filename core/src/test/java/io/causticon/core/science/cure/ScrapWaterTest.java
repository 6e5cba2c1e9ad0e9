package io.causticon.core.science.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Share;
import java.time.Duration;
import org.junit.jupiter.api.Test;

class ScrapWaterTest {

    private static Estimate after(int days) {
        return ScrapWater.of(Share.percent(26), Duration.ofDays(days));
    }

    @Test
    void beginsWithWhatWasInThePotAndEndsNearAnEleventh() {
        assertThat(after(0).value()).isCloseTo(0.26, within(1e-9));
        assertThat(after(12).value()).isBetween(0.14, 0.17);
        assertThat(after(120).value()).isCloseTo(0.09, within(0.002));
    }

    @Test
    void isKnownWorstWhileItDries() {
        assertThat(after(10).standardDeviation())
                .isGreaterThan(after(0).standardDeviation())
                .isGreaterThan(after(200).standardDeviation());
    }

    @Test
    void neverDriesWhatIsDrierThanTheAirLeavesIt() {
        assertThat(ScrapWater.of(Share.percent(5), Duration.ofDays(90)).value()).isCloseTo(0.05, within(1e-9));
        assertThat(ScrapWater.of(Share.percent(26), Duration.ofDays(-3)).value())
                .isCloseTo(0.26, within(1e-9));
    }
}
