package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestInstance;

/** What somebody may do ends at once when it is taken away, wherever she is signed in. */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PowersTest {

    private static final AtomicInteger NEXT = new AtomicInteger();
    private static final String PASSWORD = "lye-into-water";

    private RunningApplication application;
    private AccountService accounts;
    private Client owner;

    /** A maker of this test alone. */
    private String maker;

    @BeforeAll
    void start() {
        application = RunningApplication.own(false);
        accounts = application.bean(AccountService.class);
        accounts.open("Powers", "UTC", Temperature.celsius(20), "ines", "Ines", PASSWORD, Units.METRIC);
    }

    @AfterAll
    void stop() {
        application.close();
    }

    @BeforeEach
    void person() {
        maker = "maker" + NEXT.incrementAndGet();
        accounts.create(maker, "", PASSWORD, Role.OWNER);
        owner = client().signIn("ines");
    }

    private Client client() {
        return new Client(application.address());
    }

    private static boolean isIn(Client client) {
        return client.get("/settings").statusCode() == 200;
    }

    private static String location(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse("");
    }

    @Nested
    class TakenAway {

        @Test
        void aDemotedOwnerMakesNoNewOwner() {
            Client demoted = client().signIn(maker);
            owner.post("/people/role", Map.of("name", maker, "role", "VIEWER", "active", "true"));
            HttpResponse<String> answer = demoted.post(
                    "/people", Map.of("name", "mole", "displayName", "", "password", "long-enough-1", "role", "OWNER"));
            assertThat(answer.statusCode()).isEqualTo(403);
            assertThat(accounts.people()).noneMatch(a -> a.name().equals("mole"));
            assertThat(isIn(demoted)).isTrue();
        }

        @Test
        void aPromotedMakerNeedNotSignInAgain() {
            owner.post("/people/role", Map.of("name", maker, "role", "MAKER", "active", "true"));
            Client promoted = client().signIn(maker);
            assertThat(promoted.get("/settings").body()).doesNotContain("Who signs in");
            owner.post("/people/role", Map.of("name", maker, "role", "OWNER", "active", "true"));
            assertThat(promoted.get("/settings").body()).contains("name=\"displayName\"");
        }

        @Test
        void whoIsPutOutIsOut() {
            Client out = client().signIn(maker);
            owner.post("/people/role", Map.of("name", maker, "role", "OWNER"));
            assertThat(location(out.get("/settings"))).startsWith("/sign-in");
            assertThat(out.post(
                                    "/people",
                                    Map.of(
                                            "name",
                                            "mole2",
                                            "displayName",
                                            "",
                                            "password",
                                            "long-enough-1",
                                            "role",
                                            "OWNER"))
                            .statusCode())
                    .isNotEqualTo(200);
            assertThat(accounts.people()).noneMatch(a -> a.name().equals("mole2"));
        }

        @Test
        void aRowThatIsBrokenMayDoTheLeast() {
            Client broken = client().signIn(maker);
            application
                    .bean(org.springframework.jdbc.core.JdbcTemplate.class)
                    .update("update account set role = 'EMPEROR' where name = ?", maker);
            assertThat(isIn(broken)).isTrue();
            assertThat(broken.post("/shelf/vessel", Map.of("name", "a jug", "mass", "10", "material", "GLASS"))
                            .statusCode())
                    .isEqualTo(403);
        }
    }

    @Nested
    class AChangedPassword {

        @Test
        void endsEverySignInButTheOneItWasChangedIn() {
            Client here = client().signIn(maker);
            Client there = client().signIn(maker);
            here.post("/settings/password", Map.of("old", PASSWORD, "password", "another-word-1"));
            assertThat(isIn(here)).isTrue();
            assertThat(isIn(there)).isFalse();
        }

        @Test
        void endsTheCookiesOfOtherBrowsersToo() {
            Client here = client().signIn(maker);
            Client there = client().signIn(maker);
            String copied = there.cookie("causticon-remember");
            here.post("/settings/password", Map.of("old", PASSWORD, "password", "another-word-1"));
            assertThat(opens("causticon-remember=" + copied)).isFalse();
            assertThat(opens("causticon-remember=" + here.cookie("causticon-remember")))
                    .isTrue();
        }
    }

    @Nested
    class SigningOut {

        @Test
        void endsEveryCopyOfTheCookie() {
            Client here = client().signIn(maker);
            Client elsewhere = client().signIn(maker);
            String copied = here.cookie("causticon-remember");
            assertThat(opens("causticon-remember=" + copied)).isTrue();
            here.post("/sign-out", Map.of());
            assertThat(opens("causticon-remember=" + copied)).isFalse();
            assertThat(isIn(elsewhere)).isTrue();
        }

        @Test
        void endsASessionThatACopyOfTheCookieBegan() throws Exception {
            Client here = client().signIn(maker);
            HttpResponse<String> thief = get("/settings", "causticon-remember=" + here.cookie("causticon-remember"));
            String session = thief.headers().allValues("Set-Cookie").stream()
                    .filter(c -> c.startsWith("causticon="))
                    .map(c -> c.replaceAll(";.*", ""))
                    .findFirst()
                    .orElseThrow();
            assertThat(opens(session)).isTrue();
            here.post("/sign-out", Map.of());
            assertThat(opens(session)).isFalse();
        }

        @Test
        void everywhereEndsAllOfThem() {
            Client here = client().signIn(maker);
            Client there = client().signIn(maker);
            assertThat(location(here.post("/settings/sign-out-everywhere", Map.of())))
                    .isEqualTo("/sign-in?out");
            assertThat(isIn(here)).isFalse();
            assertThat(isIn(there)).isFalse();
        }
    }

    @Nested
    class Cookies {

        @Test
        void goToNoOtherSite() throws Exception {
            Client here = client().signIn(maker);
            // A cookie that is taken away needs no attribute.
            assertThat(here.setCookies().stream().filter(c -> !c.contains("=;")).toList())
                    .isNotEmpty()
                    .allSatisfy(c -> assertThat(c).contains("SameSite=Strict").contains("HttpOnly"));
        }

        @Test
        void thatAreMadeUpOpenNothing() {
            for (String cookie : List.of(
                    "causticon-remember=aa",
                    "causticon-remember=",
                    "causticon=1",
                    "causticon-remember=Og==",
                    "causticon-browser=x.y.z; causticon-remember=%00")) {
                assertThat(opens(cookie)).as(cookie).isFalse();
            }
        }
    }

    @Nested
    class Guessing {

        @Test
        void isSlowedDownAndDoesNotShutOutWhoSignedInThereBefore() {
            Client known = client().signIn(maker);
            known.post("/sign-out", Map.of());
            Client stranger = client();
            List<String> answers = IntStream.range(0, 8)
                    .mapToObj(i -> {
                        stranger.get("/sign-in");
                        return location(stranger.post("/sign-in", Map.of("name", maker, "password", "guess-" + i)));
                    })
                    .toList();
            assertThat(answers.subList(0, 5)).allMatch(a -> a.equals("/sign-in?wrong"));
            assertThat(answers.get(5)).startsWith("/sign-in?wait=");
            assertThat(stranger.get(answers.get(5)).body()).contains("Too many tries. Wait");
            assertThat(isIn(known.signIn(maker))).isTrue();
        }
    }

    @Nested
    class Hosts {

        @Test
        void thatARequestClaimsAreLedTo() throws Exception {
            for (String path : List.of("/settings", "/plan/new", "/bench", "/", "/sign-in", "/first-visit")) {
                assertThat(raw(path)).as(path).doesNotContain("evil.example");
            }
        }

        /** The HTTP client of the platform does not let one claim another host. */
        private String raw(String path) throws IOException {
            URI address = URI.create(application.address());
            try (java.net.Socket socket = new java.net.Socket(address.getHost(), address.getPort())) {
                socket.getOutputStream()
                        .write(("GET " + path + " HTTP/1.1\r\nHost: evil.example\r\nConnection: close\r\n\r\n")
                                .getBytes());
                return new String(socket.getInputStream().readAllBytes());
            }
        }
    }

    @Nested
    class FilesOfTheWorkshop {

        @Test
        void areReadByNobodyElse() throws IOException {
            assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(application.data())))
                    .isEqualTo("rwx------");
            try (var files = Files.list(application.data())) {
                assertThat(files.toList())
                        .isNotEmpty()
                        .allSatisfy(f -> assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(f)))
                                .isEqualTo("rw-------"));
            }
        }
    }

    @Nested
    class TheFirstVisit {

        @Test
        void isOverOnceThereIsAnOwner() {
            Client late = client();
            late.get("/sign-in");
            HttpResponse<String> answer = late.post(
                    "/first-visit",
                    Map.of(
                            "workshop",
                            "Mine now",
                            "zone",
                            "UTC",
                            "name",
                            "thief",
                            "displayName",
                            "",
                            "password",
                            "long-enough-1"));
            assertThat(answer.statusCode()).isEqualTo(302);
            assertThat(accounts.people()).noneMatch(a -> a.name().equals("thief"));
        }
    }

    /** Whether somebody with nothing but these cookies gets in. */
    private boolean opens(String cookies) {
        try {
            return get("/settings", cookies).statusCode() == 200;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
    }

    private HttpResponse<String> get(String path, String cookies) throws Exception {
        HttpClient http = HttpClient.newBuilder()
                .followRedirects(HttpClient.Redirect.NEVER)
                .build();
        return http.send(
                HttpRequest.newBuilder(URI.create(application.address() + path))
                        .header("Cookie", cookies)
                        .GET()
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }
}
