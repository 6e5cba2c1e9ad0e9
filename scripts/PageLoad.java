import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Asks a workshop of many batches for its pages, on loopback, in 512 MB: one maker, then eight at once, then ten
 * thousand requests. Tells how long the server took by its own log of requests (whoever asks is a young virtual machine
 * itself), ratios to a bare page of the same server in the same run, how large the answers are, and what is kept in
 * memory before and after.
 */
public class PageLoad {

    private static final int PORT = 8497;
    private static final String ADDRESS = "http://localhost:" + PORT;
    private static final int WARM = 30;
    private static final int MAKERS = 8;
    private static final int MANY = 10_000;
    private static final Pattern FORM_TOKEN = Pattern.compile("name=\"_csrf\"\\s+value=\"([^\"]+)\"");
    private static final Pattern BATCH = Pattern.compile("/batch/([0-9a-f-]{36})");

    /** The server's own log of requests: a line of microseconds each. */
    private static Path requests;

    private record Measured(double median, double nineteenOfTwenty, int kilobytes) {}

    /** A maker who is signed in. */
    private static final class Maker {

        private final HttpClient http = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .version(HttpClient.Version.HTTP_1_1)
                .build();

        Maker() throws Exception {
            Matcher token = FORM_TOKEN.matcher(get("/sign-in"));
            token.find();
            String form = "name=ines&password=lye-into-water&_csrf="
                    + URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
            http.send(
                    HttpRequest.newBuilder(URI.create(ADDRESS + "/sign-in"))
                            .header("Content-Type", "application/x-www-form-urlencoded")
                            .POST(HttpRequest.BodyPublishers.ofString(form))
                            .build(),
                    HttpResponse.BodyHandlers.discarding());
        }

        String get(String path) throws Exception {
            HttpResponse<String> answer = http.send(
                    HttpRequest.newBuilder(URI.create(ADDRESS + path)).build(), HttpResponse.BodyHandlers.ofString());
            if (answer.statusCode() >= 400) {
                throw new IllegalStateException(path + " answered " + answer.statusCode());
            }
            return answer.body();
        }

        Measured measure(String path, int times) throws Exception {
            Thread.sleep(100);
            int before = taken().size();
            int size = 0;
            for (int i = 0; i < times; i++) {
                size = get(path).length();
            }
            List<Double> millis = taken(before + times).subList(before, before + times);
            Collections.sort(millis);
            return new Measured(millis.get(times / 2), millis.get((int) (times * 0.95)), size / 1024);
        }
    }

    public static void main(String[] arguments) throws Exception {
        int batches = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 200;
        int times = arguments.length > 1 ? Integer.parseInt(arguments[1]) : 100;
        // A folder that was filled before is used again: filling thousands takes minutes.
        Path data = arguments.length > 2 ? Path.of(arguments[2]) : Files.createTempDirectory("causticon-pageload");
        Path log = Path.of(data.toAbsolutePath() + ".log");
        requests = Files.createTempDirectory("causticon-requests");
        Process server = new ProcessBuilder(
                        "java",
                        "@scripts/server.options",
                        "-jar",
                        "web/target/causticon/causticon.jar",
                        "--server.port=" + PORT,
                        "--causticon.data=" + data,
                        "--causticon.demo=false",
                        "--causticon.fill=" + batches,
                        "--server.tomcat.accesslog.enabled=true",
                        "--server.tomcat.accesslog.directory=" + requests,
                        "--server.tomcat.accesslog.pattern=%D",
                        "--server.tomcat.accesslog.buffered=false")
                .redirectErrorStream(true)
                .redirectOutput(log.toFile())
                .start();
        Runtime.getRuntime().addShutdownHook(new Thread(server::destroy));
        // It says where it is once it has been filled.
        while (!Files.readString(log).contains("Causticon is at")) {
            if (!server.isAlive()) {
                throw new IllegalStateException("The server did not start: see " + log);
            }
            Thread.sleep(500);
        }
        measure(server, batches, times);
        server.destroy();
    }

    /** What the server took for each request so far, in milliseconds. */
    private static List<Double> taken() throws Exception {
        List<Double> millis = new ArrayList<>();
        try (Stream<Path> files = Files.list(requests)) {
            for (Path file : files.sorted().toList()) {
                Files.readAllLines(file).forEach(line -> millis.add(Double.parseDouble(line) / 1000));
            }
        }
        return millis;
    }

