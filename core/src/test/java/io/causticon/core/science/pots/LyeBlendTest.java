package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Potassium hydroxide in the lye pot. */
class LyeBlendTest {

    private static final Temperature ROOM = Temperature.celsius(20);

    private static double peak(double naoh, double koh, double purity, double water) {
        LyePot pot = new LyePot(
                Mass.grams(naoh + koh),
                LyeBlend.of(naoh, koh, Share.percent(purity)),
                ROOM,
                Mass.grams(water),
                ROOM,
                Mass.ZERO,
                ROOM,
                Mass.ZERO,
                0);
        return pot.adiabaticPeak().celsius();
    }

    @ParameterizedTest
    @CsvSource({
        // 100 g in 233 g. Dry: 1.782 mol, n = 7.26, 54.35 kJ each = 96.9 kJ; less 5.6 kJ to come to 25 C; over 333 g x
        // 2.99 J/gK.
        "99.5, 116.6",
        // 8 g of it are water: 1.640 mol x 54.9 kJ - 0.444 mol x 38 kJ = 73.2 kJ.
        "90, 92.9",
        // 13 g: 1.551 mol x 55.1 - 0.722 x 38 = 58.0 kJ.
        "85, 77.6"
    })
    void thePurerTheHotter(double purity, double expected) {
        assertThat(peak(0, 100, purity, 233)).isCloseTo(expected, within(0.6));
    }

    @Test
    void noMoreWaterIsBoundThanTheHydrateHolds() {
        // KOH H2O is 24.3 % water; what is weaker than that is not hotter for it.
        assertThat(LyeBlend.of(0, 1, Share.percent(40)).bound().fraction()).isCloseTo(0.243, within(0.001));
        assertThat(LyeBlend.of(0, 1, Share.percent(99)).bound().fraction()).isZero();
    }

    @Test
    void bothLieBetweenEither() {
        double sodium = peak(100, 0, 90, 233);
        double potassium = peak(0, 100, 90, 233);
        assertThat(peak(50, 50, 90, 233)).isBetween(Math.min(sodium, potassium), Math.max(sodium, potassium));
        assertThat(LyeBlend.of(100, 0, Share.percent(90))).isEqualTo(LyeBlend.SODIUM);
    }

    @Test
    void aRunWithoutLossesEndsWhereTheBalanceDoes() {
        LyePot pot = new LyePot(
                Mass.grams(100),
                LyeBlend.of(30, 70, Share.percent(90)),
                ROOM,
                Mass.grams(233),
                ROOM,
                Mass.ZERO,
                ROOM,
                Mass.ZERO,
                0.1);
        LyePotCurve run = LyePotRun.run(new LyePotSetup(pot, false, 2, PotVessel.NONE, ROOM, ROOM, false, false), 30);
        assertThat(run.peakCelsius()).isCloseTo(pot.adiabaticPeak().celsius(), within(0.5));
    }

    @Test
    void aMixedPotThatIsDilutedEndsWhereOneMadeAtOnceDoes() {
        LyeBlend blend = LyeBlend.of(30, 70, Share.percent(90));
        LyePot strong = new LyePot(Mass.grams(100), blend, ROOM, Mass.grams(120), ROOM, Mass.ZERO, ROOM, Mass.ZERO, 0);
        LyePot atOnce = new LyePot(Mass.grams(100), blend, ROOM, Mass.grams(240), ROOM, Mass.ZERO, ROOM, Mass.ZERO, 0);
        LyeDilution diluted = new LyeDilution(
                Mass.grams(100),
                blend,
                Mass.grams(120),
                strong.adiabaticPeak(),
                Mass.grams(120),
                ROOM,
                Mass.ZERO,
                ROOM,
                Mass.ZERO,
                0);
        assertThat(diluted.mixed().celsius()).isCloseTo(atOnce.adiabaticPeak().celsius(), within(0.05));
    }
}
