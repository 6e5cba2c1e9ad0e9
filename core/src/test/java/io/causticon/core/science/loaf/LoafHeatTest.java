package io.causticon.core.science.loaf;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
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
            // Water of the batter: NaOH .1320 kg a kg of fats; 33 %: .2680 of 1.4000 kg = .1915; 28 %: .3395 of 1.4715
            // = .2307; 40 %: .1489.
            // 40 + 29 exp(-(w - .1915) / .17): 69.0, 63.0, 77.3.
            assertThat(PLAIN.gelPoint()).isCloseTo(69.0, within(0.1));
            assertThat(Batter.of(3.475, .05, .28, 0, 1).gelPoint()).isCloseTo(63.0, within(0.1));
            assertThat(Batter.of(3.475, .05, .40, 0, 1).gelPoint()).isCloseTo(77.3, within(0.1));
        }

        @Test
        void gelCoolerWithMoreWaterWithoutAFloor() {
            double before = Double.POSITIVE_INFINITY;
            for (double lye = 0.52; lye > 0.12; lye -= 0.01) {
                double point = Batter.of(3.475, .05, lye, 0, 1).gelPoint();
                assertThat(point).as("at %s lye", lye).isLessThan(before - 0.2);
                before = point;
            }
            assertThat(before).isBetween(40.0, 50.0);
        }

        @Test
        void gelCoolerWithSugarWithoutAStep() {
            for (double sugar = 0; sugar < 0.06; sugar += 0.001) {
                double less = Batter.of(3.475, .05, .33, sugar + 0.001, 1).gelPoint()
                        - Batter.of(3.475, .05, .33, sugar, 1).gelPoint();
                assertThat(less).as("from %s sugar", sugar).isBetween(-0.4, 0.1);
            }
            assertThat(Batter.of(3.475, .05, .33, .05, 1).gelPoint()).isLessThan(PLAIN.gelPoint() - 2);
        }

        @Test
        void gelByTheirAcids() {
            // Ricinoleic and other soft ones melt to gel cooler than palmitic and stearic ones.
            assertThat(of("castor-oil").gelPoint()).isLessThan(of("olive-oil").gelPoint() - 5);
            assertThat(of("olive-oil").gelPoint()).isLessThan(of("tallow-beef").gelPoint() - 1);
            // Laurics take up more lye, and with it more water: that alone makes 6 K.
            assertThat(of("coconut-oil-76").gelPoint())
                    .isLessThan(of("olive-oil").gelPoint() - 3);
        }

        @Test
        void areNotHeatedBySucroseAsByHoney() {
            assertThat(with("sugar").volumetricHeat()).isLessThan(with("honey").volumetricHeat() * 0.98);
            assertThat(with("sugar").rate())
                    .as("but it speeds them up")
                    .isGreaterThan(of("olive-oil").rate());
        }

        private static Batter of(String fat) {
            return Batter.of(recipe().fat(fat, 1000).formula());
        }

        private static Batter with(String sweet) {
            return Batter.of(recipe().fat("olive-oil", 1000).additive(sweet, 30).formula());
        }
    }

    @Nested
    class Loaves {

        @Test
        void gelWhollyInInsulatedWood() {
            LoafHistory history = LoafHeat.run(insulated(43, 20), 48);
            // 85 x 68 x 240 mm. In three dimensions 83.8 C at 3.03 h (ThreeDimensionsTest): its ends do not cool the
            // middle before that.
            assertThat(history.peak()).isCloseTo(83.8, within(0.3));
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
        void gelFromTheMiddleOutwardsAndStayGelled() {
            LoafHistory history = LoafHeat.run(insulated(32, 20), 24);
            double[] hours = {0, 1, 3, 4, 4.5, 5, 6, 10, 24};
            double before = 0;
            for (double[] above : history.aboveGelUntil(hours)) {
                double share = history.gelShare(above);
                assertThat(share).isGreaterThanOrEqualTo(before);
                before = share;
            }
            assertThat(history.gelShare(history.aboveGelUntil(1).get(0))).isZero();
            // Frames are five minutes apart: between them it may have been warmer by a little.
            assertThat(before).isCloseTo(history.gelShare(), within(0.03));
        }

        @Test
        void runHotterWhenPouredWarmer() {
            // A section whose ends cool it from the first minute: 72.8 and 88.4; without ends 1 to 2 K more.
            assertThat(LoafHeat.run(insulated(32, 20), 48).peak()).isBetween(73.5, 74.8);
            assertThat(LoafHeat.run(insulated(50, 20), 48).peak()).isBetween(89.9, 91.0);
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
            // 93.9 C where its ends cool it from the first minute.
            assertThat(LoafHeat.run(sweet, 24).peak()).isBetween(94.9, 96.5);
        }
    }

    @Nested
    class Cylinders {

        @Test
        void thatStandOpenDoNotGelAndWrappedOnesDo() {
            Mould tube = new Mould("tube", MouldKind.TUBE, 75, 75, 300, 1);
            LoafHistory open = LoafHeat.run(LoafSetup.in(tube, 280, PLAIN, LoafSetup.Wrap.OPEN, at(42), at(20)), 24);
            LoafHistory wrapped =
                    LoafHeat.run(LoafSetup.in(tube, 280, PLAIN, LoafSetup.Wrap.INSULATED, at(42), at(20)), 24);
            assertThat(open.peak()).isBetween(52.0, 66.0);
            assertThat(open.extent()).isEqualTo(LoafHistory.Extent.NONE);
            assertThat(wrapped.peak()).isBetween(76.0, 86.0);
            assertThat(wrapped.extent()).isNotEqualTo(LoafHistory.Extent.NONE);
        }

        @Test
        void coolAsTheSeriesForACylinderTells() {
            // Infinite cylinder of 75 mm, k .28, rho cp 2.4e6, h 10, from 60 C in 20 C; Bi = 1.339. Centre by six terms
            // of the Bessel series
            // (Carslaw and Jaeger, 7.7): 56.46 C after 30 min, 47.95 after 1 h, 35.61 after 2 h.
            Batter inert = new Batter(0, 2.4e6, 1010, 69, 0);
            Wall film = Wall.of(10, List.of());
            LoafSetup setup = new LoafSetup(
                    inert,
                    LoafSetup.Shape.CYLINDER,
                    .075,
                    .6,
                    1,
                    film,
                    film,
                    film,
                    at(60),
                    .05,
                    Programme.at(at(20)),
                    LoafExpectation.USUAL);
            LoafHistory history = LoafHeat.run(setup, 3);
            assertThat(history.coreCelsiusAt(0.5)).isCloseTo(56.46, within(0.4));
            assertThat(history.coreCelsiusAt(1)).isCloseTo(47.95, within(0.4));
            assertThat(history.coreCelsiusAt(2)).isCloseTo(35.61, within(0.4));
        }

        @Test
        void standForCavitiesThatStayCool() {
            Mould cavity = new Mould("cavity", MouldKind.CAVITIES, 60, 60, 30, 12);
            LoafHistory history =
                    LoafHeat.run(LoafSetup.in(cavity, 30, PLAIN, LoafSetup.Wrap.OPEN, at(38), at(20)), 24);
            // Reference: 38.0 to 38.2 C at pouring, no gel.
            assertThat(history.peak()).isCloseTo(38.1, within(0.5));
            assertThat(history.extent()).isEqualTo(LoafHistory.Extent.NONE);
        }
    }

    @Nested
    class Ensembles {

        @Test
        void tellSharesThatMakeAWhole() {
            LoafEnsemble ensemble = LoafEnsemble.of(insulated(43, 20), 24);
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
        void tellWhenALookTellsMostAndWhenItIsOver() {
            LoafEnsemble ensemble = LoafEnsemble.of(insulated(43, 20), 36);
            double look = ensemble.mostTellingHour();
            // On the way up: there a fast batter and a slow one are farthest apart.
            assertThat(look).isBetween(1.0, ensemble.middle().peakHour() + 0.5);
            double widest =
                    ensemble.coreBand(look).high() - ensemble.coreBand(look).low();
            assertThat(widest)
                    .isGreaterThan(2
                            * (ensemble.coreBand(0.25).high()
                                    - ensemble.coreBand(0.25).low()));
            assertThat(ensemble.settledHour()).isBetween(ensemble.middle().peakHour(), 12.0);
            assertThat(ensemble.middle().convertedShareAt(ensemble.settledHour()))
                    .isGreaterThan(0.97);
        }

        @Test
        void areTheSameWhenTheyAreWorkedOutAnew() {
            LoafEnsemble first = LoafEnsemble.of(insulated(43, 20), 6);
            for (int i = 1; i <= 3; i++) {
                LoafEnsemble other = LoafEnsemble.of(insulated(43 + i, 20), 1);
                assertThat(other.middle().frames().get(0)[0]).as("its own").isEqualTo(43.0 + i);
            }
            LoafEnsemble again = LoafEnsemble.workedOut(insulated(43, 20), 6);
            assertThat(again.peakBand()).isEqualTo(first.peakBand());
            assertThat(again.coreBand(3.3)).isEqualTo(first.coreBand(3.3));
        }

        @Test
        void whatIsKeptOfADrawIsItsCore() {
            LoafHeat.Span span = LoafHeat.Span.untilCold(12);
            LoafHistory history =
                    LoafHeat.run(insulated(43, 20), span, LoafHeat.Parameters.USUAL, LoafHeat.Resolution.COARSE);
            LoafDraw draw =
                    LoafHeat.draw(insulated(43, 20), span, LoafHeat.Parameters.USUAL, LoafHeat.Resolution.COARSE);
            for (double hour = 0; hour < 14; hour += 0.37) {
                assertThat(draw.coreCelsiusAt(hour))
                        .as("hour %s", hour)
                        .isCloseTo(history.coreCelsiusAt(hour), within(1e-9));
            }
            assertThat(draw.peak()).isEqualTo(history.peak());
            assertThat(draw.gelShare()).isEqualTo(history.gelShare());
        }
    }

    private static LoafSetup insulated(double poured, double room) {
        return new LoafSetup(
                PLAIN,
                .085,
                .068,
                .24,
                WOOD_TOWEL,
                Wall.of(Wall.FILM_TOP, List.of(Wall.Layer.STILL_AIR, Wall.Layer.WOOD_15, Wall.Layer.TOWELS)),
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
