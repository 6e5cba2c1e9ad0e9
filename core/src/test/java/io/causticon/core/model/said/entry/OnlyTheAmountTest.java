package io.causticon.core.model.said.entry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import org.junit.jupiter.api.Test;

class OnlyTheAmountTest {

    private static final Entry OLIVE =
            new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(100), Tare.NOT_TAKEN, Named.called("second jug"));

    @Test
    void tenMeansTenOfIt() {
        assertThat(OnlyTheAmount.of(OLIVE, "10", Units.METRIC))
                .contains(new Entry.Weighed(
                        Weighable.fat("olive-oil"), Mass.grams(10), Tare.NOT_TAKEN, Named.called("second jug")));
        assertThat(((Entry.Weighed) OnlyTheAmount.of(OLIVE, " 10 ", Units.US).orElseThrow())
                        .mass()
                        .inOunces())
                .isEqualTo(10);
        assertThat(OnlyTheAmount.of(
                        new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(80)), "43.5", Units.METRIC))
                .contains(new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(43.5)));
        assertThat(OnlyTheAmount.of(new Entry.BlenderBurst(20), "5", Units.METRIC))
                .contains(new Entry.BlenderBurst(5));
    }

    @Test
    void wordsAreReadAsALineAsBefore() {
        assertThat(OnlyTheAmount.of(OLIVE, "castor 10", Units.METRIC)).isEmpty();
        assertThat(OnlyTheAmount.of(OLIVE, "", Units.METRIC)).isEmpty();
        assertThat(OnlyTheAmount.of(new Entry.StageReached(Stage.LIGHT, null), "10", Units.METRIC))
                .isEmpty();
        assertThatThrownBy(() -> OnlyTheAmount.of(OLIVE, "10 c", Units.METRIC)).isInstanceOf(ProblemsException.class);
    }
}
