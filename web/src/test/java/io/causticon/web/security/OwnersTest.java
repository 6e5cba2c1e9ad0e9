package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.core.problem.ProblemsException;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.start.CannotStart;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.OwnerTool;
import io.causticon.web.store.account.Role;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Who owns a workshop: the first, the last, and whoever has the machine. */
class OwnersTest {

    private static final int ROUNDS = 20;
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private static boolean isOwner(AccountService.Person person) {
        return person.role() == Role.OWNER && person.active();
    }

    @Test
    void twoWhoPutOneAnotherDownInOneMomentLeaveOne() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(2);
        try (RunningApplication application = RunningApplication.own(true)) {
            AccountService accounts = application.bean(AccountService.class);
            for (int round = 0; round < ROUNDS; round++) {
                accounts.become("ines", Role.OWNER, true);
                accounts.become("odd", Role.OWNER, true);
                CyclicBarrier together = new CyclicBarrier(2);
                List<Future<Boolean>> both = Stream.of("ines", "odd")
                        .map(name -> pool.submit(() -> {
                            together.await();
                            try {
                                accounts.become(name, Role.MAKER, true);
                                return true;
                            } catch (ProblemsException e) {
                                return false;
                            }
                        }))
                        .toList();
                assertThat(both.get(0).get() ^ both.get(1).get()).isTrue();
                assertThat(accounts.people().stream().filter(OwnersTest::isOwner))
                        .hasSize(1);
                accounts.people().stream()
                        .filter(OwnersTest::isOwner)
                        .findFirst()
                        .ifPresent(p -> accounts.become(p.name().equals("ines") ? "odd" : "ines", Role.OWNER, true));
            }
        } finally {
            pool.shutdownNow();
        }
    }

    @Test
    void whoeverHasTheMachineMakesAnOwner() {
        Path data = RunningApplication.folder(true);
        ByteArrayOutputStream said = new ByteArrayOutputStream();
        OwnerTool.run(new PrintStream(said, true, StandardCharsets.UTF_8), data.toString(), " Odd");
        Matcher password = Pattern.compile("signs in with (\\S+)").matcher(said.toString(StandardCharsets.UTF_8));
        assertThat(password.find()).isTrue();
        try (RunningApplication application = RunningApplication.in(data)) {
            Client odd = new Client(application.address());
            odd.get("/sign-in");
            odd.post("/sign-in", Map.of("name", "odd", "password", password.group(1)));
            assertThat(odd.get("/people/audit").body()).contains("was made an owner from the command line");
        }
        assertThatThrownBy(() -> OwnerTool.run(System.out, data.toString(), "nobody"))
                .hasMessageContaining("Nobody signs in as nobody");
    }

    @Test
    void theFirstVisitFromElsewhereWantsTheCodeOfTheTerminal() throws Exception {
        try (RunningApplication application = RunningApplication.own(false)) {
            String code = application.bean(OpeningCode.class).code();
            assertThat(new Client(application.address()).get("/first-visit").body())
                    .doesNotContain("Code that the terminal shows");
            Elsewhere elsewhere = new Elsewhere(application.address());
            assertThat(elsewhere.form()).contains("Code that the terminal shows");
            assertThat(elsewhere.open("")).contains("That is not the code");
            assertThat(elsewhere.open("AAAAAAAA"))
                    .contains("That is not the code")
                    .contains("value=\"mallory\"");
            assertThat(application.bean(AccountService.class).isNew()).isTrue();
            elsewhere.open(code.substring(0, 4).toLowerCase(Locale.ROOT) + " " + code.substring(4));
            assertThat(application.bean(AccountService.class).isNew()).isFalse();
        }
    }

    /** A browser behind a proxy. */
    private static final class Elsewhere {

        private final HttpClient http =
                HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
        private final String address;
        private String token = "";

        Elsewhere(String address) {
            this.address = address;
        }

        String form() throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder().GET());
        }

        String open(String code) throws IOException, InterruptedException {
            return send(HttpRequest.newBuilder()
                    .header("Content-Type", "application/x-www-form-urlencoded")
                    .POST(HttpRequest.BodyPublishers.ofString(
                            "name=mallory&password=long-enough-1&units=METRIC&zone=UTC"
                                    + "&workshop=&displayName=&code=" + code.replace(" ", "+") + "&_csrf=" + token)));
        }

        private String send(HttpRequest.Builder request) throws IOException, InterruptedException {
            HttpResponse<String> answer = http.send(
                    request.uri(URI.create(address + "/first-visit"))
                            .header("X-Forwarded-For", "10.0.0.9")
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            Matcher found = TOKEN.matcher(answer.body());
            if (found.find()) {
                token = found.group(1);
            }
            return answer.body();
        }
    }

    @Test
    void whereARestoreWasBrokenOffNoEmptyWorkshopOpens() throws IOException {
        Path data = RunningApplication.folder(false);
        Files.writeString(data.resolve("before-2026-11-01T10-00-00Z.mv.db"), "what was there");
        assertThatThrownBy(() -> RunningApplication.in(data).close())
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("a restore was broken off");
        assertThat(data.resolve("causticon.mv.db")).doesNotExist();
    }
}
