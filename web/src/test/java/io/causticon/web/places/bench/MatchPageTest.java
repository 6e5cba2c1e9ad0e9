package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** What the page of lye and fats says while the two come together. The plan mixes at 40 C. */
@Application
class MatchPageTest {

    private BatchService batches;
    private BatchId id;
    private Client client;

    @BeforeEach
    void begin(RunningApplication application, Client fresh) {
        batches = application.bean(BatchService.class);
        client = fresh.signIn("ines");
        id = batches.begin(
                Swirl.plan("Two pots")
                        .with(
                                PlanFields.LYE_VESSEL,
                                new Vessel("steel jug", VesselMaterial.STAINLESS_STEEL, Mass.grams(420)))
                        .with(
                                PlanFields.FATS_VESSEL,
                                new Vessel("wide pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(1240))),
                null,
                1,
                Instant.now().minus(Duration.ofMinutes(90)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private MatchPageTest log(double minutesAgo, Entry entry) {
        batches.log(
                id,
                List.of(entry),
                Instant.now().minusMillis(Math.round(60_000 * minutesAgo)),
                "Ines",
                UUID.randomUUID().toString());
        return this;
    }

    private MatchPageTest read(double minutesAgo, MeasurementPoint spot, double celsius) {
        return log(minutesAgo, new Entry.TemperatureRead(spot, Temperature.celsius(celsius)));
    }

    private String page() {
        return HtmlUtils.htmlUnescape(client.get("/bench/" + id + "?step=match").body());
    }

    @Test
    void asksForThePotThatWasNotReadYet() {
        log(30, new Entry.PortionFed(1, 4)).log(25, new Entry.LyeClear()).read(5, MeasurementPoint.LYE, 70);
        assertThat(page()).contains("Read the fats to see when the two meet");
    }

    @Test
    void saysWhenThePotsMeetWithABand() {
        read(20, MeasurementPoint.LYE, 72)
                .read(20, MeasurementPoint.FATS, 57)
                .read(10, MeasurementPoint.LYE, 63)
                .read(10, MeasurementPoint.FATS, 53)
                .read(0.2, MeasurementPoint.LYE, 57)
                .read(0.2, MeasurementPoint.FATS, 50);
        assertThat(page())
                .containsPattern("Together in about \\d+ min, \\d+ (to \\d+|at the soonest), at \\d+ to \\d+ °C")
                .contains("class=\"apart\"");
        assertThat(page()).contains("The same as a table").contains("lye, read").contains("fats, forecast");
    }

    @Test
    void potsThatAreCloseButTooWarmAreSaidWhenTheyAreThere() {
        read(20, MeasurementPoint.LYE, 66)
                .read(20, MeasurementPoint.FATS, 60)
                .read(10, MeasurementPoint.LYE, 60)
                .read(10, MeasurementPoint.FATS, 55.5)
                .read(0.2, MeasurementPoint.LYE, 55)
                .read(0.2, MeasurementPoint.FATS, 52);
        assertThat(page())
                .containsPattern(
                        "Within 6 °C, and warmer than \\d+ to \\d+ °C. There in about \\d+ min, \\d+ to \\d+, or go"
                                + " on");
    }

    @Test
    void aSteelJugInTheWarmIsTakenOutInTimeAndWhenItIsPast() {
        read(30, MeasurementPoint.FATS, 62).read(4, MeasurementPoint.LYE, 20).read(0.1, MeasurementPoint.FATS, 55);
        log(3, new Entry.Bathed(MeasurementPoint.LYE, Bath.WARM_BATH));
        read(0.3, MeasurementPoint.LYE, 28);
        assertThat(page()).doesNotContain("Out of the bath");
        read(0.1, MeasurementPoint.LYE, 36.5);
        assertThat(page()).contains("Out of the bath with the lye: it is near");
        read(0.05, MeasurementPoint.LYE, 46);
        assertThat(page()).contains("Out of the bath with the lye: it is past");
    }

    @Test
    void aColdBathIsLeftFromTheOtherSide() {
        read(40, MeasurementPoint.LYE, 36).read(0.3, MeasurementPoint.LYE, 32).read(5, MeasurementPoint.FATS, 60);
        log(4.5, new Entry.Bathed(MeasurementPoint.FATS, Bath.COLD_BATH));
        read(0.3, MeasurementPoint.FATS, 47);
        assertThat(page()).doesNotContain("Out of the bath");
        read(0.1, MeasurementPoint.FATS, 28);
        assertThat(page()).contains("Out of the bath with the fats: it is past");
    }

    @Test
    void potsThatAreTooColdAreSaidToBe() {
        read(20, MeasurementPoint.LYE, 33)
                .read(20, MeasurementPoint.FATS, 31)
                .read(0.2, MeasurementPoint.LYE, 31)
                .read(0.2, MeasurementPoint.FATS, 29.5);
        assertThat(page()).contains("but the fats are below 35 °C, where this recipe stays clear. Warm it a little");
    }

    @Test
    void potsThatAreTogetherAreSaidToBe() {
        read(20, MeasurementPoint.LYE, 44)
                .read(20, MeasurementPoint.FATS, 43)
                .read(0.2, MeasurementPoint.LYE, 39)
                .read(0.2, MeasurementPoint.FATS, 39);
        assertThat(page())
                .contains("They are together. Lye into the fats, through the strainer.")
                .contains("class=\"together\"");
    }
}
