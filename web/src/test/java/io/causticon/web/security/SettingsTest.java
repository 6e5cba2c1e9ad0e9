package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.util.HtmlUtils;

/** How a workshop works: its room, and where and how closely its lye meets its fats. */
@Application
class SettingsTest {

    private AccountService accounts;
    private Client client;

    @BeforeEach
    void signIn(RunningApplication application, Client fresh) {
        accounts = application.bean(AccountService.class);
        client = fresh.signIn("ines");
    }

    @AfterEach
    void asItWas() {
        client.post("/settings", Map.of("mass", "GRAM", "temperature", "CELSIUS", "theme", "day"));
        save(Map.of());
    }

    private String save(Map<String, String> typed) {
        Map<String, String> form = new HashMap<>(Map.of(
                "workshop",
                "Saltern Lane Soapworks",
                "zone",
                "UTC",
                "room",
                "17 C",
                "mixAt",
                "40 C",
                "within",
                "6 C",
                "currency",
                "EUR"));
        form.putAll(typed);
        return HtmlUtils.htmlUnescape(client.post("/people/workshop", form).body());
    }

    private Maker ines() {
        return accounts.maker("ines");
    }

    @Test
    void whereAndHowCloselyLyeAndFatsMeetIsTheWorkshops() {
        save(Map.of("mixAt", "32", "within", "10"));
        assertThat(ines().mixAt().celsius()).isCloseTo(32, within(1e-9));
        assertThat(ines().within().kelvin()).isCloseTo(10, within(1e-9));
        assertThat(client.get("/plan/new").body()).contains("value=\"32.0\"");
        assertThat(HtmlUtils.htmlUnescape(client.get("/settings").body()))
                .contains("name=\"within\" inputmode=\"decimal\" value=\"10\"");
    }

    @Test
    void degreesApartAreDegreesAlsoInFahrenheit() {
        client.post("/settings", Map.of("mass", "OUNCE", "temperature", "FAHRENHEIT", "theme", "day"));
        save(Map.of("mixAt", "104", "within", "9"));
        assertThat(ines().mixAt().celsius()).isCloseTo(40, within(1e-9));
        assertThat(ines().within().kelvin()).isCloseTo(5, within(1e-9));
        save(Map.of("within", "5 C"));
        assertThat(ines().within().kelvin()).isCloseTo(5, within(1e-9));
        assertThat(HtmlUtils.htmlUnescape(client.get("/settings").body())).contains("value=\"9\"");
    }

    @Test
    void whatIsWrongIsSaidAtEachFieldWithAllThatWasTypedAndNothingIsChanged() {
        String page =
                save(Map.of("workshop", "The loft", "room", "warm", "mixAt", "95", "within", "1", "currency", "XQZ"));
        assertThat(page)
                .contains("value=\"The loft\"")
                .contains("value=\"warm\"")
                .contains("value=\"95\"")
                .contains("value=\"1\"")
                .contains("value=\"XQZ\"")
                .contains("Mixing temperature (95.0 °C) is above what is possible (70.0 °C)")
                .contains("The difference (1 °C) is below what is possible (2 °C)");
        assertThat(ines().workshop()).isEqualTo("Saltern Lane Soapworks");
        assertThat(ines().mixAt().celsius()).isEqualTo(40);
    }
}
