import java.net.CookieManager;
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
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * How long a tap on the bench takes until it is acknowledged, beside what the database takes to commit a line of the same size by itself, turn by
 * turn in the same run, on loopback: {@code java -cp h2.jar scripts/TapLoad.java [taps]}.
 */
public class TapLoad {

    private static final int PORT = 8496;
    private static final String ADDRESS = "http://localhost:" + PORT;
    private static final int WARM = 150;
    private static final Pattern FORM_TOKEN = Pattern.compile("name=\"_csrf\"\\s+value=\"([^\"]+)\"");
    private static final Pattern BENCH = Pattern.compile("/bench/([0-9a-f-]{36})");

    private final CookieManager cookies = new CookieManager();

    /** A tap is acknowledged by the redirect; the page after it is not waited for. */
    private final HttpClient http = HttpClient.newBuilder().cookieHandler(cookies).version(HttpClient.Version.HTTP_1_1).build();

    private final HttpClient following = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .version(HttpClient.Version.HTTP_1_1)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();

    public static void main(String[] arguments) throws Exception {
        int taps = arguments.length > 0 ? Math.min(5000, Integer.parseInt(arguments[0])) : 500;
        Path data = Files.createTempDirectory("causticon-tapload");
        Path log = data.resolve("server.log");
        Process server = new ProcessBuilder(
                        "java", "-Xmx512m", "-XX:+UseSerialGC", "-jar", "web/target/causticon/causticon.jar", "--server.port=" + PORT,
                        "--causticon.data=" + data, "--causticon.demo=true")
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        try {
            while (!Files.readString(log).contains("Sign in as")) {
                if (!server.isAlive()) {
                    throw new IllegalStateException("The server did not start: see " + log);
                }
                Thread.sleep(200);
            }
            new TapLoad().measure(taps, data);
        } finally {
            server.destroy();
        }
    }

    private void measure(int taps, Path folder) throws Exception {
        String token = token(get("/sign-in"));
        post("/sign-in", Map.of("name", "ines", "password", "saltern-lane", "_csrf", token));
        String page = get("/bench");
        token = token(page);
        Matcher bench = BENCH.matcher(page);
        bench.find();
        String log = "/bench/" + bench.group(1) + "/log";
        List<Double> acknowledged = new ArrayList<>();
        List<Double> committed = new ArrayList<>();
        try (Connection database = DriverManager.getConnection("jdbc:h2:file:" + folder.resolve("alone") + ";WRITE_DELAY=0", "sa", "");
                Statement tables = database.createStatement()) {
            tables.execute("create table line (id uuid primary key, batch uuid, moment timestamp with time zone, entry varchar(2000), maker varchar(80))");
            database.setAutoCommit(false);
            try (PreparedStatement insert = database.prepareStatement("insert into line values (?, ?, current_timestamp, ?, 'Ines')")) {
                for (int i = -WARM; i < taps; i++) {
                    long start = System.nanoTime();
                    insert.setObject(1, UUID.randomUUID());
                    insert.setObject(2, UUID.randomUUID());
                    insert.setString(3, "{\"type\":\"burst\",\"seconds\":" + (i + WARM) + "}");
                    insert.executeUpdate();
                    database.commit();
                    long between = System.nanoTime();
                    int status = post(log, Map.of("quick", "blend 5", "key", "tap-" + i, "at", "", "step", "mix", "_csrf", token));
                    long end = System.nanoTime();
                    if (status != 302) {
                        throw new IllegalStateException("A tap was answered with " + status);
                    }
                    if (i >= 0) {
                        committed.add((between - start) / 1e6);
                        acknowledged.add((end - between) / 1e6);
                    }
                }
            }
        }
        tell("a tap, acknowledged", acknowledged);
        tell("the database alone", committed);
        System.out.printf("p99 of a tap to p99 of the database: %.1f; medians: %.1f%n",
                at(acknowledged, 0.99) / at(committed, 0.99), at(acknowledged, 0.5) / at(committed, 0.5));
    }

    private static void tell(String what, List<Double> millis) {
        System.out.printf("%-22s median %.1f ms, p99 %.1f ms, longest %.1f ms%n", what, at(millis, 0.5), at(millis, 0.99), at(millis, 1));
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
        return following.send(HttpRequest.newBuilder(URI.create(ADDRESS + path)).build(), HttpResponse.BodyHandlers.ofString()).body();
    }

    private int post(String path, Map<String, String> form) throws Exception {
        String body = form.entrySet().stream()
                .map(e -> e.getKey() + "=" + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                .collect(Collectors.joining("&"));
        return http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }
}
