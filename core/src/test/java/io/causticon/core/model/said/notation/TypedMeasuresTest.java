package io.causticon.core.model.said.notation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Line.Point;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedMeasuresTest {

    private static void refuses(Runnable reading, ProblemKey key) {
        assertThatThrownBy(reading::run)
                .isInstanceOfSatisfying(
                        ProblemsException.class,
                        e -> assertThat(e.problems()).extracting(Problem::key).containsExactly(key));
    }

    @Nested
    class Fractions {

        @ParameterizedTest
        @CsvSource(
                delimiter = '|',
                value = {
                    "8 1/2 oz | 8.5",
                    "8-1/2 oz | 8.5",
                    "8½ oz | 8.5",
                    "5⅜ oz | 5.375",
                    "1,000 1/2 oz | 1000.5",
                    "1/4 oz | 0.25",
                    "1 lb 2 3/4 oz | 18.75",
                    "1/2 lb | 8",
                    "1 1/2 lb | 24",
                    "3/16 oz | 0.1875",
                    "2 1/3 oz | 2.333333"
                })
        void areOfAKitchen(String typed, double ounces) {
            assertThat(MassNotation.read("mass", typed, Units.US).inOunces()).isCloseTo(ounces, within(1e-6));
        }

        @ParameterizedTest
        @ValueSource(strings = {"8 3/2 oz", "1 000 1/2 g", "5/7 oz", "1/0 oz", "1//2 oz", "1/2/3 oz"})
        void thatAreNoneAreNotReadAsSomethingElse(String typed) {
            refuses(() -> MassNotation.read("mass", typed, Units.US), ProblemKey.NOT_A_NUMBER);
        }
    }

    @Nested
    class Doses {

        /** Of something that weighs 6 g a teaspoon, in 800 g of fats. */
        @ParameterizedTest
        @CsvSource(
                delimiter = '|',
                value = {
                    "30 | 30",
                    "30 g | 30",
                    "1 oz | 28.3495",
                    "3 % | 24",
                    "2,5% | 20",
                    "2 tsp | 12",
                    "1 tbsp | 18",
                    "1 tsp/500 g | 9.6",
                    "1 tsp per lb | 10.582",
                    "2 tbsp per kg | 28.8",
                    "20 drops | 0.8",
                    "1 drop | 0.04"
                })
        void areReadAsMakersSayThem(String typed, double grams) {
            assertThat(DoseNotation.read("dose", typed, Units.METRIC)
                            .of(6.0, Mass.grams(800))
                            .grams())
                    .isCloseTo(grams, within(0.001));
        }

        @ParameterizedTest
        @ValueSource(strings = {"30", "3 %", "2 tsp", "5 tsp/kg", "20 drops", "12.75"})
        void comeBackAsTheyWereTyped(String typed) {
            assertThat(DoseNotation.write(DoseNotation.read("dose", typed, Units.METRIC), Units.METRIC))
                    .isEqualTo(typed);
        }

        @Test
        void growWithTheRecipe() {
            Dose spoons = new Dose(Dose.Way.TEASPOONS, 2);
            Dose share = DoseNotation.read("dose", "3 %", Units.METRIC);
            assertThat(spoons.scaledBy(3).value()).isEqualTo(6);
            assertThat(share.scaledBy(3)).isEqualTo(share);
        }

        @Test
        void areRefusedWhenTheyAreNone() {
            refuses(() -> DoseNotation.read("dose", "a pinch", Units.METRIC), ProblemKey.NOT_A_NUMBER);
            refuses(() -> DoseNotation.read("dose", "", Units.METRIC), ProblemKey.MISSING);
            refuses(() -> DoseNotation.read("dose", "1 tsp per 0 g", Units.METRIC), ProblemKey.TOO_LOW);
        }
    }

    @Nested
    class Lengths {

        @ParameterizedTest
        @CsvSource(
                delimiter = '|',
                value = {
                    "85 | 85",
                    "8.5 cm | 85",
                    "8,5cm | 85",
                    "3.5 in | 88.9",
                    "3 1/2 in | 88.9",
                    "3½ in | 88.9",
                    "3/4\" | 19.05",
                    "240 mm | 240"
                })
        void areReadInMillimetres(String typed, double millimetres) {
            assertThat(LengthNotation.readMillimetres("length", typed)).isCloseTo(millimetres, within(1e-9));
        }

        @Test
        void areRefusedWhenTheyAreNone() {
            refuses(() -> LengthNotation.readMillimetres("length", "long"), ProblemKey.NOT_A_LENGTH);
            refuses(() -> LengthNotation.readMillimetres("length", "3/0 in"), ProblemKey.NOT_A_LENGTH);
        }
    }

    @Nested
    class Lines {

        @Test
        void areFlatForOneHeight() {
            assertThat(LineNotation.read("line", "22", 80).isFlat()).isTrue();
        }

        @Test
        void areEvenlySpacedHeights() {
            assertThat(LineNotation.read("line", "20 34,5 20", 80).points())
                    .containsExactly(new Point(0, 20), new Point(40, 34.5), new Point(80, 20));
        }

        @Test
        void areHeightsAtDistances() {
            assertThat(LineNotation.read("line", "0:20, 30:34, 80:18", 80).points())
                    .containsExactly(new Point(0, 20), new Point(30, 34), new Point(80, 18));
        }

        @ParameterizedTest
        @ValueSource(strings = {"22", "0:20 30:34.5 80:18"})
        void comeBackAsTheyWereTyped(String typed) {
            assertThat(LineNotation.write(LineNotation.read("line", typed, 80))).isEqualTo(typed);
        }

        @Test
        void areRefusedWhenTheyAreNone() {
            refuses(() -> LineNotation.read("line", "up and down", 80), ProblemKey.NOT_A_LINE);
            refuses(() -> LineNotation.read("line", "10:20 10:30", 80), ProblemKey.NOT_A_LINE);
            refuses(() -> LineNotation.read("line", "-4", 80), ProblemKey.TOO_LOW);
            refuses(() -> LineNotation.read("line", "", 80), ProblemKey.MISSING);
            refuses(() -> LineNotation.read("line", "1 ".repeat(50), 80), ProblemKey.TOO_MANY);
        }
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.04, 7, 169.1, 1234.56, 49_999.99})
    void massesMakeTheRoundTripInEveryUnit(double grams) {
        for (Units.MassUnit unit : Units.MassUnit.values()) {
            Units units = new Units(unit, Units.TemperatureUnit.CELSIUS);
            String typed = MassNotation.write(Mass.grams(grams), units);
            assertThat(MassNotation.read("mass", typed, units).grams())
                    .as(typed)
                    .isCloseTo(grams, within(0.0051));
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"2 1", "1 2 3", "12 34", "1 2000", "1200 500", "0 500"})
    void twoNumbersAreNotOne(String typed) {
        assertThatThrownBy(() -> NumberNotation.read("f", typed)).isInstanceOf(ProblemsException.class);
        assertThat(NumberNotation.read("f", "12 345.5")).isEqualTo(12_345.5);
        assertThat(NumberNotation.read("f", "- 5")).isEqualTo(-5);
    }
}
