package io.causticon.core.heat;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.heat.CoolingFit.Prior;
import io.causticon.core.heat.CoolingFit.Reading;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CoolingFitTest {

    private static Prior prior(double rate) {
        return new Prior(rate, CoolingFit.UNKNOWN_VESSEL, Temperature.celsius(20), CoolingFit.ROOM_GUESSED);
    }

    @Test
    void fitsTheLawItWasMadeFor() {
        CoolingBody truth =
                new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.012, CoolingBody.OPEN_POT);
        List<Reading> readings = new ArrayList<>();
        for (double m = 0; m <= 60; m += 10) {
            readings.add(new Reading(m, truth.after(m).celsius()));
        }
        CoolingFit fit = CoolingFit.of(
                readings, 0.3, new Prior(0.013, 0.5, Temperature.celsius(20), CoolingFit.ROOM_READ));
        assertThat(fit.at(30)).isCloseTo(truth.after(30).celsius(), within(0.05));
        assertThat(fit.reaches(Temperature.celsius(40)).median()).isCloseTo(truth.minutesTo(Temperature.celsius(40)), within(1.0));
    }

    @Test
    void trustsThePriorWithOneReading() {
        CoolingFit fit = CoolingFit.of(List.of(new Reading(0, 80)), 1, prior(0.013));
        CoolingFit.Arrival arrival = fit.reaches(Temperature.celsius(40));
        double usual = new CoolingBody(Temperature.celsius(80), Temperature.celsius(20), 0.013).minutesTo(Temperature.celsius(40));
        assertThat(arrival.median()).isCloseTo(usual, within(0.06 * usual));
        assertThat(arrival.high() / arrival.low()).isGreaterThan(2.5);
    }

    @Test
    void saysWhenItWillNotGetThere() {
        CoolingFit fit = CoolingFit.of(List.of(new Reading(0, 60), new Reading(15, 52), new Reading(30, 46)), 1, prior(0.013));
        assertThat(fit.reaches(Temperature.celsius(15)).probability()).isLessThan(0.2);
        assertThat(fit.reaches(Temperature.celsius(15)).median()).isInfinite();
    }

    /** A vessel that cools by free convection with an exponent of its own, and by evaporation, stepped finely. */
    private static double[] truth(Random random, double rate, double start, double room, double until, double target) {
        double excess = 0.02 + 0.26 * random.nextDouble();
        double evaporation = 0.12 * random.nextDouble();
        double t = start;
        double reached = Double.POSITIVE_INFINITY;
        double step = 0.05;
        double[] minutes = new double[(int) (until / step) + 2];
        for (int i = 0; i < minutes.length; i++) {
            minutes[i] = t;
            double d = t - room;
            double wet = evaporation * (Math.exp((t - 20) / 18) - 1) / (Math.exp((60 - 20) / 18.0) - 1) * 40;
            t -= step * rate * (d * Math.pow(Math.abs(d) / 20, excess) + wet);
            if (Double.isInfinite(reached) && t <= target) {
                reached = (i + 1) * step;
            }
        }
        return new double[] {reached, minutes[0], minutes[(int) (10 / step)], minutes[(int) (20 / step)]};
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

    /** One pot of a workshop: its own rate, which changes by a tenth or so from day to day. */
    private static final class Pot {

        private static final double POT_TO_POT = 0.35;
        private static final double DAY_TO_DAY = 0.1;

        private final Random random;
        private final double usual;
        private final double hottest;
        private final double own;

        Pot(Random random, boolean lye) {
            this.random = random;
            this.usual = lye ? 0.013 : 0.010;
            this.hottest = lye ? 95 : 80;
            this.own = usual * Math.exp(POT_TO_POT * random.nextGaussian());
        }

        /** A day with it: 70 to 95 C of lye or 55 to 80 C of fats; time at which it is at 40, and three readings over twenty minutes. */
        double[] day(double room) {
            double start = hottest - 25 * random.nextDouble();
            return truth(random, own * Math.exp(DAY_TO_DAY * random.nextGaussian()), start, room, 600, 40);
        }

        CoolingFit fit(double[] day, CoolingMemory memory) {
            List<Reading> readings = List.of(
                    new Reading(0, day[1] + random.nextGaussian()),
                    new Reading(10, day[2] + random.nextGaussian()),
                    new Reading(20, day[3] + random.nextGaussian()));
            return CoolingFit.of(
                    readings, 1, CoolingFit.prior(usual, memory, Temperature.celsius(20), CoolingFit.ROOM_GUESSED));
        }

        CoolingMemory after(int batches) {
            List<CoolingMemory.Timed> timed = new ArrayList<>();
            for (int i = 0; i < batches; i++) {
                double[] day = day(20 + 2.5 * random.nextGaussian());
                timed.add(CoolingMemory.Timed.of(fit(day, CoolingMemory.NONE), usual));
            }
            return CoolingMemory.of(timed);
        }
    }

    private static Score pairs(long seed, int earlierBatches) {
        Random random = new Random(seed);
        Score score = new Score();
        int pairs = 0;
        while (pairs < 500) {
            double room = 20 + 2.5 * random.nextGaussian();
            Pot lye = new Pot(random, true);
            Pot fats = new Pot(random, false);
            double[] lyeDay = lye.day(room);
            double[] fatsDay = fats.day(room);
            boolean bothStillToCome = Math.min(lyeDay[0], fatsDay[0]) > 30 && Double.isFinite(lyeDay[0]) && Double.isFinite(fatsDay[0]);
            if (bothStillToCome) {
                pairs++;
                score.add(lye.fit(lyeDay, lye.after(earlierBatches)).reaches(Temperature.celsius(40)), lyeDay[0], 20);
                score.add(fats.fit(fatsDay, fats.after(earlierBatches)).reaches(Temperature.celsius(40)), fatsDay[0], 20);
            }
        }
        return score;
    }

    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14, 15})
    void tellsTheRemainingTimeOfPairsThatDoNotFollowTheLaw(long seed) {
        // 500 pairs of a workshop that has timed its pots in four earlier batches; three readings over 20 min with 1 C of noise, room unknown by 2.5 C.
        Score score = pairs(seed, 4);
        assertThat(score.quantile(0.5)).as("median error").isLessThanOrEqualTo(0.10);
        assertThat(score.quantile(0.9)).as("90th percentile").isLessThanOrEqualTo(0.25);
        assertThat(score.coverage()).as("covered by the 80 % band").isBetween(0.75, 0.92);
    }

    @Test
    void tellsItLessWellOfPotsThatItNeverSaw() {
        // Three readings cannot tell more: the exact posterior of this simulation has a median error of 9.5 to 10.6 %, a ninetieth percentile to 27 %.
        Score score = pairs(21, 0);
        assertThat(score.quantile(0.5)).as("median error").isLessThanOrEqualTo(0.12);
        assertThat(score.quantile(0.9)).as("90th percentile").isLessThanOrEqualTo(0.30);
        assertThat(score.coverage()).as("covered by the 80 % band").isBetween(0.75, 0.92);
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
                    new Prior(0.018, 0.5, Temperature.celsius(20), 2.5),
                    0);
            assertThat(fit.at(0)).isCloseTo(80.006, within(0.002));
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
            assertThat(Math.abs(lye.at(meeting.bestMinute()) - fats.at(meeting.bestMinute()))).isLessThan(6);
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

        @Test
        void coolTheLyeThatIsTooHot() {
            List<BathAdvice> advice = BathAdvice.of(
                    Temperature.celsius(75), Temperature.celsius(42), Temperature.celsius(20), Interval.between(35, 45), TemperatureChange.kelvin(5));
            assertThat(advice.get(0).pot()).isEqualTo(BathAdvice.Pot.LYE);
            assertThat(advice.get(0).warms()).isFalse();
            assertThat(advice.get(0).minutes()).isBetween(5.0, 35.0);
        }

        @Test
        void warmTheFatsThatAreTooCold() {
            List<BathAdvice> advice = BathAdvice.of(
                    Temperature.celsius(40), Temperature.celsius(26), Temperature.celsius(18), Interval.between(33, 43), TemperatureChange.kelvin(5));
            assertThat(advice.get(0).pot()).isEqualTo(BathAdvice.Pot.FATS);
            assertThat(advice.get(0).warms()).isTrue();
        }
    }

    @Test
    void bandsAreNarrowWhereItWasRead() {
        CoolingFit fit = CoolingFit.of(List.of(new Reading(0, 80), new Reading(10, 72.6), new Reading(20, 66)), 1, prior(0.013));
        Interval near = fit.bandAt(10);
        Interval far = fit.bandAt(90);
        assertThat(near.high() - near.low()).isLessThan(3);
        assertThat(far.high() - far.low()).isGreaterThan(near.high() - near.low());
        assertThat(Arrays.asList(near.contains(fit.at(10)), far.contains(fit.at(90)))).containsOnly(true);
    }
}
