package io.causticon.core.model.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Line.Point;
import io.causticon.core.model.said.notation.LineNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

class SilhouetteTest {

    private static final double WIDTH = 80;

    private static Line line(String typed) {
        return LineNotation.read("line", typed, WIDTH);
    }

    @Nested
    class Areas {

        @Test
        void ofFlatLayersAreTheirHeights() {
            Silhouette flat = new Silhouette(WIDTH, List.of(line("20"), line("50")));
            // 20 x 80 and 30 x 80 mm2.
            assertThat(flat.areas()).containsExactly(1600.0, 2400.0);
            assertThat(flat.shares().get(0).fraction()).isCloseTo(0.4, within(1e-12));
        }

        @Test
        void ofAHillAreThoseOfItsTriangles() {
            // From 10 up to 30 in the middle and down again: 80 x (10 + 30) / 2 = 1600 mm2.
            Silhouette hill = new Silhouette(WIDTH, List.of(line("10 30 10"), line("40")));
            assertThat(hill.areas().get(0)).isCloseTo(1600, within(1e-9));
            assertThat(hill.areas().get(1)).isCloseTo(1600, within(1e-9));
        }

        @Test
        void countCornersThatTheOtherLineHasNot() {
            // The lower line has a corner at 20 mm, the upper one at 60 mm.
            Silhouette s = new Silhouette(WIDTH, List.of(line("0:0 20:20 80:20"), line("0:40 60:40 80:60")));
            // Lower: 20 x 20 / 2 + 60 x 20 = 1400. Upper: 60 x 40 + 20 x 50 = 3400.
            assertThat(s.areas().get(0)).isCloseTo(1400, within(1e-9));
            assertThat(s.areas().get(1)).isCloseTo(2000, within(1e-9));
        }

        @RepeatedTest(40)
        void makeAWholeWhateverIsDrawn(RepetitionInfo info) {
            Random random = new Random(info.getCurrentRepetition());
            double height = 0;
            List<Line> lines = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                double base = height;
                double rise = 12;
                lines.add(new Line(IntStream.rangeClosed(0, 3 + random.nextInt(6))
                        .mapToObj(j -> new Point(7.5 * j, base + rise * random.nextDouble()))
                        .toList()));
                height += rise;
            }
            Silhouette s = new Silhouette(WIDTH, lines);
            assertThat(s.check(200, List.of("0", "1", "2", "3", "4"), List.of("a", "b", "c", "d", "e"))
                            .all())
                    .isEmpty();
            assertThat(s.shares().stream().mapToDouble(x -> x.fraction()).sum()).isCloseTo(1, within(1e-12));
            // Against a fine sum of rectangles.
            double sum = 0;
            for (int k = 0; k < 8000; k++) {
                double x = (k + 0.5) * WIDTH / 8000;
                sum += (lines.get(3).heightAt(x) - lines.get(2).heightAt(x)) * WIDTH / 8000;
            }
            assertThat(s.areas().get(3)).isCloseTo(sum, within(0.05));
        }
    }

    @Nested
    class Faults {

        private List<Problem> check(String... lines) {
            List<Line> drawn = Arrays.stream(lines).map(SilhouetteTest::line).toList();
            List<String> fields = IntStream.range(0, lines.length)
                    .mapToObj(i -> "portion" + i)
                    .toList();
            return new Silhouette(WIDTH, drawn).check(70, fields, fields).all();
        }

        @Test
        void areLinesThatCross() {
            assertThat(check("30", "40 20 40")).singleElement().satisfies(p -> {
                assertThat(p.key()).isEqualTo(ProblemKey.LINES_CROSS);
                assertThat(p.field()).isEqualTo("portion1");
                assertThat(p.values()).containsExactly("portion1", "portion0", 40.0);
            });
        }

        @Test
        void areLinesThatLeaveTheMould() {
            assertThat(check("30", "60 90 60")).singleElement().satisfies(p -> {
                assertThat(p.key()).isEqualTo(ProblemKey.ABOVE_THE_MOULD);
                assertThat(p.values()).containsExactly("portion1", 90.0, 70.0);
            });
        }

        @Test
        void areNotLinesThatTouch() {
            assertThat(check("30", "30 50 30", "70")).isEmpty();
        }
    }

    @Nested
    class Cuts {

        private final Mould loaf = new Mould("loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1);

        @Test
        void areMarkedWithTheMiddleOfEachBar() {
            Cutting cutting = Cutting.of(loaf, Mass.grams(1800), 25);
            assertThat(cutting.bars()).isEqualTo(12);
            assertThat(cutting.cuts()).startsWith(0.0, 25.0).endsWith(300.0).hasSize(13);
            assertThat(cutting.centres()).startsWith(12.5).endsWith(287.5).hasSize(12);
            assertThat(cutting.wet().grams()).isCloseTo(150, within(1e-9));
        }

        @Test
        void trimBothEndsAlike() {
            // 300 / 28 = 10.7: ten bars, 20 mm left, 10 at each end.
            Cutting cutting = Cutting.of(loaf, Mass.grams(1800), 28);
            assertThat(cutting.bars()).isEqualTo(10);
            assertThat(cutting.cuts()).startsWith(10.0).endsWith(290.0);
            assertThat(cutting.wet().grams()).isCloseTo(168, within(1e-9));
        }

        @Test
        void ofATubeGoAsFarAsItIsFilled() {
            Mould tube = new Mould("tube", MouldKind.TUBE, 72, 72, 300, 1);
            // 36^2 x pi x 200 mm = 814.3 ml.
            Cutting cutting = Cutting.of(tube, Mass.grams(815), 25);
            assertThat(cutting.bars()).isEqualTo(8);
        }

        @Test
        void areNoneInCavities() {
            Cutting cutting = Cutting.of(new Mould("dozen", MouldKind.CAVITIES, 80, 55, 30, 12), Mass.grams(1200), 25);
            assertThat(cutting.bars()).isEqualTo(12);
            assertThat(cutting.cuts()).isEmpty();
            assertThat(cutting.wet().grams()).isCloseTo(100, within(1e-9));
        }
    }

    @Nested
    class Volumes {

        @Test
        void ofATubeAreThoseOfACylinder() {
            assertThat(new Mould("tube", MouldKind.TUBE, 72, 72, 300, 1).volume())
                    .isCloseTo(Math.PI * 36 * 36 * 300 / 1000, within(1e-9));
        }

        @Test
        void measuredByWaterAreBelieved() {
            Mould rose = new Mould("rose", MouldKind.CUSTOM, 70, 70, 35, 6, 95.0);
            assertThat(rose.volume()).isCloseTo(570, within(1e-9));
            assertThat(rose.capacity(1.02).grams()).isCloseTo(581.4, within(1e-9));
        }
    }
}
