package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;

/** Liquids that join 100 g of lye in 100 g of water. */
class LyeDilutionTest {

    private static Temperature at(double celsius) {
        return Temperature.celsius(celsius);
    }

    private static LyeDilution joins(double lye, double water, double waterAt, double ice, double solids) {
        return new LyeDilution(
                Mass.grams(100),
                LyeBlend.SODIUM,
                Mass.grams(100),
                at(lye),
                Mass.grams(water),
                at(waterAt),
                Mass.grams(ice),
                at(-18),
                Mass.grams(solids),
                0);
    }

    @Test
    void waterWarmsItByDilutionAlone() {
        // n goes from 2.22 to 4.44: 2.5 mol x (36.08 - 21.04) kJ = 37.6 kJ into some 300 g.
        assertThat(joins(30, 100, 20, 0, 0).mixed().celsius()).isCloseTo(63.8, within(0.3));
    }

    @Test
    void milkFromTheFridgePassesFifty() {
        assertThat(joins(30, 87, 5, 0, 13).mixed().celsius()).isCloseTo(56.4, within(0.5));
    }

    @Test
    void frozenMilkCoolsItAndFrozenWaterMoreSo() {
        assertThat(joins(30, 0, 0, 87, 13).mixed().celsius()).isCloseTo(20.99, within(0.6));
        assertThat(joins(30, 0, 0, 100, 0).mixed().celsius()).isCloseTo(18.36, within(0.3));
    }

    @Test
    void frozenMilkBarelyWarmsItOnTheWay() {
        assertThat(joins(30, 0, 0, 87, 13).highest().celsius()).isBetween(30.0, 35.0);
    }

    @Test
    void agreesWithTheBalanceOfThePotThatWasMadeAtOnce() {
        // 100 g of lye in 100 g of water of 20 C, and 100 g of water of 20 C onto that without a loss, end where all of
        // it at once does.
        Temperature strong =
                LyePot.plain(Mass.grams(100), Mass.grams(100), at(20)).adiabaticPeak();
        Temperature atOnce =
                LyePot.plain(Mass.grams(100), Mass.grams(200), at(20)).adiabaticPeak();
        assertThat(joins(strong.celsius(), 100, 20, 0, 0).mixed().celsius()).isCloseTo(atOnce.celsius(), within(1e-6));
    }

    @Test
    void tellsHowWarmTheLyeMayBe() {
        LyeDilution frozen = joins(35, 0, 0, 87, 13);
        double warmest = frozen.warmestLye(at(40)).celsius();
        assertThat(warmest).isBetween(34.0, 40.0);
        assertThat(frozen.withLyeAt(at(warmest)).highest().celsius()).isLessThanOrEqualTo(40.0);
        assertThat(frozen.withLyeAt(at(warmest + 0.1)).highest().celsius()).isGreaterThan(40.0);
        // Thawed, no lye that is still liquid is cold enough.
        assertThat(frozen.thawedAt(at(5)).warmestLye(at(40)).celsius()).isLessThan(15);
    }
}
