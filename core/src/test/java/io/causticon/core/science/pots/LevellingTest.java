package io.causticon.core.science.pots;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.science.pots.Levelling.State;
import io.causticon.core.science.pots.PotForecast.Reading;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

class LevellingTest {

    private static List<Reading> readings(double... minutesAndCelsius) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < minutesAndCelsius.length; i += 2) {
            readings.add(new Reading(minutesAndCelsius[i], minutesAndCelsius[i + 1]));
        }
        return readings;
    }

    @Test
    void isNotSeenInOneReadingNorInTwoThatAreCloseTogether() {
        assertThat(Levelling.of(List.of(), 0)).isEqualTo(State.NOT_SEEN);
        assertThat(Levelling.of(readings(3, 70), 0)).isEqualTo(State.NOT_SEEN);
        assertThat(Levelling.of(readings(3, 70, 3.5, 71), 0)).isEqualTo(State.NOT_SEEN);
    }

    @Test
    void isRisingWhileTheTemperatureClimbs() {
        assertThat(Levelling.of(readings(1, 50, 3, 68, 5, 75), 1)).isEqualTo(State.RISING);
    }

    @Test
    void isLevelWhenItClimbsNoMoreThanAThermometerWavers() {
        assertThat(Levelling.of(readings(3, 75.0, 5, 75.3), 1)).isEqualTo(State.LEVEL);
        assertThat(Levelling.of(readings(3, 75.0, 5, 74.7), 1)).isEqualTo(State.LEVEL);
    }

    @Test
    void hasTurnedWhenItCameDownFromItsHeight() {
        assertThat(Levelling.of(readings(3, 70, 5, 75, 7, 74.1), 1)).isEqualTo(State.TURNED);
        // However soon after: a fall of a degree is no wavering.
        assertThat(Levelling.of(readings(5, 75, 5.5, 74), 1)).isEqualTo(State.TURNED);
    }

    @Test
    void countsOnlyWhatWasReadSinceTheLastLye() {
        // The fall before the last portion says nothing of that portion.
        assertThat(Levelling.of(readings(1, 60, 3, 55, 5, 62, 7, 66), 4)).isEqualTo(State.RISING);
        assertThat(Levelling.of(readings(1, 60, 3, 55), 4)).isEqualTo(State.NOT_SEEN);
    }

    @Test
    void doesNotDependOnTheOrderInWhichLinesWereWritten() {
        List<Reading> mixed = readings(3, 70, 5, 75, 7, 74.1);
        Collections.reverse(mixed);
        assertThat(Levelling.of(mixed, 1)).isEqualTo(State.TURNED);
    }
}
