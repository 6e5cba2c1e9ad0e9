package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Client;
import io.causticon.web.harness.OwnClock;
import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.locks.LockSupport;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What somebody who is not known can do at the doors, whatever way she writes their addresses. */
class DoorsTest {

    private static final int SOCKETS = 60;
    private static final int PLACES = 12;
    private static final int PATIENCE = 120_000;

    @RegisterExtension
    static final OwnClock OWN = new OwnClock();

    @BeforeEach
    void forgiven() {
        OWN.pass(Duration.ofHours(2));
    }

    private static Client stranger() {
        Client client = new Client(OWN.address());
        client.get("/sign-in");
        return client;
    }

    private static String led(HttpResponse<String> answer) {
        return answer.headers().firstValue("Location").orElse(answer.statusCode() + "");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/sign-in", "/%73ign-in", "/sign%2Din", "/%73%69%67%6e-in"})
    void eachSpellingOfTheDoorCountsTries(String spelling) {
        Client client = stranger();
        long looked = IntStream.range(0, 40)
                .mapToObj(i -> led(client.post(spelling, Map.of("name", "name" + i, "password", "guess-" + i))))
                .filter(l -> l.endsWith("wrong"))
                .count();
        assertThat(looked).isLessThanOrEqualTo(10);
    }

    @Test
    void blanksAroundANameMakeNoOtherNameOfIt() {
        List<String> led = IntStream.range(0, 9)
                .mapToObj(i -> led(stranger()
                        .post("/sign-in", Map.of("name", " ".repeat(60 + i) + "odd", "password", "guess-" + i))))
                .toList();
        assertThat(led.stream().filter(l -> l.endsWith("wrong"))).as("%s", led).hasSize(5);
    }

    @Test
    void theOldPasswordIsGuessedNoFasterThanAtTheDoor() {
        Client client = new Client(OWN.address()).signIn("odd");
        List<String> pages = IntStream.range(0, 25)
                .mapToObj(i -> client.post(
                                "/settings/password", Map.of("old", "guess-" + i, "password", "another-one-" + i))
                        .body())
                .toList();
        assertThat(pages.stream()
                        .filter(p -> p.contains("not the present password"))
                        .count())
                .isLessThanOrEqualTo(5);
        assertThat(pages.get(24)).contains("Too many tries. Wait");
    }

    @ParameterizedTest
    @ValueSource(strings = {"/bench", "/settings", "/nowhere", "/people/arrivals", "/plan/reckon"})
    void ofAStrangerNoBodyIsReadElsewhere(String path) throws IOException {
        try (Socket socket = begin(path, 200)) {
            assertThat(firstLine(socket)).contains(" 302");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/bench/3%2F8/device/rest", "/%2e%2e%2f", "/%zz", "/bench/%00", "/api/v1/%5c", "/a%"})
    void whatIsNoAddressIsRefusedUnread(String path) throws IOException {
        try (Socket socket = begin(path, 200)) {
            assertThat(firstLine(socket)).contains(" 400");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " ", "a b", "\"><script>", "..", "%00"})
    void whoeverAsksNowhereIsRefused(String host) throws IOException {
        assertThat(answer("GET /sign-in/passkey", host)).startsWith("HTTP/1.1 400").doesNotContain("rpId");
    }

    private static String answer(String what, String host) throws IOException {
        URI at = URI.create(OWN.address());
        try (Socket socket = new Socket(at.getHost(), at.getPort())) {
            socket.setSoTimeout(PATIENCE);
            socket.getOutputStream()
                    .write((what + " HTTP/1.1\r\nHost: " + host + "\r\nCookie: causticon=secret\r\n"
                                    + "Connection: close\r\n\r\n")
                            .getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"TRACE", "CONNECT", "TRACK"})
    void nobodyIsToldWhatABrowserSent(String method) throws IOException {
        assertThat(answer(method + " /sign-in", "localhost"))
                .matches("(?s)HTTP/1\\.1 [45].*")
                .doesNotContain("secret");
    }

    @Test
    void aSignInIsSmall() throws IOException {
        try (Socket socket = begin("/sign-in", 5000)) {
            assertThat(firstLine(socket)).contains(" 413");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/v1/batches/x/lines", "/ingest"})
    void aProgramWithoutATokenIsToldSoUnread(String path) throws IOException {
        try (Socket socket = begin(path, 200)) {
            assertThat(new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .contains(" 401");
        }
    }

    /** Each sends the first byte of a sign-in and then nothing. */
    @Test
    void whoeverSendsByteByByteHoldsUpNobodyElse() throws IOException {
        Client maker = new Client(OWN.address()).signIn("ines");
        List<Socket> sockets = new ArrayList<>();
        try {
            for (int i = 0; i < SOCKETS; i++) {
                sockets.add(begin("/sign-in", 100));
            }
            // All but those that have the places of one address are answered.
            int answered = 0;
            for (int look = 0; look < PATIENCE / 10 && answered < SOCKETS - PLACES; look++) {
                answered = 0;
                for (Socket socket : sockets) {
                    answered += socket.getInputStream().available() > 0 ? 1 : 0;
                }
                LockSupport.parkNanos(10_000_000);
            }
            assertThat(answered).isGreaterThanOrEqualTo(SOCKETS - PLACES);
            HttpResponse<String> tap =
                    maker.post("/settings", Map.of("mass", "GRAM", "temperature", "CELSIUS", "theme", "day"));
            assertThat(led(tap)).endsWith("/settings");
        } finally {
            for (Socket socket : sockets) {
                socket.close();
            }
        }
    }

    /** A form whose length is told and whose first byte alone is sent. */
    private static Socket begin(String path, int length) throws IOException {
        URI at = URI.create(OWN.address());
        Socket socket = new Socket(at.getHost(), at.getPort());
        socket.setSoTimeout(PATIENCE);
        socket.getOutputStream()
                .write(("POST " + path + " HTTP/1.1\r\nHost: localhost\r\nContent-Type:"
                                + " application/x-www-form-urlencoded\r\nContent-Length: " + length + "\r\n\r\nn")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    private static String firstLine(Socket socket) throws IOException {
        StringBuilder line = new StringBuilder();
        for (int next = socket.getInputStream().read();
                next >= 0 && next != '\n';
                next = socket.getInputStream().read()) {
            line.append((char) next);
        }
        return line.toString();
    }
}
