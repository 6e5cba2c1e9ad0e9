package io.causticon.core.science.cure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Standing;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Drying.Weighing;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class DryingTest {

    /** Put on the scale each time. */
    private static final int BARS = 3;

    private static DryingBar bar(double thickness, double humidity) {
        return new DryingBar(
                thickness, 65, 85, DryingBar.ALL_FACES, Share.percent(20), Temperature.celsius(20), humidity);
    }

    /** A bar as it really dries: drawn round what is expected of it, by the law itself and not by the code. */
    private record Truth(double grams, double loss, double slow, double skin, double quick) {

        static Truth drawn(Random random, DryingBar bar) {
            double slow = bar.slowDays() * Math.exp(0.20 * random.nextGaussian());
            return new Truth(
                    90 + 40 * random.nextDouble(),
                    bar.canLose() * Math.exp(0.12 * random.nextGaussian()),
                    slow,
                    Math.max(0.03, 0.19 + 0.07 * random.nextGaussian()),
                    slow / 9 * Math.exp(0.30 * random.nextGaussian()));
        }

        double at(double days) {
            return grams * (1 - loss * (1 - skin * Math.exp(-days / quick) - (1 - skin) * Math.exp(-days / slow)));
        }

        double readyDay(DryingBar bar) {
            double day = 0;
            while (day < 400 && (at(day) - at(day + 7)) / at(day) >= bar.dryBelow()) {
                day += 0.05;
            }
            return day;
        }
    }

    @Test
    void findsTheDateWithinFourDaysAfterThreeWeighings() {
        Random random = new Random(11);
        int near = 0;
        int inside = 0;
        int many = 500;
        for (int i = 0; i < many; i++) {
            DryingBar bar = bar(20 + 12 * random.nextDouble(), 0.4 + 0.3 * random.nextDouble());
            Truth truth = Truth.drawn(random, bar);
            List<Weighing> weighings = new ArrayList<>();
            for (double day : new double[] {0.2, 14, 49}) {
                for (int b = 1; b <= BARS; b++) {
                    weighings.add(new Weighing(
                            day, truth.at(day) * (1 + 0.03 * b) + 0.5 * random.nextGaussian(), String.valueOf(b)));
                }
            }
            Drying drying = Drying.of(bar, weighings);
            near += Math.abs(drying.readyDay() - truth.readyDay(bar)) <= 4 ? 1 : 0;
            inside += drying.readyDays().contains(truth.readyDay(bar)) ? 1 : 0;
        }
        assertThat(near).isGreaterThanOrEqualTo(400);
        assertThat(inside).isBetween(350, 450);
    }

    @Test
    void isNotReadyEarlierForDampAir() {
        double usual = Drying.of(bar(25, 0.55), List.of()).readyDay();
        for (double damp : new double[] {0.6, 0.7, 0.8, 0.95}) {
            Drying drying = Drying.of(bar(25, damp), List.of());
            assertThat(drying.readyDay()).as("%.2f", damp).isCloseTo(usual, within(0.5));
            assertThat(drying.isInDampAir()).isTrue();
            assertThat(drying.waterShareAt(usual))
                    .isGreaterThan(Drying.of(bar(25, 0.55), List.of()).waterShareAt(usual));
        }
    }

    @Test
    void isForecastBeforeAnybodyWeighs() {
        Drying drying = Drying.of(bar(25, 0.55), List.of());
        assertThat(drying.readyDay()).isBetween(25.0, 50.0);
        assertThat(drying.readyDays().low()).isLessThan(drying.readyDay());
        assertThat(drying.massShareAt(0)).isCloseTo(1, within(1e-9));
        assertThat(drying.massShareAt(300)).isBetween(0.85, 0.92);
        assertThat(drying.waterShareAt(0)).isCloseTo(0.20, within(1e-9));
        assertThat(drying.told()).isEmpty();
    }

    @Test
    void takesLongerForThickBarsAndInDampAirLosesLess() {
        assertThat(Drying.of(bar(40, 0.55), List.of()).readyDay())
                .isGreaterThan(Drying.of(bar(22, 0.55), List.of()).readyDay() + 10);
        assertThat(Drying.of(bar(25, 0.85), List.of()).massShareAt(200))
                .isGreaterThan(Drying.of(bar(25, 0.35), List.of()).massShareAt(200));
        DryingBar warm = new DryingBar(25, 65, 85, 6, Share.percent(20), Temperature.celsius(28), 0.55);
        assertThat(Drying.of(warm, List.of()).readyDay())
                .isLessThan(Drying.of(bar(25, 0.55), List.of()).readyDay());
        // What is wrapped loses nothing a week, and is no drier for that.
        double before = 0;
        for (Standing how : Standing.values()) {
            DryingBar standing =
                    new DryingBar(25, 65, 85, how.openFaces(), Share.percent(20), Temperature.celsius(20), 0.55);
            double days = Drying.of(standing, List.of()).readyDay();
            assertThat(days).as(how.name()).isGreaterThan(before + 5);
            before = days;
        }
        assertThat(before).as("wrapped").isGreaterThan(365);
    }

    @Test
    void learnsTheMassFromOneWeighingAndNotTheDate() {
        Drying none = Drying.of(bar(25, 0.55), List.of());
        Drying one = Drying.of(bar(25, 0.55), List.of(new Weighing(3, 104.2, "")));
        assertThat(one.readyDay()).isCloseTo(none.readyDay(), within(0.5));
        assertThat(one.freshGrams("").orElseThrow()).isBetween(104.2, 110.0);
        assertThat(one.freshGrams("7")).isEmpty();
    }

    @Test
    void tellsWhatIsOdd() {
        assertThat(told(new Weighing(1, 104, ""), new Weighing(14, 106, ""))).contains("gains weight");
        assertThat(told(new Weighing(1, 104, "2"), new Weighing(20, 103.9, "2")))
                .contains("Bar 2 lost nothing");
        // Ounces that were taken for grams, or the bar beside it.
        assertThat(told(
                        new Weighing(1, 104, ""),
                        new Weighing(7, 102, ""),
                        new Weighing(14, 88, ""),
                        new Weighing(21, 99.4, "")))
                .contains("does not go with the others");
        assertThat(told(new Weighing(1, 104, ""), new Weighing(14, 99, ""), new Weighing(28, 96.5, "")))
                .isEqualTo("[]");
    }

    private static String told(Weighing... weighings) {
        return Drying.of(bar(25, 0.55), List.of(weighings)).told().stream()
                .map(p -> p.written(String::valueOf))
                .toList()
                .toString();
    }

    @Test
    void asksADozenOfTheBarsThatWereWeighedMost() {
        List<Weighing> weighings = new ArrayList<>();
        for (int bar = 1; bar <= 300; bar++) {
            weighings.add(new Weighing(1, 104, String.valueOf(bar)));
            if (bar > 280) {
                weighings.add(new Weighing(21, 97, String.valueOf(bar)));
            }
        }
        assertThat(Drying.of(bar(25, 0.55), weighings).bars()).hasSize(12).allMatch(b -> Integer.parseInt(b) > 280);
    }

    /** Whatever stands there: a number and a band in order. */
    @Test
    void staysANumber() {
        Random random = new Random(4);
        for (int i = 0; i < 400; i++) {
            DryingBar bar = new DryingBar(
                    1 + 120 * random.nextDouble(),
                    1 + 300 * random.nextDouble(),
                    1 + 300 * random.nextDouble(),
                    random.nextInt(9),
                    Share.fraction(0.6 * random.nextDouble()),
                    Temperature.celsius(-5 + 45 * random.nextDouble()),
                    random.nextBoolean() ? null : random.nextDouble());
            List<Weighing> weighings = new ArrayList<>();
            for (int w = random.nextInt(12); w > 0; w--) {
                weighings.add(new Weighing(
                        400 * random.nextDouble() - 20, 2000 * random.nextDouble(), String.valueOf(random.nextInt(4))));
            }
            Drying drying = Drying.of(bar, weighings);
            assertThat(drying.readyDay()).isBetween(0.0, 400.1);
            assertThat(drying.readyDays().low())
                    .isLessThanOrEqualTo(drying.readyDays().high());
            assertThat(drying.massShareAt(50)).isBetween(0.3, 1.0);
            assertThat(drying.waterShareAt(50)).isBetween(0.0, 0.7);
        }
    }

    @Test
    void isTheSameAskedAgainAndAnotherWithAWeighingOrOtherAir() {
        List<Weighing> two = List.of(new Weighing(0, 110, ""), new Weighing(7, 106, ""));
        Drying dries = Drying.of(bar(25, 0.5), two);
        // A list that its owner goes on with is another question.
        List<Weighing> growing = new ArrayList<>(two);
        assertThat(Drying.of(bar(25, 0.5), growing)).isSameAs(dries);
        growing.add(new Weighing(14, 105.4, ""));
        Drying weighedAgain = Drying.of(bar(25, 0.5), growing);
        assertThat(weighedAgain.weighings()).isEqualTo(3);
        assertThat(weighedAgain.readyDay()).isNotEqualTo(dries.readyDay());
        assertThat(Drying.of(bar(25, 0.8), two).massShareAt(30)).isGreaterThan(dries.massShareAt(30));
        assertThat(Drying.of(bar(25, 0.5), two).readyDay()).isEqualTo(dries.readyDay());
    }
}
