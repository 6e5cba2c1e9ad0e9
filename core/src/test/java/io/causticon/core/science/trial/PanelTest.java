package io.causticon.core.science.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.SensoryScale;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PanelTest {

    private static final List<String> ARMS = List.of("water", "goat", "cream", "tea", "oat", "beer");

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 9, 12})
    void everyArmStandsInEveryPlaceAndAfterEveryOtherEquallyOften(int arms) {
        int[][] places = new int[arms][arms];
        int[][] after = new int[arms][arms];
        for (int round = 0; round < PanelOrder.rounds(arms); round++) {
            List<Integer> order = PanelOrder.of(arms, round);
            assertThat(order).doesNotHaveDuplicates().hasSize(arms);
            for (int place = 0; place < arms; place++) {
                places[order.get(place)][place]++;
                if (place > 0) {
                    after[order.get(place - 1)][order.get(place)]++;
                }
            }
        }
        for (int arm = 0; arm < arms; arm++) {
            for (int other = 0; other < arms; other++) {
                assertThat(places[arm][other]).isEqualTo(places[0][0]);
                assertThat(after[arm][other]).isEqualTo(arm == other ? 0 : PanelOrder.rounds(arms) / arms);
            }
        }
        assertThat(PanelOrder.of(arms, -1)).hasSize(arms);
    }

    /** Two ages; judges of different strictness who tire from place to place and have likings of their own. */
    private static List<Sitting> simulated(
            Random random, int judges, double[] effects, double liking, boolean rounded) {
        List<Sitting> sittings = new ArrayList<>();
        double[][] likes = new double[judges][ARMS.size()];
        for (double[] of : likes) {
            for (int a = 0; a < of.length; a++) {
                of[a] = liking * random.nextGaussian();
            }
        }
        int round = 0;
        for (String age : List.of("48 h", "5 weeks")) {
            for (int judge = 0; judge < judges; judge++) {
                double level = 3 + 0.7 * random.nextGaussian();
                List<Integer> order = PanelOrder.of(ARMS.size(), round++);
                for (int place = 0; place < order.size(); place++) {
                    int arm = order.get(place);
                    double grade =
                            level + effects[arm] - 0.12 * place + likes[judge][arm] + 0.5 * random.nextGaussian();
                    sittings.add(new Sitting(
                            ARMS.get(arm),
                            "judge " + judge,
                            age,
                            place + 1,
                            SensoryScale.CREAM,
                            rounded ? Math.max(1, Math.min(5, Math.rint(grade))) : grade));
                }
            }
        }
        return sittings;
    }

    @ParameterizedTest
    @CsvSource({"2, 0", "3, 0", "3, 0.4", "4, 0.4"})
    void intervalsHoldWhatIsTrueNineTimesOutOfTen(int judges, double liking) {
        Random random = new Random(17);
        double[] effects = {0, 1.2, 0.5, 0, -0.8, 0.2};
        int held = 0;
        int all = 0;
        for (int trial = 0; trial < 250; trial++) {
            for (Effect effect : PanelEffects.of(simulated(random, judges, effects, liking, false), "water")) {
                held += Objects.requireNonNull(effect.interval()).contains(effects[ARMS.indexOf(effect.arm())]) ? 1 : 0;
                all++;
            }
        }
        assertThat((double) held / all).isBetween(0.85, 0.96);
    }

    @ParameterizedTest
    @CsvSource({"2, 0, false", "3, 0.3, true"})
    void whereThereIsNothingLittleIsFound(int judges, double liking, boolean rounded) {
        Random random = new Random(23);
        int trials = 250;
        int found = 0;
        for (int trial = 0; trial < trials; trial++) {
            found += PanelEffects.of(simulated(random, judges, new double[6], liking, rounded), "water").stream()
                            .anyMatch(Effect::found)
                    ? 1
                    : 0;
        }
        assertThat((double) found / trials).isLessThanOrEqualTo(0.10);
    }

    @Test
    void whatIsLargeIsFoundAndHowManyMoreWouldSettleWhatIsNot() {
        List<Effect> effects =
                PanelEffects.of(simulated(new Random(3), 3, new double[] {0, 2.5, 0.3, 0, -2, 0}, 0, false), "water");
        assertThat(effects)
                .hasSize(10)
                .filteredOn(Effect::found)
                .extracting(Effect::arm)
                .contains("goat", "oat")
                .doesNotContain("tea");
        assertThat(effects)
                .filteredOn(e -> !e.found() && e.arm().equals("cream"))
                .anyMatch(e -> e.roundsMissing() > 0);
        assertThat(effects).allMatch(e -> e.chanceReal() >= 0.5 && e.chanceReal() <= 1);
    }

    /**
     * By hand: two judges, one age, no order: the difference of means, and its t-interval of (J - 1)(A - 1) = 1 degree
     * of freedom.
     */
    @Test
    void twoJudgesAndTwoArmsAsByHand() {
        List<Sitting> four = List.of(
                new Sitting("water", "Ines", "48 h", 1, SensoryScale.CREAM, 2),
                        new Sitting("goat", "Ines", "48 h", 2, SensoryScale.CREAM, 4),
                new Sitting("water", "Odd", "48 h", 1, SensoryScale.CREAM, 3),
                        new Sitting("goat", "Odd", "48 h", 2, SensoryScale.CREAM, 4));
        Effect effect = PanelEffects.of(four, "water").get(0);
        assertThat(effect.difference()).isCloseTo(1.5, within(1e-9));
        // Differences 2 and 1: mean 1.5, standard error 0.5; t of one degree at 95 % is 6.314.
        assertThat(Objects.requireNonNull(effect.interval()).high()).isCloseTo(1.5 + 6.3138 * 0.5, within(1e-3));
    }

    @Test
    void whatCannotBeToldIsNotTold() {
        List<Sitting> once = List.of(
                new Sitting("water", "Ines", "48 h", 1, SensoryScale.CREAM, 2),
                new Sitting("goat", "Ines", "48 h", 2, SensoryScale.CREAM, 5));
        assertThat(PanelEffects.of(once, "water")).singleElement().satisfies(e -> {
            assertThat(e.difference()).isEqualTo(3);
            assertThat(e.interval()).isNull();
            assertThat(e.found()).isFalse();
        });
        assertThat(PanelEffects.of(List.of(), "water")).isEmpty();
        assertThat(PanelEffects.of(once, "beer")).as("no control").isEmpty();
        assertThat(PanelEffects.of(once.subList(0, 1), "water")).as("one arm").isEmpty();
        List<Sitting> equal = new ArrayList<>();
        for (String judge : List.of("Ines", "Odd")) {
            for (int i = 0; i < 3; i++) {
                equal.add(new Sitting(ARMS.get(i), judge, "48 h", i + 1, SensoryScale.SLIP, 3));
            }
        }
        assertThat(PanelEffects.of(equal, "water"))
                .hasSize(2)
                .allMatch(e -> e.difference() == 0 && !e.found() || Math.abs(e.difference()) < 1e-9 && !e.found());
        // Wholly opposed: the difference is nothing, and the doubt is large.
        List<Sitting> opposed = List.of(
                new Sitting("water", "Ines", "48 h", 1, SensoryScale.CREAM, 1),
                        new Sitting("goat", "Ines", "48 h", 2, SensoryScale.CREAM, 5),
                new Sitting("water", "Odd", "48 h", 2, SensoryScale.CREAM, 5),
                        new Sitting("goat", "Odd", "48 h", 1, SensoryScale.CREAM, 1));
        assertThat(PanelEffects.of(opposed, "water")).allMatch(e -> !e.found());
    }
}