    /** The same, once there are so many: a request is noted behind its answer. */
    private static List<Double> taken(int atLeast) throws Exception {
        List<Double> millis = taken();
        while (millis.size() < atLeast) {
            Thread.sleep(20);
            millis = taken();
        }
        return millis;
    }

    private static void measure(Process server, int batches, int times) throws Exception {
        Maker maker = new Maker();
        Matcher ids = BATCH.matcher(maker.get("/"));
        ids.find();
        String young = ids.group(1);
        for (int i = 0; i < 20; i++) {
            ids.find();
        }
        String older = ids.group(1);
        Map<String, String> pages = new LinkedHashMap<>();
        pages.put("bare page", "/sign-in?out");
        pages.put("rack", "/");
        pages.put("rack, two years back", "/?days=730");
        pages.put("found by a fat that hardly any has", "/?find=lard");
        pages.put("found by a fat that most have", "/?find=olive");
        pages.put("casebook", "/casebook");
        pages.put("new plan", "/plan/new");
        pages.put("shelf", "/shelf");
        pages.put("batch", "/batch/" + older);
        pages.put("case", "/casebook/" + older);
        pages.put("bench, weighing", "/bench/" + young + "?step=weigh");
        pages.put("bench, lye pot", "/bench/" + young + "?step=lye");
        pages.put("bench, matching", "/bench/" + young + "?step=match");
        for (String page : pages.values()) {
            maker.measure(page, WARM);
        }
        table(batches + " batches, just started", maker, pages, times);
        eightAtOnce(List.copyOf(pages.values()), times);
        System.out.println("kept in memory before " + MANY + " requests: " + kept(server));
        Maker other = new Maker();
        List<String> all = List.copyOf(pages.values());
        for (int i = 0; i < MANY; i++) {
            (i % 2 == 0 ? maker : other).get(all.get(i % all.size()));
        }
        System.out.println("kept in memory after: " + kept(server));
        table(batches + " batches, after " + MANY + " requests", maker, pages, times);
        eightAtOnce(all, times);
    }

    private static void table(String what, Maker maker, Map<String, String> pages, int times) throws Exception {
        System.out.println("| " + what + " | median | p95 | median to bare | answer |\n|---|---|---|---|---|");
        double bare = 0;
        for (Map.Entry<String, String> page : pages.entrySet()) {
            Measured m = maker.measure(page.getValue(), times);
            bare = bare == 0 ? m.median() : bare;
            System.out.printf(
                    "| %s | %.1f ms | %.1f ms | %.1f | %d kB |%n",
                    page.getKey(), m.median(), m.nineteenOfTwenty(), m.median() / bare, m.kilobytes());
        }
    }

    private static void eightAtOnce(List<String> pages, int times) throws Exception {
        List<Double> millis = Collections.synchronizedList(new ArrayList<>());
        ExecutorService makers = Executors.newFixedThreadPool(MAKERS);
        List<Future<?>> all = new ArrayList<>();
        for (int m = 0; m < MAKERS; m++) {
            int first = m;
            all.add(makers.submit(() -> {
                Maker maker = new Maker();
                for (int i = 0; i < times; i++) {
                    long before = System.nanoTime();
                    maker.get(pages.get((first + i) % pages.size()));
                    millis.add((System.nanoTime() - before) / 1e6);
                }
                return null;
            }));
        }
        for (Future<?> one : all) {
            one.get();
        }
        makers.shutdown();
        Collections.sort(millis);
        System.out.printf(
                "eight makers at once: median %.1f ms, p95 %.1f ms, longest %.1f ms%n",
                millis.get(millis.size() / 2), millis.get((int) (millis.size() * 0.95)), millis.get(millis.size() - 1));
    }

    private static String kept(Process server) throws Exception {
        run("jcmd", "" + server.pid(), "GC.run");
        String heap = run("jcmd", "" + server.pid(), "GC.heap_info");
        Matcher used = Pattern.compile("(def new|tenured) generation\\s+total \\d+K, used (\\d+)K")
                .matcher(heap);
        long kilobytes = 0;
        while (used.find()) {
            kilobytes += Long.parseLong(used.group(2));
        }
        return kilobytes / 1024 + " MB";
    }

    private static String run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        process.waitFor();
        return said;
    }
}
