import java.io.IOException;
import java.net.CookieManager;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How long a tap on the bench takes until it is acknowledged, beside two things of the database alone, turn by turn in
 * the same run, on loopback: what it takes to commit the rows of a tap to a copy of the same tables, and a line of that
 * size to a table of nothing else. {@code java -cp h2.jar scripts/TapLoad.java [taps]}.
 */
public class TapLoad {

    private static final int PORT = 8496;
    private static final String ADDRESS = "http://localhost:" + PORT;
    /** So many are what a server does that has just been started: it is still being compiled. */
    private static final int YOUNG = 500;

    /**
     * So many taps later it is what it stays. What is called once a tap is compiled for good after some fifteen
     * thousand, on one of the two processors that a tap needs as well.
     */
    private static final int WARM = 25_000;

    /** So many lines has a batch: then another one is begun, and that is not measured. */
    private static final int LINES = 200;

    private static final Pattern FORM_TOKEN = Pattern.compile("name=\"_csrf\"\\s+value=\"([^\"]+)\"");

    private final CookieManager cookies = new CookieManager();
    private Socket line;

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .version(HttpClient.Version.HTTP_1_1)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    public static void main(String[] arguments) throws Exception {
        int taps = arguments.length > 0 ? Math.min(5000, Integer.parseInt(arguments[0])) : 1000;
        Path data = Files.createTempDirectory("causticon-tapload");
        Process first = start(data);
        first.destroy();
        first.waitFor();
        // The database by itself works on a copy of the same tables.
        Files.copy(data.resolve("causticon.mv.db"), data.resolve("same.mv.db"));
        Process server = start(data);
        try {
            new TapLoad().measure(taps, data);
        } finally {
            server.destroy();
        }
    }

    private static Process start(Path data) throws Exception {
        Path log = data.resolve("server.log");
        Process server = new ProcessBuilder(
                        "java",
                        "@scripts/server.options",
                        "-jar",
                        "web/target/causticon/causticon.jar",
                        "--server.port=" + PORT,
                        "--causticon.data=" + data,
                        "--causticon.demo=true")
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        Runtime.getRuntime().addShutdownHook(new Thread(server::destroy));
        while (!Files.readString(log).contains("Sign in as")) {
            if (!server.isAlive()) {
                throw new IllegalStateException("The server did not start: see " + log);
            }
            Thread.sleep(200);
        }
        return server;
    }

    /** What a tap writes, and nothing else. */
    private interface Rows {

        void write(int tap) throws SQLException;
    }

    private void measure(int taps, Path folder) throws Exception {
        String token = token(get("/sign-in"));
        post("/sign-in", Map.of("name", "ines", "password", "lye-into-water", "_csrf", token));
        token = token(get("/plan/first"));
        String log = "";
        List<Double> acknowledged = new ArrayList<>();
        List<Double> sameRows = new ArrayList<>();
        List<Double> aLine = new ArrayList<>();
        try (Connection same = connect(folder.resolve("same"), "causticon");
                Connection alone = connect(folder.resolve("alone"), "sa")) {
            Rows everything = sameRows(same);
            Rows bare = line(alone);
            for (int i = 0; i < WARM + taps; i++) {
                if (i % LINES == 0) {
                    log = begun(token, i) + "/log";
                }
                double one = millis(bare, alone, i);
                double rows = millis(everything, same, i);
                double tap = tap(
                        log, Map.of("quick", "blend 5", "key", "tap-" + i, "at", "", "step", "mix", "_csrf", token));
                aLine.add(one);
                sameRows.add(rows);
                acknowledged.add(tap);
            }
        }
        System.out.printf(
                "| %d taps | median | p99 | longest | a tap to it: median | p99 |%n|---|---|---|---|---|---|%n",
                YOUNG + taps);
        tell("just started", 0, YOUNG, acknowledged, sameRows, aLine);
        tell("after " + WARM + " taps", WARM, WARM + taps, acknowledged, sameRows, aLine);
    }

    /**
     * Milliseconds from the first byte sent to the head of the answer: a tap is acknowledged by the redirect, the page
     * after it is not waited for. By a bare connection, so that it is the server's time and not that of a client which
     * is still being compiled.
     */
    private double tap(String path, Map<String, String> form) throws IOException {
        byte[] body = encoded(form).getBytes(StandardCharsets.US_ASCII);
        String sent = cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
        byte[] head = ("POST " + path + " HTTP/1.1\r\nHost: localhost:" + PORT + "\r\nCookie: " + sent
                        + "\r\nContent-Type: application/x-www-form-urlencoded\r\nContent-Length: " + body.length
                        + "\r\n\r\n")
                .getBytes(StandardCharsets.US_ASCII);
        byte[] request = Arrays.copyOf(head, head.length + body.length);
        System.arraycopy(body, 0, request, head.length, body.length);
        if (line == null) {
            line = new Socket("localhost", PORT);
            line.setTcpNoDelay(true);
        }
        long start = System.nanoTime();
        line.getOutputStream().write(request);
        StringBuilder answer = new StringBuilder();
        byte[] some = new byte[8192];
        while (answer.indexOf("\r\n\r\n") < 0) {
            int read = line.getInputStream().read(some);
            if (read < 0) {
                throw new IOException("The server ended the connection");
            }
            answer.append(new String(some, 0, read, StandardCharsets.ISO_8859_1));
        }
        double millis = (System.nanoTime() - start) / 1e6;
        if (!answer.toString().startsWith("HTTP/1.1 302") || !answer.toString().contains("Content-Length: 0")) {
            throw new IllegalStateException("A tap was answered with " + answer);
        }
        if (answer.toString().contains("Connection: close")) {
            line.close();
            line = null;
        }
        return millis;
    }

