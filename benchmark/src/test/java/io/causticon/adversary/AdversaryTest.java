package io.causticon.adversary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumMap;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A small search for ways past the gate; {@code ./causticon adversary} searches further. */
class AdversaryTest {

    /**
     * How probable the most probable way may be: what one calm wash lets through where the weights are as planned, as
     * docs/evaluation.md explains.
     */
    private static final Map<Truth, Double> AT_MOST = new EnumMap<>(Map.of(
            Truth.EXCESS_1, .8,
            Truth.EXCESS_2, .4,
            Truth.EXCESS_5, .08,
            Truth.EXCESS_20, .07,
            Truth.POCKETS, .65,
            Truth.SEPARATED, .15,
            Truth.ONE_BAD_PART, .08,
            Truth.SPOILED, 1.));

    @ParameterizedTest
    @EnumSource(Truth.class)
    void noWayIsMoreProbableThanIsTold(Truth truth) {
        Game game = new Game(truth, 2, 2);
        double worst = game.play(1).stream()
                .mapToDouble(Game.Opened::probability)
                .max()
                .orElse(0);
        assertThat(worst).isLessThanOrEqualTo(AT_MOST.get(truth));
        assertThat(game.judged()).as("it searched").isGreaterThan(50);
    }

    @ParameterizedTest
    @EnumSource(
            value = Truth.class,
            names = {"EXCESS_5", "EXCESS_20"})
    void whatIsAmendedOrTakenBackIsNoShorterWay(Truth truth) {
        assertThat(new Game(truth, 2, 2).play(20))
                .allSatisfy(o -> assertThat(o.lines())
                        .as("something of it was calm by itself")
                        .anyMatch(m -> m.how() == Move.Way.AS_IT_WAS));
    }
}
