package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

@Application
class SignInTest {

    @ParameterizedTest
    @ValueSource(strings = {"/", "/plan", "/bench", "/casebook", "/settings", "/plan/new"})
    void isAskedForBeforeAnything(String path) {
        HttpResponse<String> answer =
                new Client(io.causticon.web.harness.RunningApplication.get().address()).get(path);
        assertThat(answer.statusCode()).isEqualTo(302);
        assertThat(answer.headers().firstValue("Location"))
                .hasValueSatisfying(l -> assertThat(l).endsWith("/sign-in"));
    }

    /** A page that stays open asks on when its sign-in has ended; that is nowhere that somebody wants to go. */
    @ParameterizedTest
    @CsvSource({
        "/shelf, text/html, navigate, /shelf",
        "/shelf, text/html, '', /shelf",
        "/edition, text/html, cors, /",
        "/shelf, text/html, cors, /",
        "/edition, '*/*', '', /"
    })
    void leadsToThePageThatWasAskedForAndToNothingAScriptAskedFor(
            String path, String accept, String mode, String to, Client client) {
        client.get(path, mode.isEmpty() ? Map.of("Accept", accept) : Map.of("Accept", accept, "Sec-Fetch-Mode", mode));
        client.get("/sign-in");
        String led = location(client.post("/sign-in", Map.of("name", "odd", "password", "lye-into-water")));
        assertThat(URI.create(led).getPath()).isEqualTo(to);
    }

    @Test
    void letsThoseInWhoKnowThePassword(Client client) {
        assertThat(client.signIn("ines").get("/").body())
                .contains("Saltern Lane Soapworks")
                .contains("Sign out");
    }

    @Test
    void neverTellsWhetherTheNameOrThePasswordIsWrong(Client client) {
        client.get("/sign-in");
        String unknown = location(client.post("/sign-in", Map.of("name", "nobody", "password", "whatever-it-is")));
        client.get("/sign-in");
        String wrong = location(client.post("/sign-in", Map.of("name", "odd", "password", "not-the-password")));
        assertThat(unknown).isEqualTo(wrong).contains("wrong");
    }

    @Test
    void staysOutOfReachOfOtherSites(Client client) {
        client.signIn("odd");
        assertThat(client.postWithoutToken("/settings", Map.of("mass", "GRAM")).statusCode())
                .isEqualTo(403);
    }

    @Test
    void pagesLoadNothingFromElsewhere(Client client) {
        HttpResponse<String> page = client.signIn("odd").get("/");
        assertThat(page.headers().firstValue("Content-Security-Policy"))
                .hasValueSatisfying(
                        p -> assertThat(p).contains("default-src 'none'").doesNotContain("unsafe"));
        assertThat(page.body())
                .doesNotContainPattern("(?i)<script(?![^>]*src=)")
                .doesNotContainPattern("\\sstyle=\"")
                .doesNotContainPattern("(src|href)=\"(https?:)?//");
        assertThat(page.headers().firstValue("X-Content-Type-Options")).hasValue("nosniff");
    }

    @Nested
    class Roles {

        @Test
        void aViewerLooksAndChangesNothing(Client client) {
            client.signIn("guest");
            String rack = client.get("/").body();
            assertThat(rack).doesNotContain("Plan a batch");
            String batch = rack.replaceAll("(?s).*?href=\"(/batch/[0-9a-f-]+)\".*", "$1");
            assertThat(client.post(batch + "/log", Map.of("quick", "wash calm", "key", "k1"))
                            .statusCode())
                    .isEqualTo(403);
            assertThat(client.get(batch).body()).doesNotContain("wash test: calm\u0000");
        }

        @Test
        void onlyAnOwnerChangesWhoSignsIn(Client client) {
            client.signIn("odd");
            Map<String, String> person =
                    Map.of("name", "new", "displayName", "New", "password", "long-enough-1", "role", "OWNER");
            assertThat(client.post("/people", person).statusCode()).isEqualTo(403);
        }

        @Test
        void theLastOwnerStays(Client client) {
            client.signIn("ines");
            HttpResponse<String> answer =
                    client.post("/people/role", Map.of("name", "ines", "role", "VIEWER", "active", "true"));
            assertThat(answer.body()).contains("The workshop needs an owner");
        }

        @Test
        void aNewPersonNeedsALongPasswordAndKeepsWhatWasTyped(Client client) {
            client.signIn("ines");
            HttpResponse<String> answer = client.post(
                    "/people", Map.of("name", "bjarne", "displayName", "B", "password", "short", "role", "MAKER"));
            assertThat(answer.body())
                    .contains("5 characters are too few; 10 are the least")
                    .contains("value=\"bjarne\"");
        }
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("");
    }
}
