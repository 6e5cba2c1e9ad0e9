package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;

class CoolingBodyTest {

    private static final CoolingBody JUG = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.012);

    @Test
    void followsThePowerLaw() {
        // T0 80, room 20, k 0.012 a minute, p 0.15: 59.758 C after 30 min, 40 C after 84.405 min.
        assertThat(JUG.after(30).celsius()).isCloseTo(59.758, within(0.001));
        assertThat(JUG.minutesTo(Temperature.celsius(40))).isCloseTo(84.405, within(0.001));
    }

    @Test
    void timeAndTemperatureAreInverse() {
        for (double minutes = 5; minutes < 200; minutes += 13) {
            assertThat(JUG.minutesTo(JUG.after(minutes))).isCloseTo(minutes, within(1e-6));
        }
    }

    @Test
    void neverGetsBelowTheRoom() {
        assertThat(JUG.minutesTo(Temperature.celsius(20))).isInfinite();
        assertThat(JUG.minutesTo(Temperature.celsius(15))).isInfinite();
        assertThat(JUG.minutesTo(Temperature.celsius(90))).isZero();
    }

    @Test
    void whatIsColdWarmsUp() {
        CoolingBody cold = new CoolingBody(Temperature.celsius(5), Temperature.celsius(20), 0.012);
        assertThat(cold.after(60).celsius()).isBetween(5.0, 20.0);
        assertThat(new CoolingBody(Temperature.celsius(20), Temperature.celsius(20), 0.012)
                        .after(60)
                        .celsius())
                .isEqualTo(20);
    }
}
