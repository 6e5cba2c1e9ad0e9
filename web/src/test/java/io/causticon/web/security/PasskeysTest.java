package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Browser;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.OwnClock;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.audit.Deeds;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Devices that sign instead of passwords, and beside them, with a device that the browser makes believe it has. */
class PasskeysTest {

    private static final String PASSWORD = "lye-into-water";
    private static final AtomicInteger MADE = new AtomicInteger();

    @RegisterExtension
    static final OwnClock OWN = new OwnClock();

    private String name = "";
    private @Nullable Browser begun;

    @BeforeEach
    void somebodyNew() {
        name = "pia" + MADE.incrementAndGet();
        OWN.application().bean(AccountService.class).create(name, "", PASSWORD, Role.MAKER);
        // What a test before did wrong is forgiven.
        OWN.pass(Duration.ofHours(2));
    }

    @AfterEach
    void leave() {
        if (begun != null) {
            begun.close();
        }
    }

    /** Begun where it is needed, with a device that holds no passkey of another test. */
    private Browser browser() {
        if (begun == null) {
            begun = new Browser(OWN.address()).withDevice();
        }
        return begun;
    }

    private void addOne() {
        browser().signInAtTheForm(name)
                .open("/settings/passkeys")
                .type("label", "bench tablet")
                .press("Add a passkey")
                .waitForText("not yet");
        assertThat(browser().text("main table")).contains("bench tablet");
    }

    private void signOut() {
        browser().script("const form = document.querySelector('form[action=\"/sign-out\"]'); form.submit()");
        browser().waitForText("You are signed out.");
    }

    /** What the device signs for the door, without knocking with it. */
    private String signed() {
        browser().open("/sign-in");
        browser().script("HTMLFormElement.prototype.requestSubmit = function () {"
                + " window.signed = this.querySelector('[data-signed]').value; }");
        browser().press("Sign in with a passkey");
        browser().waitUntilTrue(() -> Boolean.TRUE.equals(browser().script("return Boolean(window.signed)")));
        return String.valueOf(browser().script("return window.signed"));
    }

    private static String led(Client client, String signed) {
        return led(client.post("/sign-in", Map.of("passkey", signed)));
    }

