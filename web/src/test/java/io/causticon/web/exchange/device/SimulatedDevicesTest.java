package io.causticon.web.exchange.device;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Browser;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.WebElement;

/** Stand-ins at a bench, seen in a browser as a maker sees them. */
@Application
class SimulatedDevicesTest {

    private BatchService batches;
    private DeviceService devices;
    private BatchId id;

    /** Poured thirty hours ago. */
    @BeforeEach
    void aLoafThatIsDone(RunningApplication application) {
        batches = application.bean(BatchService.class);
        devices = application.bean(DeviceService.class);
        id = Swirl.lyeIn(application, "Done loaf", Duration.ofHours(30));
        batches.log(
                id,
                List.of(new Entry.Poured(Temperature.celsius(40))),
                Instant.now().minus(Duration.ofHours(29)),
                "Ines",
                UUID.randomUUID().toString());
    }

    private void put(DeviceKind kind, MeasurementPoint spot) {
        UUID device = devices.add("stand-in " + UUID.randomUUID().toString().substring(0, 6), kind, true)
                .device()
                .id();
        devices.watch(device, id, spot, null, null);
    }

    private static Optional<Double> shown(Browser browser) {
        String text = browser.text(".device [data-value]").replace('\u2212', '-');
        return text.matches("-?[0-9.]+") ? Optional.of(Double.parseDouble(text)) : Optional.empty();
    }

    @Test
    void aPenShowsTheBarsSolutionAndItsTapIsAMetersNotAStrips(Browser browser) {
        put(DeviceKind.PH_PEN, null);
        browser.signIn("ines")
                .open("/bench/" + id + "?step=pour")
                .waitUntilTrue(() -> shown(browser).isPresent());
        assertThat(shown(browser).orElseThrow()).isBetween(9.0, 10.5);
        browser.press("Log it")
                .waitUntilTrue(
                        () -> batches.get(id).log().first(Entry.PhRead.class).isPresent());
        Entry.PhRead read =
                batches.get(id).log().first(Entry.PhRead.class).orElseThrow().entry();
        assertThat(read.method()).isEqualTo(PhMethod.METER);
        assertThat(read.ph()).isBetween(9.0, 10.5);
    }

    @Test
    void aProbeInTheCoreFollowsTheLoaf(Browser browser) {
        put(DeviceKind.THERMOMETER, MeasurementPoint.CORE);
        browser.signIn("ines")
                .open("/bench/" + id + "?step=pour")
                .waitUntilTrue(() -> shown(browser).isPresent());
        // After more than a day it has come down to the room, with what the probe is off by.
        assertThat(shown(browser).orElseThrow()).isBetween(16.0, 26.0);
    }

    @Test
    void aScaleFillsTheFieldUnlessAHandWritesThere(RunningApplication application, Browser browser) {
        id = batches.begin(
                Swirl.plan("On the scale"),
                null,
                1,
                Instant.now(),
                "Ines",
                java.time.ZoneOffset.UTC,
                UUID.randomUUID().toString());
        put(DeviceKind.SCALE, null);
        browser.signIn("ines")
                .open("/bench/" + id)
                .waitUntilTrue(() -> !browser.value("amount").isEmpty());
        browser.waitUntilTrue(() -> Math.abs(Double.parseDouble(browser.value("amount")) - 500) < 0.5);
        WebElement ring = browser.all("[data-ring]").get(0);
        browser.waitUntilTrue(() -> "in".equals(ring.getDomAttribute("data-state")));
        browser.type("amount", "498");
        double before = shown(browser).orElseThrow();
        browser.waitUntilTrue(() -> shown(browser).filter(s -> s != before).isPresent());
        assertThat(browser.value("amount")).isEqualTo("498");
    }
}
