package io.causticon.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class QuantityTest {

    @ParameterizedTest
    @ValueSource(doubles = {0, 0.1, 28.349523125, 504, 5000})
    void massesGoToOuncesAndBack(double grams) {
        assertThat(Mass.ounces(Mass.grams(grams).inOunces()).grams()).isCloseTo(grams, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-40, 0, 37, 43.5, 110})
    void temperaturesGoToFahrenheitAndBack(double celsius) {
        Temperature there = Temperature.fahrenheit(Temperature.celsius(celsius).inFahrenheit());
        assertThat(there.celsius()).isCloseTo(celsius, within(1e-9));
    }

    @Test
    void aLevelAndADifferenceAreTwoThings() {
        Temperature warm = Temperature.celsius(43);
        TemperatureChange change = warm.minus(Temperature.celsius(38));
        assertThat(change).isEqualTo(TemperatureChange.kelvin(5));
        assertThat(Temperature.celsius(38).plus(change)).isEqualTo(warm);
        assertThat(TemperatureChange.kelvin(-7).magnitude().isMoreThan(change)).isTrue();
    }

    @Test
    void estimatesTellHowSureTheyAre() {
        Estimate superfat = new Estimate(0.05, 0.0075);
        assertThat(superfat.halfWidth95()).isCloseTo(0.0147, within(1e-4));
        // Six and two thirds standard deviations above zero.
        assertThat(superfat.probabilityBelow(0)).isLessThan(1e-10);
        assertThat(superfat.probabilityBelow(0.05)).isCloseTo(0.5, within(1e-9));
        assertThat(new Estimate(3, 0).probabilityBelow(2)).isZero();
        assertThat(superfat.band95().contains(0.06)).isTrue();
    }

    @Test
    void impossibleValuesAreBugs() {
        assertThatThrownBy(() -> Mass.grams(Double.NaN)).hasMessageContaining("Impossible state");
        assertThatThrownBy(() -> Temperature.celsius(Double.POSITIVE_INFINITY))
                .hasMessageContaining("Impossible state");
        assertThatThrownBy(() -> Interval.between(2, 1)).hasMessageContaining("Impossible state");
        assertThatThrownBy(() -> new Estimate(1, -1)).hasMessageContaining("Impossible state");
    }

    @Test
    void sharesAreOfAWhole() {
        assertThat(Share.percent(33).of(Mass.grams(300)).grams()).isCloseTo(99, within(1e-9));
        assertThat(Share.percent(33).complement().inPercent()).isCloseTo(67, within(1e-9));
        assertThat(Interval.between(0, 10).clamp(12)).isEqualTo(10);
    }
}
