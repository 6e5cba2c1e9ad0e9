import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Kills the server with SIGKILL at random moments while a client logs entries, starts it again, and looks whether every
 * acknowledged entry is there, once. Usage: java scripts/HardKill.java [times]. Exits with 1 if anything was lost or
 * doubled.
 */
public class HardKill {

    private static final int PORT = 8499;
    private static final String ADDRESS = "http://localhost:" + PORT;
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    /** A line that burns and counts: its id. */
    private static final Pattern BURNING = Pattern.compile(
            "/line/([0-9a-f-]{36})\"(?:(?!</a>).)*?<span\\s+class=\"(?:(?!withdrawn)[^\"])*\">wash test: burning",
            Pattern.DOTALL);

    private static final Random RANDOM = new Random();

    private final Path data;
    private final List<String> acknowledged = new ArrayList<>();
    private final List<String> unsure = new ArrayList<>();
    private Process server;
    private HttpClient http;
    private String token = "";
    private String batch = "";
    private int holds;

    private HardKill(Path data) {
        this.data = data;
    }

    public static void main(String[] arguments) throws Exception {
        int times = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 20;
        HardKill run = new HardKill(Files.createTempDirectory("causticon-hardkill"));
        boolean whole;
        try {
            whole = run.run(times);
        } finally {
            run.server.destroyForcibly();
        }
        System.exit(whole ? 0 : 1);
    }

    private boolean run(int times) throws Exception {
        boolean whole = true;
        for (int round = 1; round <= times; round++) {
            start();
            whole &= check();
            int before = acknowledged.size();
            logUntilKilled(round, 30 + RANDOM.nextInt(1500));
            System.out.printf("kill %d: %d acknowledged in this round%n", round, acknowledged.size() - before);
        }
        start();
        whole &= check();
        server.destroy();
        server.waitFor(20, TimeUnit.SECONDS);
        System.out.printf(
                "%d kills, %d entries acknowledged, %d sent without an answer, %d times held for a hazard: %s%n",
                times,
                acknowledged.size(),
                unsure.size(),
                holds,
                whole ? "all are there, each once" : "ENTRIES WERE LOST OR DOUBLED");
        return whole;
    }

    private void start() throws Exception {
        server = new ProcessBuilder(
                        "java",
                        "@scripts/server.options",
                        // It lives for seconds.
                        "-XX:TieredStopAtLevel=1",
                        "-XX:SharedArchiveFile=web/target/causticon/classes.jsa",
                        "-Xlog:disable",
                        "-Xlog:all=error:stderr",
                        "-jar",
                        "web/target/causticon/causticon.jar",
                        "--server.port=" + PORT,
                        "--causticon.data=" + data,
                        "--causticon.demo=true")
                .redirectErrorStream(true)
                .redirectOutput(data.resolve("server.log").toFile())
                .start();
        http = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .connectTimeout(Duration.ofSeconds(2))
                .build();
        while (!Files.readString(data.resolve("server.log")).contains("Sign in as")) {
            if (!server.isAlive()) {
                throw new IllegalStateException("the server did not start: " + data.resolve("server.log"));
            }
            Thread.sleep(100);
        }
        get("/sign-in");
        post("/sign-in", Map.of("name", "ines", "password", "lye-into-water"));
        Matcher found =
                Pattern.compile("<a href=\"/batch/([0-9a-f-]+)\">Ferry Bar</a>").matcher(get("/"));
        if (!found.find()) {
            throw new IllegalStateException("no batch to log to");
        }
        batch = found.group(1);
    }

    private void logUntilKilled(int round, int milliseconds) throws Exception {
        get("/batch/" + batch);
        Thread killer = new Thread(() -> {
            try {
                Thread.sleep(milliseconds);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            server.destroyForcibly();
        });
        killer.start();
        for (int i = 0; ; i++) {
            String words = "entry " + round + "-" + i + " end";
            try {
                if (i % 4 == 3) {
                    // A hazard among them: the line and the hold that follows from it are there together or not at all.
                    post(
                            "/batch/" + batch + "/log",
                            Map.of("quick", "wash burn", "at", "", "key", "burn-" + round + "-" + i));
                }
                int status = post(
                        "/batch/" + batch + "/log",
                        Map.of("quick", "note " + words, "at", "", "key", "kill-" + round + "-" + i));
                if (status == 200 || status == 302) {
                    acknowledged.add(words);
                }
            } catch (IOException e) {
                unsure.add(words);
                break;
            }
        }
        killer.join();
        server.waitFor();
    }

    private boolean check() throws Exception {
        String page = get("/batch/" + batch);
        boolean whole = true;
        for (String words : acknowledged) {
            int count = page.split(Pattern.quote(words), -1).length - 1;
            if (count != 1) {
                System.out.printf("\"%s\" is there %d times%n", words, count);
                whole = false;
            }
        }
        return whole & isHeldWhereItBurns(page);
    }

    /** No hazardous batch is free. What burned is then taken back with its hold, so that the next round begins calm. */
    private boolean isHeldWhereItBurns(String page) throws Exception {
        Matcher burning = BURNING.matcher(page);
        boolean burns = false;
        while (burning.find()) {
            burns = true;
            if (!get("/casebook/" + batch).contains("Held.")) {
                System.out.println("IT BURNS AND IS NOT HELD");
                return false;
            }
            post(
                    "/batch/" + batch + "/line/" + burning.group(1),
                    Map.of("revision", "1", "withdraw", "true", "quick", "", "at", "", "reason", "a test"));
        }
        holds += burns ? 1 : 0;
        if (burns) {
            post("/casebook/" + batch + "/release", Map.of("reason", "taken back", "key", "release-" + holds));
            if (get("/casebook/" + batch).contains("Held.")) {
                System.out.println("it could not be released, so the next rounds prove less");
            }
        }
        return true;
    }

    private String get(String path) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(
                HttpRequest.newBuilder(URI.create(ADDRESS + path))
                        .timeout(Duration.ofSeconds(20))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        Matcher found = TOKEN.matcher(answer.body());
        if (found.find()) {
            token = found.group(1);
        }
        return answer.body();
    }

    private int post(String path, Map<String, String> form) throws IOException, InterruptedException {
        String body = form.entrySet().stream()
                        .map(e -> e.getKey() + "=" + encode(e.getValue()))
                        .collect(Collectors.joining("&"))
                + "&_csrf=" + encode(token);
        return http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path))
                                .timeout(Duration.ofSeconds(20))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .statusCode();
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
