package io.causticon.core.loaf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.mould.Mould;
import io.causticon.core.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class LoafHeatTest {

    /** Fats that take 3.475 mol/kg, 5 % superfat, 33 % lye, no sugar. */
    private static final Batter PLAIN = Batter.of(3.475, 0.05, 0.33, 0, 1);

    private static final Wall WOOD_TOWEL = Wall.of(Wall.FILM_SIDE, List.of(Wall.Layer.WOOD_15, Wall.Layer.TOWELS));
    private static final Wall SILICONE = Wall.of(Wall.FILM_SIDE, List.of(Wall.Layer.SILICONE_2));

    @Nested
    class Batters {

        @Test
        void haveTheDensityAndHeatOfTheirParts() {
            // 1 kg fats + 0.400 kg of 33 % lye: 1010 kg/m3, 2.406 MJ/(m3 K), 244 kJ a kg of fats over 1.386 l.
            assertThat(PLAIN.density()).isCloseTo(1010.3, within(1.0));
            assertThat(PLAIN.volumetricCapacity()).isCloseTo(2.4058e6, within(5e3));
            assertThat(PLAIN.volumetricHeat() * 1.3858e-3).isCloseTo(243_800, within(1500.0));
        }

        @Test
        void gelHotterWhenTheLyeIsStronger() {
            assertThat(Batter.of(3.475, .05, .28, 0, 1).gelPoint()).isCloseTo(62.3, within(0.1));
            assertThat(Batter.of(3.475, .05, .40, 0, 1).gelPoint()).isCloseTo(78.5, within(0.1));
        }
    }

    @Nested
    class Loaves {

        @Test
        void gelWhollyInInsulatedWood() {
            LoafHistory history = LoafHeat.run(insulated(43, 20), 48);
            // Reference section 85 x 68 x 240 mm: 82.0 C at 3.03 h; walls here are rounded to whole layers.
            assertThat(history.peak()).isCloseTo(82.0, within(0.8));
            assertThat(history.peakHour()).isCloseTo(3.03, within(0.15));
            assertThat(history.extent()).isEqualTo(LoafHistory.Extent.FULL);
        }

        @Test
        void stayPaleInAnOpenSiliconeMould() {
            LoafSetup open = new LoafSetup(
                    PLAIN, .065, .075, .24, SILICONE, Wall.of(Wall.FILM_TOP, List.of()), bottom(), at(27), .05, at(19));
            LoafHistory history = LoafHeat.run(open, 48);
            // Reference: 44.0 C at 5.9 h, no gel.
            assertThat(history.peak()).isCloseTo(44.0, within(2.5));
            assertThat(history.extent()).isEqualTo(LoafHistory.Extent.NONE);
        }

        @Test
        void runHotterWhenPouredWarmer() {
            assertThat(LoafHeat.run(insulated(32, 20), 48).peak()).isCloseTo(72.8, within(1.0));
            assertThat(LoafHeat.run(insulated(50, 20), 48).peak()).isCloseTo(88.4, within(1.0));
        }

        @Test
        void endAtTheTemperatureOfTheRoom() {
            LoafHistory history = LoafHeat.run(insulated(43, 17), 96);
            assertThat(history.coreCelsiusAt(95)).isCloseTo(17, within(0.5));
        }

        @Test
        void sugarMakesThemHotter() {
            Batter honey = Batter.of(3.475, .05, .33, .07, 1.5);
            LoafSetup plain = insulated(45, 20);
            LoafSetup sweet = new LoafSetup(
                    honey, .085, .068, .24, plain.side(), plain.top(), plain.bottom(), at(45), .07, at(20));
            // Reference: 93.9 C.
            assertThat(LoafHeat.run(sweet, 24).peak()).isCloseTo(93.9, within(1.0));
        }
    }

    @Nested
    class Cylinders {

        @Test
        void thatStandOpenDoNotGelAndWrappedOnesDo() {
            Mould tube = new Mould("tube", MouldKind.TUBE, 75, 75, 300, 1);
            LoafHistory open = LoafHeat.run(LoafSetup.in(tube, 280, PLAIN, LoafSetup.Wrap.OPEN, at(42), at(20)), 24);
            LoafHistory wrapped = LoafHeat.run(LoafSetup.in(tube, 280, PLAIN, LoafSetup.Wrap.INSULATED, at(42), at(20)), 24);
            assertThat(open.peak()).isBetween(52.0, 66.0);
            assertThat(open.extent()).isEqualTo(LoafHistory.Extent.NONE);
            assertThat(wrapped.peak()).isBetween(76.0, 86.0);
            assertThat(wrapped.extent()).isNotEqualTo(LoafHistory.Extent.NONE);
        }

        @Test
        void coolAsTheSeriesForACylinderTells() {
            // Infinite cylinder of 75 mm, k .28, rho cp 2.4e6, h 10, from 60 C in 20 C; Bi = 1.339. Centre by six terms of the Bessel series
            // (Carslaw and Jaeger, 7.7): 56.46 C after 30 min, 47.95 after 1 h, 35.61 after 2 h.
            Batter inert = new Batter(0, 2.4e6, 1010, 69, 0);
            Wall film = Wall.of(10, List.of());
            LoafSetup setup = new LoafSetup(
                    inert, LoafSetup.Shape.CYLINDER, .075, .6, 1, film, film, film, at(60), .05, at(20));
            LoafHistory history = LoafHeat.run(setup, 3);
            assertThat(history.coreCelsiusAt(0.5)).isCloseTo(56.46, within(0.4));
            assertThat(history.coreCelsiusAt(1)).isCloseTo(47.95, within(0.4));
            assertThat(history.coreCelsiusAt(2)).isCloseTo(35.61, within(0.4));
        }

        @Test
        void standForCavitiesThatStayCool() {
            Mould cavity = new Mould("cavity", MouldKind.CAVITIES, 60, 60, 30, 12);
            LoafHistory history = LoafHeat.run(LoafSetup.in(cavity, 30, PLAIN, LoafSetup.Wrap.OPEN, at(38), at(20)), 24);
            // Reference: 38.0 to 38.2 C at pouring, no gel.
            assertThat(history.peak()).isCloseTo(38.1, within(0.5));
            assertThat(history.extent()).isEqualTo(LoafHistory.Extent.NONE);
        }
    }

    @Nested
    class Ensembles {

        @Test
        void tellSharesThatMakeAWhole() {
            LoafEnsemble ensemble = LoafEnsemble.of(insulated(43, 20), 24, 30);
            double sum = 0;
            for (LoafHistory.Extent extent : LoafHistory.Extent.values()) {
                sum += ensemble.probabilityOf(extent);
            }
            assertThat(sum).isCloseTo(1, within(1e-9));
            // Reference of 300 draws: 79 % full, peak 74-88 C; thirty draws stray by some points.
            assertThat(ensemble.probabilityOf(LoafHistory.Extent.FULL)).isBetween(.55, 1.0);
            assertThat(ensemble.peakBand().low()).isBetween(70.0, 80.0);
        }

        @Test
        void areTheSameWhenTheyAreWorkedOutAnew() {
            LoafEnsemble first = LoafEnsemble.of(insulated(43, 20), 6, 5);
            for (int i = 1; i <= 3; i++) {
                LoafEnsemble other = LoafEnsemble.of(insulated(43 + i, 20), 1, 1);
                assertThat(other.middle().frames().get(0)[0]).as("its own").isEqualTo(43.0 + i);
            }
            LoafEnsemble again = LoafEnsemble.workedOut(insulated(43, 20), 6, 5);
            assertThat(again.peakBand()).isEqualTo(first.peakBand());
            assertThat(again.coreBand(3.3)).isEqualTo(first.coreBand(3.3));
        }

        @Test
        void whatIsKeptOfADrawIsItsCore() {
            LoafHistory history = LoafHeat.run(insulated(43, 20), 12);
            LoafDraw draw = LoafDraw.of(history);
            for (double hour = 0; hour < 14; hour += 0.37) {
                assertThat(draw.coreCelsiusAt(hour)).as("hour %s", hour).isCloseTo(history.coreCelsiusAt(hour), within(1e-9));
            }
        }
    }

    private static LoafSetup insulated(double poured, double room) {
        return new LoafSetup(
                PLAIN,
                .085,
                .068,
                .24,
                WOOD_TOWEL,
                Wall.of(
                        Wall.FILM_TOP,
                        List.of(Wall.Layer.STILL_AIR, Wall.Layer.WOOD_15, Wall.Layer.TOWELS)),
                bottomTowel(),
                at(poured),
                .05,
                at(room));
    }

    private static Wall bottom() {
        return Wall.of(Wall.FILM_TABLE, List.of(Wall.Layer.SILICONE_2, new Wall.Layer(.009, .1, .8e6)));
    }

    private static Wall bottomTowel() {
        return Wall.of(Wall.FILM_TABLE, List.of(Wall.Layer.WOOD_15, Wall.Layer.TOWELS));
    }

    private static Temperature at(double celsius) {
        return Temperature.celsius(celsius);
    }
}
