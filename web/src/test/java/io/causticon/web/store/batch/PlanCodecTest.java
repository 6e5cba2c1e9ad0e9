package io.causticon.web.store.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.OvenStay;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Swirl;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlanCodecTest {

    private static final BatchPlan PLAN = Swirl.plan("Swirl");
    private final PlanCodec codec = new PlanCodec();

    @Test
    void givesBackWhatWasKept() {
        BatchPlan plan = PLAN.inOven(new OvenStay(Temperature.celsius(80), 90, false))
                .with(PlanFields.FREEZER, Temperature.celsius(-24))
                .with(PlanFields.LYE_STEP, Mass.grams(.1))
                .with(PlanFields.LYE_VESSEL, new Vessel("old jug", VesselMaterial.GLASS, Mass.grams(310)));

        assertThat(codec.read(codec.write(plan))).isEqualTo(plan);
        assertThat(codec.read(codec.write(PLAN))).isEqualTo(PLAN);
    }

    @Test
    void writesWhatStandsWithinAnObjectWholeOrNotAtAll() {
        String kept = codec.write(PLAN.with(PlanFields.OVEN_MINUTES, 90));

        assertThat(kept).contains("\"oven\":{\"celsius\":70.0,\"minutes\":90,\"preheated\":true}");
        assertThat(codec.write(PLAN)).doesNotContain("\"oven\"");
    }

    /** Plans from before there were versions, with nothing said of what came later. */
    @Test
    void readsPlansThatHaveNoVersion() {
        String kept = codec.write(PLAN).replace("\"version\":1,", "").replace(",\"version\":1", "");

        assertThat(kept).doesNotContain("version");
        assertThat(codec.read(kept)).isEqualTo(PLAN);
        assertThat(codec.read(kept.replaceFirst("\\{", "{\"oven\":null,\"freezer\":null,")))
                .isEqualTo(PLAN);
    }

    @ParameterizedTest
    @CsvSource({
        "'\"mixAt\"', '\"moon\":3,\"mixAt\"', moon",
        "'\"fats\":[{', '\"fats\":[{\"colour\":\"red\",', fats[0].colour",
        "'\"mixAt\"', '\"lyeVessel\":{\"colour\":\"red\",\"name\":\"jug\"},\"mixAt\"', lyeVessel.colour",
        "'\"mixAt\"', '\"oven\":{\"fan\":true},\"mixAt\"', oven"
    })
    void refusesByItsNameWhatItDoesNotKnow(String where, String other, String name) {
        String kept = codec.write(PLAN).replace(where, other);

        assertThatThrownBy(() -> codec.read(kept))
                .isInstanceOf(PlanCodec.UnknownField.class)
                .hasMessageContaining("“" + name + "”");
    }

    @Test
    void saysOfANewerProgramsPlanThatItIsOne() {
        assertThatThrownBy(() -> codec.read(codec.write(PLAN).replace("\"version\":1", "\"version\":7")))
                .isInstanceOf(PlanCodec.UnknownField.class)
                .hasMessageContaining("newer program, version 7");
    }

    @ParameterizedTest
    @ValueSource(strings = {"0", "-1", "1.5", "\"one\"", "null"})
    void takesNoOtherVersions(String version) {
        assertThatThrownBy(() -> codec.read(codec.write(PLAN).replace("\"version\":1", "\"version\":" + version)))
                .isInstanceOf(PlanCodec.UnknownField.class)
                .hasMessageContaining("is of version " + version)
                .hasMessageContaining("whole numbers from 1 on");
    }

    @Test
    void missesByItsNameWhatIsAlwaysThere() {
        assertThatThrownBy(() -> codec.read(codec.write(PLAN).replaceFirst("\"mixAt\":[^,}]*,?", "")))
                .hasMessageContaining("mixAt");
    }
}
