import java.io.BufferedReader;
import java.io.InputStreamReader;
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
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Twenty devices send two readings a second each while five benches watch, on loopback. Tells how long a reading takes
 * from being sent to being stored (acknowledged), and to the screen (the event at a watching bench). Bounded in time:
 * the seconds given, at most ten minutes.
 */
public class DeviceLoad {

    private static final int PORT = 8498;
    private static final String ADDRESS = "http://localhost:" + PORT;
    private static final int DEVICES = 20;
    private static final int BENCHES = 5;
    private static final int PERIOD_MILLIS = 500;
    private static final double STORED_LIMIT_MILLIS = 50;
    private static final double SCREEN_LIMIT_MILLIS = 300;
    private static final Pattern FORM_TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern EVENT = Pattern.compile("\"sequence\":(\\d+)");
    private static final Pattern EVENT_DEVICE = Pattern.compile("\"device\":\"([0-9a-f-]+)\"");

    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(new CookieManager())
            .version(HttpClient.Version.HTTP_1_1)
            .build();
    private final List<Double> stored = Collections.synchronizedList(new ArrayList<>());
    private final List<Double> shown = Collections.synchronizedList(new ArrayList<>());
    private final Map<String, Long> sent = new ConcurrentHashMap<>();
    private final AtomicLong refused = new AtomicLong();
    private String token = "";

    public static void main(String[] arguments) throws Exception {
        int seconds = Math.min(600, arguments.length > 0 ? Integer.parseInt(arguments[0]) : 120);
        Path data = Files.createTempDirectory("causticon-deviceload");
        Process server = new ProcessBuilder(
                        "java",
                        "@scripts/server.options",
                        "-jar",
                        "web/target/causticon/causticon.jar",
                        "--server.port=" + PORT,
                        "--causticon.data=" + data,
                        "--causticon.demo=true")
                .redirectErrorStream(true)
                .redirectOutput(data.resolve("server.log").toFile())
                .start();
        // Also when the run is cut short: a server that is left behind holds the port.
        Runtime.getRuntime().addShutdownHook(new Thread(server::destroyForcibly));
        boolean fast;
        try {
            while (!Files.readString(data.resolve("server.log")).contains("Sign in as")) {
                if (!server.isAlive()) {
                    throw new IllegalStateException("the server did not start: " + data.resolve("server.log"));
                }
                Thread.sleep(100);
            }
            fast = new DeviceLoad().run(seconds);
        } finally {
            server.destroyForcibly();
        }
        System.exit(fast ? 0 : 1);
    }

    private boolean run(int seconds) throws Exception {
        get("/sign-in");
        post("/sign-in", "name=ines&password=lye-into-water");
        Matcher batches = Pattern.compile("<a href=\"/batch/([0-9a-f-]+)\">").matcher(get("/"));
        List<String> benches = new ArrayList<>();
        while (batches.find() && benches.size() < BENCHES) {
            if (!benches.contains(batches.group(1))) {
                benches.add(batches.group(1));
            }
        }
        Map<String, String> tokens = new ConcurrentHashMap<>();
        List<String> devices = new ArrayList<>();
        for (int i = 0; i < DEVICES; i++) {
            String page = post("/devices", "name=" + encode("load " + i) + "&kind=THERMOMETER");
            Matcher secret =
                    Pattern.compile("<code class=\"figure\">([^<]+)</code>").matcher(page);
            Matcher id = Pattern.compile("<b>load " + i + "</b>.*?/devices/([0-9a-f-]+)/retire", Pattern.DOTALL)
                    .matcher(page);
            if (!secret.find() || !id.find()) {
                throw new IllegalStateException("no token for device " + i);
            }
            tokens.put(id.group(1), secret.group(1));
            devices.add(id.group(1));
            post(
                    "/bench/" + benches.get(i % BENCHES) + "/device",
                    "device=" + id.group(1) + "&spot=LYE&everySeconds=30&step=");
        }
        CountDownLatch ready = new CountDownLatch(BENCHES);
        for (String bench : benches) {
            Thread watcher = new Thread(() -> watch(bench, ready));
            watcher.setDaemon(true);
            watcher.start();
        }
        ready.await(10, TimeUnit.SECONDS);
        ScheduledExecutorService beat = Executors.newScheduledThreadPool(DEVICES);
        for (int i = 0; i < DEVICES; i++) {
            String device = devices.get(i);
            AtomicLong sequence = new AtomicLong();
            beat.scheduleAtFixedRate(
                    () -> send(device, tokens.get(device), sequence.incrementAndGet()),
                    (long) PERIOD_MILLIS * i / DEVICES,
                    PERIOD_MILLIS,
                    TimeUnit.MILLISECONDS);
        }
        Thread.sleep(1000L * Math.min(10, seconds / 4 + 1));
        // The first seconds warm the server up and are not counted.
        stored.clear();
        shown.clear();
        Thread.sleep(1000L * seconds);
        beat.shutdown();
        beat.awaitTermination(5, TimeUnit.SECONDS);
        boolean fast = tell("stored", stored, STORED_LIMIT_MILLIS) & tell("on the screen", shown, SCREEN_LIMIT_MILLIS);
        System.out.printf("%d refused%n", refused.get());
        return fast && refused.get() == 0;
    }

