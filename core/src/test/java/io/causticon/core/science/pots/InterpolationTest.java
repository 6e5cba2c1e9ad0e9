package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Relations that are known at points. */
class InterpolationTest {

    @Nested
    class StraightLines {

        private final Table table = Table.of(0, 1, 10, 3, 20, 2);

        @ParameterizedTest
        @CsvSource({"0, 1", "10, 3", "20, 2", "5, 2", "15, 2.5", "-4, 1", "99, 2"})
        void meetThePointsAndAreHeldAtTheEnds(double at, double expected) {
            assertThat(table.at(at)).isCloseTo(expected, within(1e-12));
        }
    }

    @Nested
    class AMonotoneCurve {

        private final double[] x = {0, 1, 2, 4, 7, 8};
        private final double[] y = {0, 0.1, 3, 3.2, 3.2, 9};
        private final MonotoneCubic curve = new MonotoneCubic(x, y);

        @Test
        void meetsItsPoints() {
            for (int i = 0; i < x.length; i++) {
                assertThat(curve.at(x[i])).isCloseTo(y[i], within(1e-9));
            }
        }

        @Test
        void neverFallsWhereThePointsRise() {
            double last = curve.at(0);
            for (double at = 0; at <= 8; at += 0.01) {
                double now = curve.at(at);
                assertThat(now).as("at %s", at).isGreaterThanOrEqualTo(last - 1e-9);
                last = now;
            }
        }

        @Test
        void staysBetweenTheTwoPointsAroundIt() {
            for (int i = 0; i + 1 < x.length; i++) {
                for (double part = 0; part <= 1; part += 0.05) {
                    assertThat(curve.at(x[i] + part * (x[i + 1] - x[i]))).isBetween(y[i] - 1e-9, y[i + 1] + 1e-9);
                }
            }
        }

        @Test
        void isStraightWhereThePointsAre() {
            MonotoneCubic line = new MonotoneCubic(new double[] {0, 1, 3, 6}, new double[] {5, 7, 11, 17});
            for (double at = 0; at <= 6; at += 0.25) {
                assertThat(line.at(at)).isCloseTo(5 + 2 * at, within(1e-9));
            }
        }

        @Test
        void isHeldAtItsEnds() {
            assertThat(curve.at(-3)).isEqualTo(0);
            assertThat(curve.at(30)).isEqualTo(9);
        }
    }
}
