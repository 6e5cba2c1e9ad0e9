package io.causticon.web.exchange.device;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.device.ReadingStore;
import io.causticon.web.store.device.Readings;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;

@Application
class IngestTest {

    private static final HttpClient HTTP = HttpClient.newHttpClient();

    private static HttpResponse<String> send(RunningApplication application, String token, String type, String body) {
        try {
            return HTTP.send(
                    HttpRequest.newBuilder(URI.create(application.address() + "/ingest"))
                            .header("Authorization", "Bearer " + token)
                            .header("Content-Type", type)
                            .POST(HttpRequest.BodyPublishers.ofString(body))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static DeviceService.Added device(RunningApplication application, DeviceKind kind) {
        return application
                .bean(DeviceService.class)
                .add("probe " + UUID.randomUUID().toString().substring(0, 12), kind, false);
    }

    @Test
    void storesJsonAndCsvInTheirUnits(RunningApplication application) {
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        assertThat(send(
                                application,
                                probe.token(),
                                "application/json",
                                "{\"seq\":1,\"value\":43.5}\n{\"seq\":2,\"value\":110,\"unit\":\"F\"}")
                        .body())
                .contains("\"stored\":2");
        assertThat(application
                        .bean(Readings.class)
                        .latest(probe.device().id())
                        .orElseThrow()
                        .value())
                .isBetween(43.0, 43.6);
        assertThat(send(application, probe.token(), "text/csv", "seq,value\n3,44.1\n4,44.0")
                        .body())
                .contains("\"stored\":2");
    }

    @Test
    void storesAReplayOnce(RunningApplication application) {
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        String body = "{\"seq\":7,\"value\":43.5}";
        assertThat(send(application, probe.token(), "application/json", body).body())
                .contains("\"stored\":1")
                .contains("\"known\":0");
        assertThat(send(application, probe.token(), "application/json", body).body())
                .contains("\"stored\":0")
                .contains("\"known\":1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "application/json | not json | 400 | line 1: is not JSON",
                "application/json | {\"seq\":1} | 400 | value a number",
                "application/json | [1,2] | 400 | wants an object",
                "application/json | {\"seq\":1,\"value\":900} | 400 | outside what a thermometer can read",
                "application/json | {\"seq\":1,\"value\":40,\"unit\":\"stone\"} | 400 | unit stone is not one of a"
                        + " thermometer",
                "application/json | {\"seq\":-1,\"value\":40} | 400 | must not be negative",
                "application/json | {\"seq\":1,\"value\":40,\"at\":\"yesterday\"} | 400 | wants ISO 8601",
                "application/json | {\"seq\":1,\"value\":40,\"at\":\"2199-01-01T00:00:00Z\"} | 400 | set the device's"
                        + " clock",
                "text/csv | 1;40 | 400 | wants seq,value",
                "text/plain | 40 | 415 | send application/json"
            })
    void refusesWhatCannotBeReadAndSaysWhy(
            String type, String body, int status, String why, RunningApplication application) {
        HttpResponse<String> answer =
                send(application, device(application, DeviceKind.THERMOMETER).token(), type, body);
        assertThat(answer.statusCode()).isEqualTo(status);
        assertThat(answer.body()).contains("refused").contains(why);
    }

    @Test
    void takesNothingOfABodyThatIsPartlyWrong(RunningApplication application) {
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        assertThat(send(application, probe.token(), "text/csv", "1,40\n2,41\n3,hot")
                        .statusCode())
                .isEqualTo(400);
        assertThat(application.bean(Readings.class).latest(probe.device().id())).isEmpty();
    }

    @Test
    void refusesWrongTokensAndHugeBodies(RunningApplication application) {
        assertThat(send(application, "guess", "application/json", "{\"seq\":1,\"value\":40}")
                        .statusCode())
                .isEqualTo(401);
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        assertThat(send(application, probe.token(), "text/csv", "1,40\n".repeat(20_000))
                        .statusCode())
                .isEqualTo(413);
        application.bean(DeviceService.class).retire(probe.device().id());
        assertThat(send(application, probe.token(), "application/json", "{\"seq\":1,\"value\":40}")
                        .statusCode())
                .isEqualTo(401);
    }

    @Test
    void logsByItsRuleOnceAndNotMoreOften(RunningApplication application) {
        BatchService batches = application.bean(BatchService.class);
        Batch like = batches.all().stream()
                .filter(b -> b.name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
        var id = batches.begin(
                like.plan(),
                null,
                1,
                Instant.now().minusSeconds(600),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        application.bean(DeviceService.class).watch(probe.device().id(), id, MeasurementPoint.FATS, 60, null);
        String at =
                Instant.now().minusSeconds(200).truncatedTo(ChronoUnit.SECONDS).toString();
        String later =
                Instant.now().minusSeconds(190).truncatedTo(ChronoUnit.SECONDS).toString();
        String due =
                Instant.now().minusSeconds(130).truncatedTo(ChronoUnit.SECONDS).toString();
        String body = "1,60.0,C," + at + "\n2,59.8,C," + later + "\n3,58.0,C," + due;
        send(application, probe.token(), "text/csv", body);
        send(application, probe.token(), "text/csv", body);
        assertThat(batches.get(id)
                        .log()
                        .of(Entry.TemperatureRead.class)
                        .map(t -> t.entry().temperature().celsius()))
                .containsExactly(60.0, 58.0);
        assertThat(batches.get(id).log().entries())
                .allMatch(e -> e.current().by().equals(probe.device().name()));
    }

    private static int stored(RunningApplication application, DeviceService.Added device) {
        return application
                .bean(JdbcTemplate.class)
                .queryForObject(
                        "select count(*) from device_reading where device_id = ?",
                        Integer.class,
                        device.device().id());
    }

    @Test
    void forgetsOldReadingsButStillKnowsTheirNumbers(RunningApplication application) {
        DeviceService.Added probe = device(application, DeviceKind.THERMOMETER);
        String json = "application/json";
        send(application, probe.token(), json, "{\"seq\":7,\"value\":43.5}\n{\"seq\":8,\"value\":43.1}");
        ReadingStore store = application.bean(ReadingStore.class);
        store.forgetBefore(Instant.now().minusSeconds(60));
        assertThat(stored(application, probe)).isEqualTo(2);
        assertThat(store.forgetBefore(Instant.now().plusSeconds(60))).isGreaterThanOrEqualTo(2);
        assertThat(stored(application, probe)).isZero();
        assertThat(send(application, probe.token(), json, "{\"seq\":8,\"value\":43.1}\n{\"seq\":9,\"value\":42.8}")
                        .body())
                .contains("\"stored\":1");
    }

    @Test
    void aNewDeviceOfAnOldNameCountsFromTheBeginning(RunningApplication application) {
        DeviceService devices = application.bean(DeviceService.class);
        DeviceService.Added first = device(application, DeviceKind.THERMOMETER);
        String reading = "{\"seq\":1,\"value\":43.5}";
        assertThat(send(application, first.token(), "application/json", reading).body())
                .contains("\"stored\":1");
        devices.retire(first.device().id());
        DeviceService.Added second = devices.add(first.device().name(), DeviceKind.THERMOMETER, false);
        assertThat(send(application, second.token(), "application/json", reading)
                        .body())
                .contains("\"stored\":1");
        assertThat(send(application, second.token(), "application/json", reading)
                        .body())
                .contains("\"stored\":0");
    }
}
