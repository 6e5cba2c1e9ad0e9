package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Client;
import io.causticon.web.harness.OwnClock;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.util.Map;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What would hand the workshop to somebody else wants the password, where it was not typed lately. */
class PasswordAgainTest {

    private static final String PASSWORD = "lye-into-water";
    private static final Map<String, String> TOKEN = Map.of("name", "kiosk & co", "scopes", "READ", "endsOn", "");

    @RegisterExtension
    static final OwnClock OWN = new OwnClock();

    private Client owner;

    @BeforeEach
    void aWhileAgo() {
        owner = new Client(OWN.address()).signIn("ines");
        OWN.pass(PasswordAgain.LATELY.plusMinutes(1));
    }

    private static String led(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("");
    }

    private static Map<String, String> again(String password, String method, String to) {
        return Map.of("again", password, "method", method, "to", to);
    }

    @Test
    void aFormIsKeptAndSentOnceMore() {
        HttpResponse<String> asked = owner.post("/people/tokens", TOKEN);
        assertThat(asked.statusCode()).isEqualTo(403);
        Document page = Jsoup.parse(asked.body());
        assertThat(page.select("input[type=hidden][name=name]").val()).isEqualTo("kiosk & co");
        assertThat(page.select("input[name=to]").val()).isEqualTo("/people/tokens");

        HttpResponse<String> wrong = owner.post("/again", again("not-the-password", "POST", "/people/tokens"));
        assertThat(wrong.body()).contains("That is not the present password.");
        HttpResponse<String> right = owner.post("/again", again(PASSWORD, "POST", "/people/tokens"));
        assertThat(right.statusCode()).isEqualTo(307);
        assertThat(led(right)).isEqualTo("/people/tokens");
        assertThat(owner.post("/people/tokens", TOKEN).body()).contains("kiosk &amp; co");
        String trail = Jsoup.parse(owner.get("/people/audit").body()).text();
        assertThat(trail).containsPattern("ines made a token for a program .{0,60} ines gave her password again");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/carry/workshop.zip", "/backups/made-up.zip"})
    void soIsWhatIsTakenAway(String address) {
        HttpResponse<String> asked = owner.get(address);
        assertThat(asked.statusCode()).isEqualTo(403);
        assertThat(asked.body()).contains("Your password again");
        HttpResponse<String> right = owner.post("/again", again(PASSWORD, "GET", address));
        assertThat(right.statusCode()).isEqualTo(303);
        assertThat(led(right)).isEqualTo(address);
        assertThat(owner.get(address).body()).doesNotContain("Your password again");
    }

    @Test
    void itIsGuessedNoFasterThanAtTheDoor() {
        long looked = IntStream.range(0, 20)
                .mapToObj(i -> owner.post("/again", again("guess-" + i, "POST", "/people"))
                        .body())
                .filter(p -> p.contains("not the present password"))
                .count();
        assertThat(looked).isLessThanOrEqualTo(5);
        OWN.pass(Duration.ofHours(2));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "//elsewhere.example/people",
                "https://elsewhere.example/people",
                "/\\elsewhere.example",
                "/settings",
                "/people/../settings",
                "/people%0d%0aX: y",
                ""
            })
    void nobodyIsLedElsewhere(String to) {
        HttpResponse<String> answer = owner.post("/again", again(PASSWORD, "POST", to));
        assertThat(led(answer)).isEqualTo("/");
        assertThat(owner.post("/people/tokens", TOKEN).statusCode()).isEqualTo(403);
    }

    @Test
    void aSignInEndsSomeDayHoweverOftenItIsUsed() {
        for (int day = 0; day < 89; day += 5) {
            assertThat(owner.get("/settings").statusCode()).isEqualTo(200);
            OWN.pass(Duration.ofDays(5));
        }
        assertThat(led(owner.get("/settings"))).contains("/sign-in");
    }
}
