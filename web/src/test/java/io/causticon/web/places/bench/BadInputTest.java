package io.causticon.web.places.bench;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.Swirl;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.web.util.HtmlUtils;

/** What the bench says to input that it cannot take: next to the field, with what was typed, and nothing is logged. */
@Application
class BadInputTest {

    private BatchService batches;
    private BatchId id;
    private Client client;

    @BeforeEach
    void begin(RunningApplication application, Client fresh) {
        client = fresh.signIn("odd");
        batches = application.bean(BatchService.class);
        id = batches.begin(
                Swirl.plan("Bad input"),
                null,
                1,
                Instant.now(),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
    }

    private static Map<String, String> form(String... pairs) {
        Map<String, String> form = new HashMap<>(Map.of("key", UUID.randomUUID().toString(), "at", "", "step", ""));
        for (int i = 0; i < pairs.length; i += 2) {
            form.put(pairs[i], pairs[i + 1]);
        }
        return form;
    }

    private void isKept(HttpResponse<String> answer, String field, String typed, String told) {
        assertThat(answer.statusCode()).isEqualTo(200);
        String page = HtmlUtils.htmlUnescape(answer.body());
        assertThat(page).contains(told);
        assertThat(page)
                .containsPattern("name=\"" + field + "\"[^>]*value=\"" + java.util.regex.Pattern.quote(typed) + "\"");
        assertThat(batches.get(id).log().entries())
                .noneMatch(e -> e.at().isAfter(Instant.now().minusSeconds(5)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "soft | is not a number",
                "0 | is below what is possible",
                "-5 | is below what is possible",
                "900 kg | is above what is possible"
            })
    void atTheScale(String typed, String told) {
        isKept(
                client.post(
                        "/bench/" + id + "/weigh",
                        form("kind", "FAT", "what", "olive-oil", "amount", typed, "tare", "TAKEN", "vessel", "")),
                "amount",
                typed,
                told);
    }

    @Test
    void ofWhatSomebodyElseWeighedMeanwhileStandsInTheQuickLine() {
        client.post(
                "/bench/" + id + "/weigh",
                form("kind", "FAT", "what", "olive-oil", "amount", "500", "tare", "TAKEN", "vessel", ""));
        String page = HtmlUtils.htmlUnescape(client.post(
                        "/bench/" + id + "/weigh",
                        form("kind", "FAT", "what", "olive-oil", "amount", "5oo", "tare", "TAKEN", "vessel", ""))
                .body());
        assertThat(page)
                .containsPattern("name=\"quick\" value=\"weigh olive-oil 5oo\"")
                .contains("\"oo\" is not a unit known here");
        assertThat(batches.get(id).log().entries()).hasSize(1);
    }

    @Test
    void ofWhatIsAddedStandsBesideTheWeightThatWasOff() {
        client.post(
                "/bench/" + id + "/weigh",
                form("kind", "FAT", "what", "olive-oil", "amount", "400", "tare", "TAKEN", "vessel", ""));
        HttpResponse<String> answer = client.post(
                "/bench/" + id + "/weigh",
                form("kind", "FAT", "what", "olive-oil", "amount", "a bit", "tare", "TAKEN", "vessel", ""));
        String page = HtmlUtils.htmlUnescape(answer.body());
        int advice = page.indexOf("Olive is 100.0 g under");
        assertThat(page.indexOf("value=\"a bit\"")).isGreaterThan(advice);
        assertThat(page.split("value=\"a bit\"")).hasSize(2);
        assertThat(page.substring(advice)).contains("is not a number");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {"half | is not a number", "-1 g | is below what is possible"})
    void intoTheBatter(String typed, String told) {
        id = Swirl.lyeIn(RunningApplication.get(), "Bad batter", Duration.ofMinutes(2));
        isKept(
                client.post(
                        "/bench/" + id + "/batter",
                        form("kind", "add", "name", "Tarred hemp", "mass", typed, "planned", "25", "step", "mix")),
                "mass",
                typed,
                told);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "yesterday | is not a time. Type 14:05, 5 min ago",
                "25:99 | is not a time",
                "5 d ago | is before the batch was begun",
                "2099-01-01 08:00 | is still to come"
            })
    void ofATimeByHand(String typed, String told) {
        isKept(client.post("/bench/" + id + "/log", form("quick", "lye 40", "at", typed)), "at", typed, told);
    }

    @Test
    void onTheReadinessListNamesWhatWasNotLookedAtAndKeepsTheTicks() {
        HttpResponse<String> answer = client.post(
                "/bench/" + id + "/ready",
                form(
                        "step",
                        "ready",
                        "check",
                        ReadyList.of(batches.get(id)).checks().get(0)));
        String page = HtmlUtils.htmlUnescape(answer.body());
        assertThat(page)
                .contains("Not yet looked at: "
                        + ReadyList.of(batches.get(id)).checks().get(1));
        assertThat(page.split("checked=\"checked\"")).hasSize(2);
        assertThat(batches.get(id).log().entries()).isEmpty();
    }

    @Test
    void ofTheRuleOfADeviceIsToldAndKept(RunningApplication application) {
        DeviceService devices = application.bean(DeviceService.class);
        UUID device = devices.add("probe " + UUID.randomUUID().toString().substring(0, 6), DeviceKind.THERMOMETER, true)
                .device()
                .id();
        HttpResponse<String> answer = client.post(
                "/bench/" + id + "/device",
                form("device", device.toString(), "spot", "FATS", "everySeconds", "often", "onChange", "0.5"));
        assertThat(answer.statusCode()).isEqualTo(302);
        String page = HtmlUtils.htmlUnescape(client.get("/bench/" + id).body());
        assertThat(page)
                .contains("\u201coften\u201d".replace('\u201c', '"').replace('\u201d', '"'))
                .contains("value=\"often\"")
                .contains("value=\"0.5\"");
        assertThat(page).containsPattern("value=\"FATS\"[^>]*selected");
        // It is told once.
        assertThat(client.get("/bench/" + id).body()).doesNotContain("value=\"often\"");
        assertThat(devices.watching(id)).isEmpty();
    }
}
