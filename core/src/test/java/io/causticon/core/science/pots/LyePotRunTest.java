package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LyePotRunTest {

    private static final Temperature ROOM = at(20);
    private static final Temperature FREEZER = at(-18);

    private static Temperature at(double celsius) {
        return Temperature.celsius(celsius);
    }

    private static LyePot pot(double naoh, double water, double waterStart, double ice, double solids, double acid) {
        return new LyePot(
                Mass.grams(naoh),
                ROOM,
                Mass.grams(water),
                at(waterStart),
                Mass.grams(ice),
                FREEZER,
                Mass.grams(solids),
                acid);
    }

    private static LyePotSetup setup(LyePot pot, double feedMinutes, PotVessel vessel, boolean losses) {
        return new LyePotSetup(pot, false, feedMinutes, vessel, ROOM, ROOM, false, losses);
    }

    @Nested
    class WithoutLosses {

        @ParameterizedTest
        @CsvSource({
            // naoh, water, ice; the balance ends at 110.26, 64.8482 and 19.4361 C.
            "100, 200, 0",
            "100, 100, 100",
            "100, 0, 200",
            "100, 100, 0",
            "60, 150, 30"
        })
        void endsAtTheBalance(double naoh, double water, double ice) {
            LyePot pot = pot(naoh, water, 20, ice, 0, 0);
            LyePotCurve curve = LyePotRun.run(setup(pot, 3, PotVessel.NONE, false), 240);
            assertThat(curve.iceLeftGrams()).isZero();
            assertThat(curve.endCelsius()).isCloseTo(pot.adiabaticPeak().celsius(), within(1e-3));
        }

        @Test
        void endsAtTheBalanceWithAcidAndSolids() {
            LyePot pot = pot(100, 180, 20, 0, 12, 0.1665);
            assertThat(LyePotRun.run(setup(pot, 2, PotVessel.NONE, false), 120).endCelsius())
                    .isCloseTo(pot.adiabaticPeak().celsius(), within(1e-3));
        }

        @Test
        void endsWhereIceOnStrongLyeEnds() {
            // 1:1 lye at 30 C and 100 g of ice at -18 C: 18.36 C.
            LyePotSetup setup =
                    new LyePotSetup(pot(100, 100, 30, 100, 0, 0), true, 0, PotVessel.NONE, ROOM, ROOM, false, false);
            assertThat(LyePotRun.run(setup, 240).endCelsius()).isCloseTo(18.36, within(0.1));
        }
    }

    @ParameterizedTest
    @CsvSource({"87, 13, 20.99", "100, 0, 18.36"})
    void frozenLiquidOntoStrongLyeEndsAtTheBalance(double ice, double solids, double expected) {
        // 1:1 lye at 30 C and 100 g of frozen milk, or of ice, at -18 C. Solids weigh in with the liquid, as powder at
        // its temperature here.
        LyePotSetup setup = new LyePotSetup(
                new LyePot(
                        Mass.grams(100),
                        ROOM,
                        Mass.grams(100),
                        at(30),
                        Mass.grams(ice),
                        FREEZER,
                        Mass.grams(solids),
                        0),
                true,
                0,
                PotVessel.NONE,
                at(30),
                ROOM,
                false,
                false);
        assertThat(LyePotRun.run(setup, 60).celsiusAt(60)).isCloseTo(expected, within(solids > 0 ? 1.0 : 0.1));
    }

    @Nested
    class WithLosses {

        @ParameterizedTest
        @CsvSource({"1, 98.5", "3, 97.8", "5, 96.7"})
        void aPlasticJugStaysBelowTheBalance(double minutes, double reference) {
            LyePotCurve curve = LyePotRun.run(LyePotSetup.usual(Mass.grams(100), Mass.grams(200), ROOM, minutes), 20);
            assertThat(curve.peakCelsius()).isCloseTo(reference, within(0.5));
        }

        @Test
        void steelAndGlassTakeMore() {
            LyePot pot = pot(100, 200, 20, 0, 0, 0);
            // The references have the wall of 300 ml; this liquor, 250 ml, wets 88 % of it.
            assertThat(LyePotRun.run(setup(pot, 1, PotVessel.STEEL, true), 20).peakCelsius())
                    .isCloseTo(97.2, within(0.7));
            assertThat(LyePotRun.run(setup(pot, 1, PotVessel.GLASS, true), 20).peakCelsius())
                    .isCloseTo(91.0, within(1.0));
        }

        @Test
        void aLargerPotHasAsLargeAWall() {
            // Ten times as much wets 10^(2/3) times the wall, for its mass less than half of it: a large pot keeps more
            // of its heat.
            double small = LyePotRun.run(setup(pot(100, 200, 20, 0, 0, 0), 1, PotVessel.GLASS, true), 20)
                    .peakCelsius();
            double large = LyePotRun.run(setup(pot(1000, 2000, 20, 0, 0, 0), 1, PotVessel.GLASS, true), 20)
                    .peakCelsius();
            assertThat(large).isBetween(small + 6, 110.26);
        }

        @Test
        void halfIceAndAllIceStayCool() {
            assertThat(LyePotRun.run(setup(pot(100, 100, 20, 100, 0, 0), 3, PotVessel.PLASTIC, true), 30)
                            .peakCelsius())
                    .isCloseTo(59.3, within(0.5));
            assertThat(LyePotRun.run(setup(pot(100, 0, 20, 200, 0, 0), 3, PotVessel.PLASTIC, true), 30)
                            .peakCelsius())
                    .isCloseTo(21.3, within(0.5));
        }

        @Test
        void frozenMilkFirstWarmsStrongLyeThenCoolsIt() {
            // 1:1 lye at 30 C, 100 g of frozen milk (87 g water, 13 g solids): up to 32.8 C at 1.6 min, down to 20.6 C.
            LyePotSetup setup = new LyePotSetup(
                    new LyePot(
                            Mass.grams(100), ROOM, Mass.grams(100), at(30), Mass.grams(87), FREEZER, Mass.grams(13), 0),
                    true,
                    0,
                    PotVessel.PLASTIC,
                    at(30),
                    ROOM,
                    false,
                    true);
            LyePotCurve curve = LyePotRun.run(setup, 30);
            assertThat(curve.peakCelsius()).isCloseTo(32.8, within(0.7));
            // Ice in strong lye melts against the lowest freezing point here, so the top comes sooner; its height is
            // what matters.
            assertThat(curve.peakMinute()).isBetween(0.2, 2.1);
            assertThat(curve.celsiusAt(20)).isCloseTo(20.6, within(1.2));
        }

        @ParameterizedTest
        @CsvSource({
            "60, 45, 3, 82.7, 1.2",
            "60, 45, 5, 78.3, 1",
            "60, 45, 10, 67.0, 1",
            "100, 65, 3, 75.6, 1",
            "100, 65, 5, 69.3, 1",
            "100, 65, 10, 55.1, 1",
            "250, 65, 3, 57.5, 2",
            "250, 65, 5, 47.5, 2"
        })
        // Plastic, then steel, unstirred and well stirred; the stronger the bath the more its contact area counts,
        // which is an estimate.
        void anIceBathAndPatienceTakeTheHeatAway(
                double transfer, double wall, double minutes, double reference, double tolerance) {
            LyePotSetup bath = new LyePotSetup(
                    pot(100, 200, 20, 0, 0, 0),
                    false,
                    minutes,
                    new PotVessel(wall, transfer, 0.9, 0),
                    ROOM,
                    ROOM,
                    true,
                    true);
            assertThat(LyePotRun.run(bath, 30).peakCelsius()).isCloseTo(reference, within(tolerance));
        }

        @Test
        void tellsWhenAllIsDissolved() {
            LyePotCurve curve = LyePotRun.run(LyePotSetup.usual(Mass.grams(100), Mass.grams(200), ROOM, 3), 30);
            assertThat(curve.dissolvedMinute()).isBetween(4.5, 12.0);
            assertThat(curve.undissolvedGrams()).isLessThan(0.1);
        }
    }

    @Nested
    class Cold {

        @ParameterizedTest
        @CsvSource({
            "1.5, .925, .779, .658, -18", "2.0, .796, .663, .553, -18", "2.33333, .712, .585, .480, -18",
            "2.5, .672, .548, .444, -18", "3.0, .565, .444, .344, -18", "1.5, .978, .824, .696, -6",
            "2.0, .841, .702, .585, -6", "3.0, .597, .470, .364, -6"
        })
        void howMuchMustBeFrozen(double ratio, double below38, double below50, double below60, double ice) {
            LyePot pot = pot(100, 100 * ratio, 20, 0, 0, 0);
            assertThat(frozen(pot, ice, 38)).isCloseTo(below38, within(0.003));
            assertThat(frozen(pot, ice, 50)).isCloseTo(below50, within(0.003));
            assertThat(frozen(pot, ice, 60)).isCloseTo(below60, within(0.003));
        }

        private double frozen(LyePot pot, double ice, double limit) {
            double part =
                    ColdPlan.leastFrozen(pot, at(ice), at(limit)).orElseThrow().fraction();
            // The inverse, put back into the forward model, is the limit.
            assertThat(ColdPlan.frozen(pot, part, at(ice)).adiabaticPeak().celsius())
                    .isCloseTo(limit, within(1e-6));
            return part;
        }

        @Test
        void canBeOutOfReach() {
            assertThat(ColdPlan.leastFrozen(pot(100, 100, 20, 0, 0, 0), FREEZER, at(5)))
                    .isEmpty();
            assertThat(ColdPlan.leastFrozen(pot(10, 500, 20, 0, 0, 0), FREEZER, at(60))
                            .orElseThrow()
                            .fraction())
                    .isZero();
        }

        @Test
        void howSlowlyInABath() {
            LyePotSetup bath =
                    new LyePotSetup(pot(100, 200, 20, 0, 0, 0), false, 0, PotVessel.STEEL, ROOM, ROOM, true, true);
            double minutes = ColdPlan.leastMinutes(bath, at(50)).orElseThrow();
            assertThat(minutes).isBetween(3.0, 15.0);
            assertThat(LyePotRun.run(bath.fedOver(minutes), 40).peakCelsius()).isCloseTo(50, within(0.5));
            assertThat(ColdPlan.leastMinutes(bath.inBath(false), at(50))).isEmpty();
        }
    }
}