    private static String led(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).isEqualTo(302);
        return answer.headers().firstValue("Location").orElse("").replaceFirst("^https?://[^/]*", "");
    }

    private Client atTheDoor() {
        Client client = new Client(OWN.address());
        client.get("/sign-in");
        return client;
    }

    @Test
    void oneOpensTheWorkshopUntilItIsTakenAway() {
        addOne();
        signOut();
        browser().press("Sign in with a passkey").waitFor("nav.places");
        browser().open("/settings/passkeys");
        assertThat(browser().text("main table")).doesNotContain("not yet");

        browser().press("Take it away").waitForText("You have none yet.");
        signOut();
        browser().press("Sign in with a passkey").waitForText("That passkey opens nothing here.");

        String trail = Jsoup.parse(new Client(OWN.address())
                        .signIn("ines")
                        .get("/people/audit?name=" + name)
                        .body())
                .text();
        assertThat(trail).contains("added a passkey", "took a passkey away");
    }

    @Test
    void whatIsSignedOpensOnceAndAtThisAddressAlone() {
        addOne();
        Client elsewhere = new Client(OWN.address().replace("localhost", "127.0.0.1"));
        elsewhere.get("/sign-in");
        String signed = signed();
        assertThat(led(elsewhere, signed)).isEqualTo("/sign-in?wrong=passkey");

        Client here = atTheDoor();
        assertThat(led(here, signed)).isEqualTo("/");
        assertThat(here.get("/settings/passkeys").body()).contains("bench tablet");
        assertThat(led(atTheDoor(), signed)).isEqualTo("/sign-in?wrong=passkey");

        String late = signed();
        OWN.pass(Challenges.GOOD_FOR);
        assertThat(led(atTheDoor(), late)).isEqualTo("/sign-in?wrong=passkey");
    }

    @Test
    void bothAreAskedForWhereSheWantsBoth() {
        addOne();
        browser().tickAll("[name=passkeyToo]").press("Keep this").waitFor("[name=passkeyToo]:checked");
        signOut();

        browser().press("Sign in with a passkey").waitForText("type your password first");
        browser().type("name", name).type("password", PASSWORD).press("Sign in");
        browser().waitForText("Your password is right. Now your passkey.");
        browser().open("/");
        assertThat(browser().path()).startsWith("/sign-in");
        browser().open("/sign-in?next=passkey").press("Sign in with a passkey").waitFor("nav.places");

        // The mark of a right password is for its own account, and does not last.
        Client thief = atTheDoor();
        assertThat(led(thief.post("/sign-in", Map.of("name", name, "password", PASSWORD))))
                .isEqualTo("/sign-in?next=passkey");
        assertThat(led(thief.get("/plan"))).isEqualTo("/sign-in");
        String signed = signed();
        OWN.pass(Duration.ofMinutes(6));
        assertThat(led(thief, signed)).isEqualTo("/sign-in?next=password");

        Client owner = new Client(OWN.address()).signIn("ines");
        owner.post(
                "/people/role",
                Map.of("name", name, "role", "MAKER", "active", "true", "passwordAlone", "true"));
        assertThat(led(atTheDoor().post("/sign-in", Map.of("name", name, "password", PASSWORD))))
                .isEqualTo("/");
    }

    @Test
    void bothCannotBeWantedWithoutOne() {
        browser().signInAtTheForm(name)
                .open("/settings/passkeys")
                .tickAll("[name=passkeyToo]")
                .press("Keep this")
                .waitForText("You have no passkey yet.");
        addAndLoseTheLast();
        assertThat(led(atTheDoor().post("/sign-in", Map.of("name", name, "password", PASSWORD))))
                .isEqualTo("/");
    }

    private void addAndLoseTheLast() {
        browser().open("/settings/passkeys").press("Add a passkey").waitForText("not yet");
        browser().tickAll("[name=passkeyToo]").press("Keep this").waitFor("[name=passkeyToo]:checked");
        browser().press("Take it away").waitForText("You have none yet.");
    }

    @Test
    void oneIsShownInsteadOfThePasswordThatIsAskedForAgain() {
        addOne();
        OWN.pass(PasswordAgain.LATELY.plusMinutes(1));
        browser().open("/settings/passkeys").press("Take it away").waitForText("Your password again");
        browser().press("Show a passkey instead").waitForText("You have none yet.");
    }

    @Test
    void whatIsToBeSignedIsKnownAgainOnceAndForItsUseAlone() {
        Challenges challenges = OWN.application().bean(Challenges.class);
        byte[] given = challenges.fresh("sign in");
        assertThat(challenges.isGood("sign in", given)).isTrue();
        assertThat(challenges.isGood("add to somebody", given)).isFalse();
        for (int i = 0; i < given.length; i++) {
            byte[] forged = given.clone();
            forged[i] ^= 1;
            assertThat(challenges.isGood("sign in", forged)).as("byte " + i).isFalse();
        }
        assertThat(challenges.isGood("sign in", new byte[0])).isFalse();
        assertThat(challenges.use(given)).isTrue();
        assertThat(challenges.use(given)).isFalse();
        assertThat(challenges.isGood("sign in", given)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "{}",
                "[]",
                "null",
                "x",
                "{\"response\":{}}",
                "{\"id\":\"AA\",\"rawId\":\"AA\",\"type\":\"public-key\",\"response\":{\"clientDataJSON\":\"e30\"}}",
                "{\"id\":\"AA\",\"rawId\":\"!\",\"type\":\"\",\"response\":{\"clientDataJSON\":\"bnVsbA\"}}"
            })
    void whatIsNoneOpensNothing(String told) {
        assertThat(led(atTheDoor(), told)).isEqualTo("/sign-in?wrong=passkey");
        Client maker = new Client(OWN.address()).signIn(name);
        assertThat(maker.post("/settings/passkeys", Map.of("passkey", told)).body())
                .contains("No passkey came from your device");
    }

    @Test
    void manyAreNotTried() {
        Client stranger = atTheDoor();
        for (int i = 0; i < 12; i++) {
            stranger.post("/sign-in", Map.of("passkey", "x"));
        }
        assertThat(led(stranger, "x")).startsWith("/sign-in?wait=");
        OWN.pass(Duration.ofHours(2));
        OWN.application().bean(Deeds.class).awaitWritten();
        Client owner = new Client(OWN.address()).signIn("ines");
        assertThat(Jsoup.parse(owner.get("/people/audit").body()).text()).containsOnlyOnce("too many tries");
    }
}