    private static Connection connect(Path file, String user) throws SQLException {
        Connection connection = DriverManager.getConnection("jdbc:h2:file:" + file + ";WRITE_DELAY=0", user, "");
        connection.setAutoCommit(false);
        return connection;
    }

    private static double millis(Rows rows, Connection database, int tap) throws SQLException {
        long start = System.nanoTime();
        rows.write(tap);
        database.commit();
        return (System.nanoTime() - start) / 1e6;
    }

    /** A line of the log, the version of it at the batch, and what the lists show of it. */
    private static Rows sameRows(Connection database) throws SQLException {
        UUID batch = oneOf(database);
        PreparedStatement line = database.prepareStatement(
                "insert into log_revision (id, batch_id, line_id, revision, happened_at, recorded_at, recorded_by,"
                    + " kind, entry, withdrawn, client_key) values (?, ?, ?, 1, current_timestamp, current_timestamp,"
                    + " 'Ines', 'burst', ?, false, ?)");
        PreparedStatement version =
                database.prepareStatement("update batch set log_version = log_version + 1 where id = ?");
        PreparedStatement summary = database.prepareStatement(
                "update batch_summary set log_version = log_version + 1, made_at = current_timestamp where batch_id"
                        + " = ?");
        return tap -> {
            line.setObject(1, UUID.randomUUID());
            line.setObject(2, batch);
            line.setObject(3, UUID.randomUUID());
            line.setString(4, "{\"type\":\"burst\",\"seconds\":" + tap + "}");
            line.setString(5, "alone-" + tap);
            line.executeUpdate();
            version.setObject(1, batch);
            version.executeUpdate();
            summary.setObject(1, batch);
            summary.executeUpdate();
        };
    }

    /** A batch that is there. */
    private static UUID oneOf(Connection database) throws SQLException {
        try (Statement question = database.createStatement();
                ResultSet found = question.executeQuery("select id from batch order by begun_at desc")) {
            found.next();
            return found.getObject(1, UUID.class);
        }
    }

    private static Rows line(Connection database) throws SQLException {
        try (Statement tables = database.createStatement()) {
            tables.execute("create table line (id uuid primary key, batch uuid, moment timestamp with time zone, entry"
                    + " varchar(2000), maker varchar(80))");
        }
        PreparedStatement insert =
                database.prepareStatement("insert into line values (?, ?, current_timestamp, ?, 'Ines')");
        return tap -> {
            insert.setObject(1, UUID.randomUUID());
            insert.setObject(2, UUID.randomUUID());
            insert.setString(3, "{\"type\":\"burst\",\"seconds\":" + tap + "}");
            insert.executeUpdate();
        };
    }

    private static void tell(
            String when, int from, int to, List<Double> taps, List<Double> sameRows, List<Double> aLine) {
        tell(when + ": a tap, acknowledged", taps.subList(from, to), taps.subList(from, to));
        tell("its rows, committed by the database alone", sameRows.subList(from, to), taps.subList(from, to));
        tell("a line in a table of nothing else", aLine.subList(from, to), taps.subList(from, to));
    }

    private static void tell(String what, List<Double> millis, List<Double> taps) {
        System.out.printf(
                Locale.ROOT,
                "| %s | %.1f ms | %.1f ms | %.1f ms | %.1f | %.1f |%n",
                what,
                at(millis, 0.5),
                at(millis, 0.99),
                at(millis, 1),
                at(taps, 0.5) / at(millis, 0.5),
                at(taps, 0.99) / at(millis, 0.99));
    }

    private static double at(List<Double> millis, double part) {
        List<Double> sorted = new ArrayList<>(millis);
        Collections.sort(sorted);
        return sorted.get(Math.min(sorted.size() - 1, (int) (part * sorted.size())));
    }

    private static String token(String page) {
        Matcher token = FORM_TOKEN.matcher(page);
        token.find();
        return token.group(1);
    }

    private String get(String path) throws Exception {
        return http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path)).build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
    }

    /** Address of a batch that is just begun. */
    private String begun(String token, int number) throws Exception {
        URI bench = post(
                "/plan/first/start",
                Map.of("which", "plain", "make", "true", "key", "begun-" + number, "_csrf", token));
        if (!bench.getPath().startsWith("/bench/")) {
            throw new IllegalStateException("No batch was begun, but " + bench);
        }
        return bench.getPath();
    }

    /** Where it leads. */
    private URI post(String path, Map<String, String> form) throws Exception {
        return http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(encoded(form)))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .uri();
    }

    private static String encoded(Map<String, String> form) {
        return form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
    }
}
