package io.causticon.core.science.loaf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** The section and its length against the whole body, series and the balance of energy. */
class ThreeDimensionsTest {

    private static final Batter PLAIN = Batter.of(3.475, 0.05, 0.33, 0, 1);
    private static final double[] HOURS = {0.25, 0.5, 1, 2, 3, 4, 6, 8, 12};

    private static Temperature at(double celsius) {
        return Temperature.celsius(celsius);
    }

    private static LoafSetup in(
            MouldKind kind,
            double length,
            double width,
            double height,
            LoafSetup.Wrap wrap,
            double poured,
            Programme around) {
        return LoafSetup.in(
                new Mould("it", kind, length, width, height + 2, 1), height, PLAIN, wrap, at(poured), around);
    }

    static Stream<Arguments> bodies() {
        Programme room = Programme.at(at(20));
        return Stream.of(
                Arguments.of("a cavity", in(MouldKind.CAVITIES, 60, 60, 30, LoafSetup.Wrap.OPEN, 38, room), 0.005),
                Arguments.of(
                        "a cavity in an oven",
                        in(
                                MouldKind.CAVITIES,
                                60,
                                60,
                                30,
                                LoafSetup.Wrap.OPEN,
                                38,
                                Programme.oven(at(70), Duration.ofHours(1), true, at(20))),
                        0.004),
                Arguments.of(
                        "silicone, open",
                        in(MouldKind.SILICONE_LOAF, 200, 65, 70, LoafSetup.Wrap.OPEN, 38, room),
                        0.0075),
                Arguments.of(
                        "wood, wrapped",
                        in(MouldKind.WOODEN_LOAF, 240, 85, 68, LoafSetup.Wrap.INSULATED, 43, room),
                        0.0075),
                Arguments.of(
                        "a cube", in(MouldKind.WOODEN_LOAF, 120, 120, 100, LoafSetup.Wrap.COVERED, 38, room), 0.0075),
                Arguments.of("a slab", in(MouldKind.SLAB, 300, 220, 38, LoafSetup.Wrap.COVERED, 38, room), 0.0075),
                Arguments.of(
                        "ten kilograms",
                        in(MouldKind.WOODEN_LOAF, 400, 200, 115, LoafSetup.Wrap.COVERED, 38, room),
                        0.011),
                Arguments.of(
                        "in a fridge",
                        in(MouldKind.WOODEN_LOAF, 240, 85, 68, LoafSetup.Wrap.OPEN, 38, Programme.cold(at(5), at(20))),
                        0.0075));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bodies")
    void ofAWholeBodyAreTheSame(String name, LoafSetup setup, double cell) {
        ThreeDimensions body = new ThreeDimensions(setup, cell);
        double[] middle = body.middleAt(HOURS);
        LoafHistory section = LoafHeat.run(setup, 12);
        for (int i = 0; i < HOURS.length; i++) {
            assertThat(section.coreCelsiusAt(HOURS[i]))
                    .as("after %s h", HOURS[i])
                    .isCloseTo(middle[i], within(0.5));
        }
        assertThat(section.peak()).isCloseTo(body.peak, within(0.5));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bodies")
    void keepTheirEnergy(String name, LoafSetup setup, double cell) {
        assertThat(LoafHeat.imbalance(setup, 24)).isCloseTo(0, within(1e-9));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("bodies")
    void ofFewCellsTellWhatManyTell(String name, LoafSetup setup, double cell) {
        LoafHeat.Resolution fine = new LoafHeat.Resolution(0.004, 12, 24, 14, 28, 25);
        LoafHistory many = LoafHeat.run(setup, LoafHeat.Span.untilCold(12), LoafHeat.Parameters.USUAL, fine);
        LoafHistory few = LoafHeat.run(setup, 12);
        assertThat(few.peak()).isCloseTo(many.peak(), within(0.1));
        assertThat(few.gelShare()).isCloseTo(many.gelShare(), within(0.03));
    }

    /** Nothing reacts: 2.4 MJ/(m3 K), 0.28 W/(m K), films of 10 W/(m2 K), from 60 C in 20 C. */
    private static LoafSetup inert(double width, double height) {
        Batter batter = new Batter(0, 2.4e6, 1010, 99, 0);
        Wall film = Wall.of(10, List.of());
        Wall shut = new Wall(0, 1e9, 0);
        return new LoafSetup(batter, width, height, 20, width > 1 ? shut : film, film, film, at(60), 1, at(20));
    }

    @Test
    void coolAsTheSeriesForASlabTells() {
        // 40 mm, Biot .714; middle by the Fourier series of a plate (Carslaw and Jaeger, 3.11): 58.907, 52.366, 43.974,
        // 33.143 C.
        LoafHistory slab = LoafHeat.run(inert(4, .04), 3);
        assertThat(slab.coreCelsiusAt(600 / 3600.0)).isCloseTo(58.907, within(0.1));
        assertThat(slab.coreCelsiusAt(0.5)).isCloseTo(52.366, within(0.1));
        assertThat(slab.coreCelsiusAt(1)).isCloseTo(43.974, within(0.1));
        assertThat(slab.coreCelsiusAt(2)).isCloseTo(33.143, within(0.1));
    }

    @Test
    void coolAsTheProductOfTwoSeriesForAColumnTells() {
        // 60 x 60 mm: 54.452, 44.444, 31.844 C.
        LoafHistory column = LoafHeat.run(inert(.06, .06), 3);
        assertThat(column.coreCelsiusAt(0.5)).isCloseTo(54.452, within(0.1));
        assertThat(column.coreCelsiusAt(1)).isCloseTo(44.444, within(0.1));
        assertThat(column.coreCelsiusAt(2)).isCloseTo(31.844, within(0.1));
    }

    @Test
    void boilAwayWhatWouldPassAHundred() {
        // Much honey, wrapped, poured hot into a big block: without steam it would pass 110 C.
        Batter honey = Batter.of(3.475, .05, .33, .12, 1.8);
        LoafSetup setup = LoafSetup.in(
                new Mould("it", MouldKind.WOODEN_LOAF, 400, 200, 120, 1),
                115,
                honey,
                LoafSetup.Wrap.INSULATED,
                at(55),
                at(22));
        LoafHistory history = LoafHeat.run(setup, 24);
        assertThat(history.peak()).isEqualTo(100);
        // Two per cent of 1 kg of batter in steam take 45 kJ, some 19 K of it.
        assertThat(history.boiledOff()).isBetween(0.005, 0.03);
        assertThat(LoafHeat.imbalance(setup, 24)).isCloseTo(0, within(1e-9));
    }
}
