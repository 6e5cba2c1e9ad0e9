package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.science.pots.CoolingFit.Prior;
import io.causticon.core.science.pots.CoolingFit.Reading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class CoolingFitTest {

    /** Excess of a usual open pot. */
    private static final double OPEN_POT = 0.20;

    private static Prior prior(double rate) {
        return new Prior(
                new PotCooling(rate, OPEN_POT, PotCooling.UNKNOWN_VESSEL),
                Temperature.celsius(20),
                CoolingFit.ROOM_GUESSED);
    }

    @Test
    void fitsTheLawItWasMadeFor() {
        CoolingBody truth = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.012, OPEN_POT);
        List<Reading> readings = new ArrayList<>();
        for (double m = 0; m <= 60; m += 10) {
            readings.add(new Reading(m, truth.after(m).celsius()));
        }
        CoolingFit fit = CoolingFit.of(
                readings,
                0.3,
                new Prior(new PotCooling(0.013, OPEN_POT, 0.5), Temperature.celsius(20), CoolingFit.ROOM_READ));
        assertThat(fit.celsiusAt(30)).isCloseTo(truth.after(30).celsius(), within(0.05));
        assertThat(fit.reaches(Temperature.celsius(40)).median())
                .isCloseTo(truth.minutesTo(Temperature.celsius(40)), within(1.0));
    }

    @Test
    void trustsThePriorWithOneReading() {
        CoolingFit fit = CoolingFit.of(List.of(new Reading(0, 80)), 1, prior(0.013));
        CoolingFit.Arrival arrival = fit.reaches(Temperature.celsius(40));
        double usual = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.013)
                .minutesTo(Temperature.celsius(40));
        assertThat(arrival.median()).isCloseTo(usual, within(0.06 * usual));
        assertThat(arrival.high() / arrival.low()).isGreaterThan(2.5);
    }

    @Test
    void saysWhenItWillNotGetThere() {
        CoolingFit fit =
                CoolingFit.of(List.of(new Reading(0, 60), new Reading(15, 52), new Reading(30, 46)), 1, prior(0.013));
        assertThat(fit.reaches(Temperature.celsius(15)).probability()).isLessThan(0.2);
        assertThat(fit.reaches(Temperature.celsius(15)).median()).isInfinite();
    }

    /** Errors of the remaining time as a part of it, and whether the 80 % band held, of one pot after another. */
    private static final class Score {

        private final List<Double> errors = new ArrayList<>();
        private int covered;

        void add(CoolingFit.Arrival told, double truth, double now) {
            errors.add(Math.abs(told.median() - truth) / (truth - now));
            covered += told.low() <= truth && truth <= told.high() ? 1 : 0;
        }

        double quantile(double q) {
            return errors.stream().mapToDouble(Double::doubleValue).sorted().toArray()[(int) (q * errors.size())];
        }

        double coverage() {
            return (double) covered / errors.size();
        }
    }

    /**
     * The readings of some hundred pairs as their forecasts: of each pot, and of when the later of the two is there.
     */
    private static final class Pairs {

        private static final double TARGET = 40;
        private static final double NOW = 20;
        private static final double TOO_SOON = 30;
        private static final double DRAUGHT = 0.1;

        private final Score each = new Score();
        private final Score both = new Score();

        Pairs(long seed, int many, boolean vesselNamed, int earlierBatches) {
            Random random = new Random(seed);
            for (int pairs = 0; pairs < many; ) {
                double room = room(random);
                SimulatedPot.Both pots = SimulatedPot.Both.of(random);
                SimulatedPot.Day lye = pots.lye().day(room, draught(random));
                SimulatedPot.Day fats = pots.fats().day(room, draught(random));
                double later = Math.max(lye.minutesTo40(), fats.minutesTo40());
                if (Math.min(lye.minutesTo40(), fats.minutesTo40()) > TOO_SOON && Double.isFinite(later)) {
                    pairs++;
                    CoolingFit l = fit(pots.lye(), lye, vesselNamed, earlierBatches, random);
                    CoolingFit f = fit(pots.fats(), fats, vesselNamed, earlierBatches, random);
                    each.add(l.reaches(Temperature.celsius(TARGET)), lye.minutesTo40(), NOW);
                    each.add(f.reaches(Temperature.celsius(TARGET)), fats.minutesTo40(), NOW);
                    // However far apart, both at the target or below it: the moment that the later one gets there.
                    Interval below = Interval.between(0, TARGET);
                    // Looked at for three times as long as it takes: a forecast beyond that is as wrong as one that
                    // never gets there.
                    double until = NOW + 3 * (later - NOW);
                    both.add(arrival(Meeting.of(l, f, NOW, until, TemperatureChange.kelvin(100), below)), later, NOW);
                }
            }
        }

        private static CoolingFit.Arrival arrival(Meeting meeting) {
            return new CoolingFit.Arrival(meeting.median(), meeting.low(), meeting.high(), meeting.probability());
        }

        private static CoolingFit fit(
                SimulatedPot pot, SimulatedPot.Day day, boolean vesselNamed, int earlierBatches, Random random) {
            PotCooling expected = pot.expected(vesselNamed);
            List<CoolingMemory.Timed> timed = new ArrayList<>();
            for (int i = 0; i < earlierBatches; i++) {
                timed.add(CoolingMemory.Timed.of(
                        fit(expected, pot.day(room(random), draught(random)).readings()), expected));
            }
            return fit(CoolingMemory.of(timed).expect(expected), day.readings());
        }

        private static CoolingFit fit(PotCooling expected, List<Reading> readings) {
            return CoolingFit.of(readings, 1, new Prior(expected, Temperature.celsius(20), CoolingFit.ROOM_GUESSED));
        }

        private static double room(Random random) {
            return 20 + 2.5 * random.nextGaussian();
        }

        private static double draught(Random random) {
            return Math.exp(DRAUGHT * random.nextGaussian());
        }
    }

    private static void isWithin(Score score, double median, double ninetieth, String of) {
        assertThat(score.quantile(0.5)).as("median error of " + of).isLessThanOrEqualTo(median);
        assertThat(score.quantile(0.9)).as("90th percentile of " + of).isLessThanOrEqualTo(ninetieth);
        assertThat(score.coverage()).as("covered by the 80 % band of " + of).isBetween(0.75, 0.92);
    }

    @Test
    void tellsTheRemainingTimeOfPairsThatDoNotFollowTheLaw() {
        // Seeds 32 to 35 were tried as well. 500 pairs that nobody timed before, in vessels whose material is known;
        // three readings over 20 min with 1 C of noise, room unknown by 2.5 C.
        Pairs pairs = new Pairs(31, 500, true, 0);
        isWithin(pairs.each, 0.10, 0.25, "each pot");
        isWithin(pairs.both, 0.10, 0.25, "both together");
    }

    @Test
    void tellsItLessWellWhereNoVesselWasNamed() {
        Pairs pairs = new Pairs(36, 300, false, 0);
        isWithin(pairs.each, 0.13, 0.32, "each pot");
        isWithin(pairs.both, 0.12, 0.30, "both together");
    }

    @Test
    void learnsFromEarlierBatchesWhatNobodyNamed() {
        Pairs pairs = new Pairs(36, 300, false, 4);
        isWithin(pairs.each, 0.10, 0.25, "each pot");
        isWithin(pairs.both, 0.10, 0.25, "both together");
    }

    @Nested
    class Newton {

        // Excess 0 is the plain law; numbers by hand from its closed forms.
        @Test
        void fromTwoPoints() {
            double k = Math.log((80.0 - 20) / (60 - 20)) / 20;
            CoolingBody body = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), k, 0);
            assertThat(k).isCloseTo(0.0202733, within(1e-7));
            assertThat(body.minutesTo(Temperature.celsius(40))).isCloseTo(54.190, within(0.001));
            assertThat(body.after(20).celsius()).isCloseTo(60, within(1e-9));
        }

        @Test
        void ofTwoPotsTheSpanWhenTheyAreCloseEnough() {
            CoolingBody lye = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.0202733, 0);
            CoolingBody fats = new CoolingBody(Temperature.celsius(70), Temperature.celsius(20), 0.00871767, 0);
            assertThat(fats.minutesTo(Temperature.celsius(40))).isCloseTo(105.107, within(0.001));
            double from = Double.NaN;
            double to = Double.NaN;
            for (double m = 0; m < 60; m += 0.01) {
                boolean close = Math.abs(lye.after(m).celsius() - fats.after(m).celsius()) <= 3;
                from = close && Double.isNaN(from) ? m : from;
                to = close ? m : to;
            }
            assertThat(from).isCloseTo(10.28, within(0.02));
            assertThat(to).isCloseTo(22.32, within(0.02));
        }

        @Test
        void fittedWithItsPriors() {
            CoolingFit fit = CoolingFit.of(
                    List.of(new Reading(0, 80), new Reading(15, 67.9), new Reading(30, 58.3)),
                    0.7,
                    new Prior(new PotCooling(0.018, 0, 0.5), Temperature.celsius(20), 2.5));
            assertThat(fit.celsiusAt(0)).isCloseTo(80.006, within(0.002));
            assertThat(Math.exp(fit.logRate())).isCloseTo(0.015026, within(2e-6));
            assertThat(fit.surroundings().celsius()).isCloseTo(20.101, within(0.005));
            assertThat(fit.startSpread()).isCloseTo(0.66, within(0.005));
            assertThat(fit.logRateSpread()).isCloseTo(0.069, within(0.0005));
            assertThat(fit.surroundingsSpread()).isCloseTo(2.48, within(0.005));
            CoolingFit.Arrival at40 = fit.reaches(Temperature.celsius(40));
            assertThat(fit.middle().minutesTo(Temperature.celsius(40))).isCloseTo(73.35, within(0.02));
            // The reference does not have the 3 % for what the law does not catch, so ours is a little wider.
            assertThat(at40.low()).isCloseTo(69.3, within(1.2));
            assertThat(at40.high()).isCloseTo(78.4, within(1.2));
        }
    }

    @Test
    void warmsInABath() {
        CoolingBody cold = new CoolingBody(Temperature.celsius(16), Temperature.celsius(50), 0.05);
        double minutes = cold.minutesTo(Temperature.celsius(30));
        assertThat(cold.after(minutes).celsius()).isCloseTo(30, within(1e-9));
        assertThat(cold.minutesTo(Temperature.celsius(10))).isZero();
        assertThat(cold.minutesTo(Temperature.celsius(55))).isInfinite();
    }

    @Nested
    class Meetings {

        private final CoolingFit lye = CoolingFit.of(
                List.of(new Reading(0, 80), new Reading(20, 66), new Reading(40, 55.5)), 0.5, prior(0.013));
        private final CoolingFit fats = CoolingFit.of(
                List.of(new Reading(0, 62), new Reading(20, 55), new Reading(40, 49.4)), 0.5, prior(0.010));

        @Test
        void areWhenBothAreCloseAndInTheWindow() {
            Meeting meeting = Meeting.of(lye, fats, 40, 240, TemperatureChange.kelvin(6), Interval.between(37, 43));
            assertThat(meeting.probability()).isGreaterThan(0.95);
            assertThat(meeting.median()).isBetween(60.0, 95.0);
            assertThat(meeting.low()).isLessThan(meeting.median());
            assertThat(meeting.high()).isGreaterThan(meeting.median());
            assertThat(Math.abs(lye.celsiusAt(meeting.bestMinute()) - fats.celsiusAt(meeting.bestMinute())))
                    .isLessThan(6);
            assertThat(meeting.best()).isGreaterThan(0.7);
        }

        @Test
        void areNotToBeHadBelowTheRoom() {
            Meeting never = Meeting.of(lye, fats, 40, 200, TemperatureChange.kelvin(3), Interval.between(5, 12));
            assertThat(never.probability()).isLessThan(0.05);
            assertThat(never.median()).isInfinite();
        }
    }

    @Nested
    class Baths {

        private static BathAdvice.Stands stands(double celsius, double inBath, double room) {
            Temperature at = Temperature.celsius(celsius);
            return new BathAdvice.Stands(
                    at,
                    new PotCooling(inBath, 0.05, 0.6),
                    new CoolingBody(at, Temperature.celsius(room), 0.012, OPEN_POT));
        }

        @Test
        void coolTheLyeThatIsTooHot() {
            List<BathAdvice> advice = BathAdvice.of(
                    stands(75, 0.05, 20), stands(42, 0.07, 20), Interval.between(35, 45), TemperatureChange.kelvin(5));
            assertThat(advice.get(0).pot()).isEqualTo(BathAdvice.Pot.LYE);
            assertThat(advice.get(0).warms()).isFalse();
            assertThat(advice.get(0).minutes()).isBetween(5.0, 35.0);
        }

        @Test
        void warmTheFatsThatAreTooCold() {
            List<BathAdvice> advice = BathAdvice.of(
                    stands(40, 0.05, 18), stands(26, 0.07, 18), Interval.between(33, 43), TemperatureChange.kelvin(5));
            assertThat(advice.get(0).pot()).isEqualTo(BathAdvice.Pot.FATS);
            assertThat(advice.get(0).warms()).isTrue();
        }

        @Test
        void ofSteelWorkFasterThanOfPlastic() {
            List<BathAdvice> plastic = BathAdvice.of(
                    stands(75, 0.05, 20), stands(42, 0.07, 20), Interval.between(35, 45), TemperatureChange.kelvin(5));
            List<BathAdvice> steel = BathAdvice.of(
                    stands(75, 0.17, 20), stands(42, 0.07, 20), Interval.between(35, 45), TemperatureChange.kelvin(5));
            assertThat(steel.get(0).minutes()).isLessThan(plastic.get(0).minutes() / 2);
        }
    }

    @Test
    void bandsAreNarrowWhereItWasRead() {
        CoolingFit fit =
                CoolingFit.of(List.of(new Reading(0, 80), new Reading(10, 72.6), new Reading(20, 66)), 1, prior(0.013));
        Interval near = fit.bandAt(10);
        Interval far = fit.bandAt(90);
        assertThat(near.high() - near.low()).isLessThan(3);
        assertThat(far.high() - far.low()).isGreaterThan(near.high() - near.low());
        assertThat(Arrays.asList(near.contains(fit.celsiusAt(10)), far.contains(fit.celsiusAt(90))))
                .containsOnly(true);
    }
}
