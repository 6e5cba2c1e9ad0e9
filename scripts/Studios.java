import java.io.IOException;
import java.io.InputStream;
import java.net.CookieManager;
import java.net.ServerSocket;
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
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/**
 * Two studios on one machine: neither knows the other's, one goes on while the other is stopped, both are there again
 * after a start; the oldest tables that are kept open in this program; a copy that was taken off the machine is put
 * back and holds what it held; what left as a zip comes in elsewhere. Exits with 1 where any of it does not hold.
 */
public class Studios {

    private static final String JAR = "web/target/causticon/causticon.jar";
    private static final Path OLD = Path.of("web/src/test/resources/schemas");
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" (?:value|content)=\"([^\"]+)\"");
    private static final Pattern ARRIVAL = Pattern.compile("/people/arrivals/[0-9a-f-]{36}");

    private static int failures;

    public static void main(String[] arguments) throws Exception {
        Path all = Files.createTempDirectory("causticon-studios");
        List<Studio> running = new ArrayList<>();
        try {
            Studio harbour = start(running, all.resolve("harbour"));
            Studio lane = start(running, all.resolve("lane"));
            apart(harbour, lane);
            restarted(running, harbour, lane);
            upToDate(running, all);
            putBack(running, all, harbour);
            carried(running, all);
        } finally {
            running.forEach(Studio::stop);
            delete(all);
        }
        System.out.println(failures == 0 ? "all of it holds" : failures + " do not hold");
        System.exit(failures == 0 ? 0 : 1);
    }

    private static void check(String what, boolean holds) {
        failures += holds ? 0 : 1;
        System.out.println((holds ? "ok      " : "FAILED  ") + what);
    }

    private static Studio start(List<Studio> running, Path data) throws Exception {
        Studio studio = new Studio(data);
        running.add(studio);
        studio.start();
        return studio;
    }

    private static void apart(Studio harbour, Studio lane) throws Exception {
        harbour.open("Harbour Studio", "marit", "a-password-of-marit");
        lane.open("Lane Studio", "jonas", "a-password-of-jonas");
        check(
                "each has an owner of its own",
                harbour.signIn("marit", "a-password-of-marit") && lane.signIn("jonas", "a-password-of-jonas"));
        check(
                "neither lets the other's in",
                !harbour.signIn("jonas", "a-password-of-jonas") && !lane.signIn("marit", "a-password-of-marit"));
        harbour.signIn("marit", "a-password-of-marit");
        lane.signIn("jonas", "a-password-of-jonas");
        harbour.post(
                "/shelf/vessel",
                Map.of("name", "harbour jug", "mass", "212 g", "material", "STAINLESS_STEEL"),
                "/shelf");
        check("what stands on one shelf", harbour.get("/shelf").contains("harbour jug"));
        check("does not stand on the other", !lane.get("/shelf").contains("harbour jug"));
    }

    private static void restarted(List<Studio> running, Studio harbour, Studio lane) throws Exception {
        lane.stop();
        check("one goes on while the other is stopped", harbour.get("/shelf").contains("harbour jug"));
        lane.start();
        check(
                "and the other is there again",
                lane.signIn("jonas", "a-password-of-jonas")
                        && !lane.get("/shelf").contains("harbour jug"));
    }

    private static void upToDate(List<Studio> running, Path all) throws Exception {
        Path oldest;
        try (Stream<Path> files = Files.list(OLD)) {
            oldest = files.filter(f -> f.getFileName().toString().matches("tables-\\d+\\.zip"))
                    .min(Comparator.comparingInt(
                            f -> Integer.parseInt(f.getFileName().toString().replaceAll("\\D", ""))))
                    .orElseThrow();
        }
        Path data = Files.createDirectories(all.resolve("old"));
        unzip(oldest, data);
        Studio old = start(running, data);
        check(
                oldest.getFileName() + " opens in this program",
                old.signIn("ines", "lye-into-water") && old.get("/?show=all").contains("/batch/"));
        old.stop();
    }

    private static void putBack(List<Studio> running, Path all, Studio harbour) throws Exception {
        Path elsewhere = Files.createDirectories(all.resolve("another-machine"));
        Path copy = elsewhere.resolve("harbour.zip");
        check("a copy is written while it runs", tool("backup", harbour.data, copy) == 0);
        harbour.stop();
        Path back = all.resolve("back");
        check("and put back", tool("restore", back, copy) == 0);
        Studio again = start(running, back);
        check(
                "with what it held",
                again.signIn("marit", "a-password-of-marit")
                        && again.get("/shelf").contains("harbour jug"));
        again.stop();
    }

    /** The made-up workshop out of one and into another. */
    private static void carried(List<Studio> running, Path all) throws Exception {
        Studio made = new Studio(all.resolve("made-up"));
        made.demo = true;
        running.add(made);
        made.start();
        made.signIn("ines", "lye-into-water");
        byte[] zip = made.bytes("/carry/workshop.zip");
        made.stop();
        Studio fresh = start(running, all.resolve("fresh"));
        fresh.open("Fresh Studio", "tora", "a-password-of-tora");
        fresh.signIn("tora", "a-password-of-tora");
        Matcher came = ARRIVAL.matcher(fresh.send("/people/arrivals", zip));
        check(
                "what left as a zip is looked at elsewhere",
                came.find() && fresh.get(came.group()).contains("Take what is new"));
        fresh.post(came.group() + "/take", Map.of(), came.group());
        check("and taken", fresh.get("/?show=all").contains("Ferry Bar"));
        fresh.stop();
        fresh.start();
        check(
                "and is there after a start",
                fresh.signIn("tora", "a-password-of-tora")
                        && fresh.get("/?show=all").contains("Ferry Bar"));
        fresh.post(came.group() + "/undo", Map.of(), "/carry");
        fresh.kill();
        fresh.start();
        check(
                "taken back, it is gone, and a power cut right after that keeps nobody from starting",
                fresh.signIn("tora", "a-password-of-tora")
                        && !fresh.get("/?show=all").contains("Ferry Bar"));
    }

    private static int tool(String what, Path data, Path file) throws Exception {
        return new ProcessBuilder(
                        "java",
                        "-cp",
                        JAR,
                        "io.causticon.web.exchange.backup.BackupTool",
                        what,
                        data.toString(),
                        file.toString())
                .inheritIO()
                .start()
                .waitFor();
    }

    private static void unzip(Path file, Path to) throws IOException {
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Files.copy((InputStream) zip, to.resolve("causticon.mv.db"));
            }
        }
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(file);
            }
        }
    }

    /** A process with its folder and its port. */
    private static final class Studio {

        private final Path data;
        private final int port;
        private boolean demo;
        private Process process;
        private HttpClient http;
        private String token = "";

        Studio(Path data) throws IOException {
            this.data = Files.createDirectories(data);
            try (ServerSocket free = new ServerSocket(0)) {
                this.port = free.getLocalPort();
            }
        }

        void start() throws Exception {
            Path log = data.resolve("server.log");
            Files.deleteIfExists(log);
            process = new ProcessBuilder(
                            "java",
                            "@scripts/server.options",
                            "-jar",
                            JAR,
                            "--server.port=" + port,
                            "--causticon.data=" + data,
                            "--causticon.demo=" + demo)
                    .redirectErrorStream(true)
                    .redirectOutput(log.toFile())
                    .start();
            while (!Files.readString(log).contains(demo ? "is set up" : "Causticon is at")) {
                if (!process.isAlive()) {
                    throw new IllegalStateException("did not start: " + Files.readString(log));
                }
                Thread.sleep(100);
            }
            forget();
        }

        private void forget() {
            http = HttpClient.newBuilder()
                    .cookieHandler(new CookieManager())
                    .followRedirects(HttpClient.Redirect.NORMAL)
                    .connectTimeout(Duration.ofSeconds(5))
                    .build();
        }

        void stop() {
            if (process != null && process.isAlive()) {
                process.destroy();
                try {
                    process.waitFor(30, TimeUnit.SECONDS);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                }
            }
        }

        /** As a power cut does. */
        void kill() throws InterruptedException {
            process.destroyForcibly();
            process.waitFor(10, TimeUnit.SECONDS);
        }

        void open(String workshop, String name, String password) throws Exception {
            get("/first-visit");
            post(
                    "/first-visit",
                    Map.of(
                            "workshop",
                            workshop,
                            "name",
                            name,
                            "displayName",
                            name,
                            "zone",
                            "UTC",
                            "units",
                            "",
                            "password",
                            password),
                    "/first-visit");
        }

        boolean signIn(String name, String password) throws Exception {
            forget();
            get("/sign-in");
            post("/sign-in", Map.of("name", name, "password", password), "/sign-in");
            return get("/").contains("Sign out");
        }

        private HttpRequest.Builder at(String path) {
            return HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
                    .timeout(Duration.ofMinutes(5));
        }

        String get(String path) throws Exception {
            String body = http.send(at(path).build(), HttpResponse.BodyHandlers.ofString())
                    .body();
            Matcher found = TOKEN.matcher(body);
            if (found.find()) {
                token = found.group(1);
            }
            return body;
        }

        byte[] bytes(String path) throws Exception {
            return http.send(at(path).build(), HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        }

        String post(String path, Map<String, String> form, String page) throws Exception {
            get(page);
            String body = Stream.concat(form.entrySet().stream(), Map.of("_csrf", token).entrySet().stream())
                    .map(e -> URLEncoder.encode(e.getKey(), StandardCharsets.UTF_8) + "="
                            + URLEncoder.encode(e.getValue(), StandardCharsets.UTF_8))
                    .collect(Collectors.joining("&"));
            return http.send(
                            at(path).header("Content-Type", "application/x-www-form-urlencoded")
                                    .POST(HttpRequest.BodyPublishers.ofString(body))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        }

        String send(String path, byte[] file) throws Exception {
            get("/carry");
            return http.send(
                            at(path).header("Content-Type", "application/octet-stream")
                                    .header("X-XSRF-TOKEN", token)
                                    .header("X-File-Name", "workshop.zip")
                                    .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
        }
    }
}