    private void send(String device, String secret, long sequence) {
        try {
            long start = System.nanoTime();
            sent.put(device + "#" + sequence, start);
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(ADDRESS + "/ingest"))
                            .header("Authorization", "Bearer " + secret)
                            .header("Content-Type", "application/json")
                            .POST(HttpRequest.BodyPublishers.ofString(
                                    "{\"seq\":" + sequence + ",\"value\":" + (40 + sequence % 20 * 0.1) + "}"))
                            .build(),
                    HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() == 200) {
                stored.add((System.nanoTime() - start) / 1e6);
            } else {
                refused.incrementAndGet();
            }
        } catch (Exception e) {
            refused.incrementAndGet();
        }
    }

    private void watch(String bench, CountDownLatch ready) {
        try {
            HttpResponse<java.io.InputStream> feed = http.send(
                    HttpRequest.newBuilder(URI.create(ADDRESS + "/bench/" + bench + "/live"))
                            .build(),
                    HttpResponse.BodyHandlers.ofInputStream());
            ready.countDown();
            try (BufferedReader lines =
                    new BufferedReader(new InputStreamReader(feed.body(), StandardCharsets.UTF_8))) {
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    Matcher sequence = EVENT.matcher(line);
                    Matcher device = EVENT_DEVICE.matcher(line);
                    if (sequence.find() && device.find()) {
                        Long start = sent.get(device.group(1) + "#" + sequence.group(1));
                        if (start != null) {
                            shown.add((System.nanoTime() - start) / 1e6);
                        }
                    }
                }
            }
        } catch (Exception e) {
            // The run is over.
        }
    }

    private static boolean tell(String what, List<Double> times, double limit) {
        List<Double> sorted = times.stream().sorted().collect(Collectors.toList());
        if (sorted.isEmpty()) {
            System.out.println(what + ": nothing came");
            return false;
        }
        double p99 = sorted.get((int) (sorted.size() * 0.99));
        System.out.printf(
                "%s: %d readings, median %.1f ms, p99 %.1f ms (limit %.0f)%n",
                what, sorted.size(), sorted.get(sorted.size() / 2), p99, limit);
        return p99 < limit;
    }

    private String get(String path) throws Exception {
        return remember(http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path))
                                .timeout(Duration.ofSeconds(20))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body());
    }

    private String post(String path, String form) throws Exception {
        return remember(http.send(
                        HttpRequest.newBuilder(URI.create(ADDRESS + path))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(form + "&_csrf=" + encode(token)))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body());
    }

    private String remember(String page) {
        Matcher found = FORM_TOKEN.matcher(page);
        if (found.find()) {
            token = found.group(1);
        }
        return page;
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
