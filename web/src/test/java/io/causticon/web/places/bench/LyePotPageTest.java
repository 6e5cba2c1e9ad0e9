package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Share;
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
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** What the lye pot says while lye goes into water. */
@Application
class LyePotPageTest {

    private BatchService batches;
    private BatchId id;
    private Client client;

    @BeforeEach
    void begin(RunningApplication application, Client fresh) {
        batches = application.bean(BatchService.class);
        client = fresh.signIn("ines");
        id = batches.begin(
                Swirl.plan("Lye in water"),
                null,
                1,
                Instant.now().minus(Duration.ofMinutes(15)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private void log(double minutesAgo, Entry entry) {
        batches.log(
                id,
                List.of(entry),
                Instant.now().minusMillis(Math.round(60_000 * minutesAgo)),
                "Ines",
                UUID.randomUUID().toString());
    }

    private String page() {
        return HtmlUtils.htmlUnescape(client.get("/bench/" + id + "?step=lye").body());
    }

    @Test
    void aPotThatKeepsToItsForecastIsNotSaidToBoil() {
        log(3, new Entry.PortionFed(1, 4));
        assertThat(page()).contains("Portion 2 of 4").doesNotContain("boil over");
        assertThat(page()).contains("The same as a table").contains("lye, forecast");
    }

    @Test
    void aPotThatIsFarHotterThanItsLyeExplainsMayBoilOverAndIsTheHandsBusiness() {
        log(3, new Entry.PortionFed(1, 4));
        log(1, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(88)));
        assertThat(page())
                .contains("It may boil over")
                .contains("No more lye now. Step back, jug into cold water")
                .contains("boiling");
    }

    @Test
    void asksForTheLiquidBeforeTheLyeAndFollowsIt() {
        assertThat(page())
                .contains("The liquid is taken to be at")
                .contains("Read it before the lye, and the forecast follows");
        log(1, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(5)));
        assertThat(page())
                .doesNotContain("is taken to be at")
                .contains("liquid before the lye")
                .contains("Lye into the liquid in 4 portions");
    }

    @Test
    void milkThatHasThawedIsNotGivenLye() {
        id = batches.begin(
                frozenMilk(),
                null,
                1,
                Instant.now().minus(Duration.ofMinutes(15)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        assertThat(page()).contains("The ice is taken to be at −18.0 °C");
        log(1, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(7)));
        assertThat(page())
                .containsPattern(
                        "It reads 7.0 °C: it has begun to thaw. All thawed it peaks near \\d+.0 °C, above 40.0 °C. No"
                                + " lye yet");
    }

    private static BatchPlan frozenMilk() {
        BatchPlan plan = Swirl.plan("Frozen");
        Formula f = plan.formula();
        return plan.with(new Formula(
                f.fats(),
                f.alkali(),
                f.superfat(),
                f.liquidTarget(),
                List.of(new LiquidPart(
                        Catalogue.standard().liquid("goat-milk-whole"), Share.WHOLE, LiquidState.FROZEN)),
                f.additives()));
    }

    @Test
    void theLineThatEndsAStepGoesOnToTheNext() {
        log(9, new Entry.PortionFed(1, 4));
        String answer = client.post(
                        "/bench/" + id + "/log",
                        Map.of(
                                "quick",
                                "lye 60",
                                "at",
                                "",
                                "step",
                                "lye",
                                "key",
                                UUID.randomUUID().toString()))
                .headers()
                .firstValue("Location")
                .orElse("");
        assertThat(answer).endsWith("?step=lye");
        answer = client.post(
                        "/bench/" + id + "/log",
                        Map.of(
                                "quick",
                                "clear",
                                "at",
                                "",
                                "step",
                                "lye",
                                "key",
                                UUID.randomUUID().toString()))
                .headers()
                .firstValue("Location")
                .orElse("");
        assertThat(answer).endsWith("/bench/" + id);
    }

    @Test
    void fiveMinutesAgoIsForOneLineAndAClockStays() {
        Map<String, String> form = Map.of(
                "quick",
                "lye 60",
                "at",
                "5 min ago",
                "step",
                "",
                "key",
                UUID.randomUUID().toString());
        assertThat(client.post("/bench/" + id + "/log", form)
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .doesNotContain("at=");
        Instant read = batches.get(id)
                .log()
                .first(Entry.TemperatureRead.class)
                .orElseThrow()
                .at();
        assertThat(Duration.between(read, Instant.now())).isBetween(Duration.ofSeconds(299), Duration.ofSeconds(320));
    }
}
