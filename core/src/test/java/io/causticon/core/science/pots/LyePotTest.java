package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LyePotTest {

    private static final Temperature ROOM = Temperature.celsius(20);

    // The curve through the table, computed independently with a second implementation of the same interpolation.
    @ParameterizedTest
    @CsvSource({"2.22, -21.043", "3.5, -32.033", "4.44, -36.082", "7, -41.017", "12, -42.710", "75, -42.397"})
    void heatOfSolutionFollowsTheTableWithoutOvershoot(double moles, double expected) {
        assertThat(LyeSolution.kilojoulesPerMoleDissolved(moles)).isCloseTo(expected, within(0.005));
    }

    @ParameterizedTest
    @CsvSource({
        // NaOH, water, its start, ice, its start -> C
        "100, 200, 20, 0, 0, 110.26",
        "100, 200, 5, 0, 0, 97.7",
        "100, 0, 20, 200, -18, 19.44",
        "100, 100, 20, 100, -18, 64.85",
        "100, 100, 20, 100, -6, 67.32",
        "100, 150, 20, 50, -18, 87.6",
        "100, 50, 20, 150, -18, 42.1",
        "100, 100, 20, 0, 0, 100.96"
    })
    void peaksWithoutLoss(double naoh, double water, double waterStart, double ice, double iceStart, double expected) {
        LyePot pot = new LyePot(
                Mass.grams(naoh),
                ROOM,
                Mass.grams(water),
                Temperature.celsius(waterStart),
                Mass.grams(ice),
                Temperature.celsius(iceStart),
                Mass.ZERO,
                0);
        assertThat(pot.adiabaticPeak().celsius()).isCloseTo(expected, within(0.1));
    }

    @Test
    void acidAddsItsHeatOfNeutralisation() {
        double acetic = 10 / 60.052;
        LyePot vinegar =
                new LyePot(Mass.grams(100), ROOM, Mass.grams(190), ROOM, Mass.ZERO, ROOM, Mass.grams(10), acetic);
        LyePot without = LyePot.plain(Mass.grams(100), Mass.grams(190), ROOM);
        // About nine kelvin for 10 g of acetic acid in 300 g of liquor: 9.3 kJ over some 1 kJ/K.
        assertThat(vinegar.adiabaticPeak().celsius() - without.adiabaticPeak().celsius())
                .isBetween(8.0, 10.5);
        assertThat(vinegar.adiabaticPeak().celsius()).isCloseTo(119.6, within(0.1));
    }

    @Test
    void moreIceIsAlwaysCooler() {
        double last = Double.POSITIVE_INFINITY;
        for (double frozen = 0; frozen <= 200; frozen += 20) {
            double peak = new LyePot(
                            Mass.grams(100),
                            ROOM,
                            Mass.grams(200 - frozen),
                            ROOM,
                            Mass.grams(frozen),
                            Temperature.celsius(-18),
                            Mass.ZERO,
                            0)
                    .adiabaticPeak()
                    .celsius();
            assertThat(peak).isLessThan(last);
            last = peak;
        }
    }

    @Test
    void aHydrateCrystallisesFromStrongLyeInTheFridge() {
        // Local maximum of the phase diagram at 38.8 %: 15.6 C.
        assertThat(LyeSolution.crystallisationCelsius(0.388)).isCloseTo(15.6, within(0.01));
        assertThat(LyeSolution.crystallisationCelsius(0.25)).isNegative();
    }
}
