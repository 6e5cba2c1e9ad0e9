package io.causticon.web.trust;

import io.causticon.web.harness.Crawler;
import io.causticon.web.harness.ProcessorTimes;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.security.Accounts;
import io.causticon.web.shared.Frame;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.lang.reflect.RecordComponent;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpMethod;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;

/**
 * Asks every address of the application, found by reflection, for things that it cannot give, in every role, from a
 * seed. What a page is asked for and by which fields is read off its handler, so that a new one is included by itself.
 */
final class Hostile {

    /** One address with what it takes. */
    private record Target(
            String path, List<HttpMethod> methods, List<String> variables, Set<String> fields, boolean file) {}

    /** One answer that should not have been. */
    record Fault(String what, String why) {}

    /** What came of it. */
    static final class Outcome {

        final Map<Integer, Integer> statuses = new TreeMap<>();
        final Map<String, Integer> targets = new TreeMap<>();
        final List<Fault> faults = new ArrayList<>();

        /** A table for people. */
        String table(List<Double> seconds) {
            StringBuilder table = new StringBuilder("| answer | how often |\n|---|---|\n");
            statuses.forEach((status, count) -> table.append("| ")
                    .append(status)
                    .append(" | ")
                    .append(count)
                    .append(" |\n"));
            List<Double> sorted = seconds.stream().sorted().toList();
            table.append(String.format(
                    java.util.Locale.ROOT,
                    "%n%d answers from %d addresses, the sign-ins between them included; seconds of a processor:"
                            + " median %.3f, 99th percentile %.3f, longest %.3f; faults: %d%n",
                    sorted.size(),
                    targets.size(),
                    sorted.get(sorted.size() / 2),
                    sorted.get(sorted.size() * 99 / 100),
                    sorted.get(sorted.size() - 1),
                    faults.size()));
            return table.toString();
        }
    }

    private static final List<String> NAMES = List.of("ines", "odd", "guest", "");
    private static final List<String> ACCEPTS = List.of(
            "text/html", "*/*", "application/json", "image/png", "text/event-stream", "garbage", "text/html;q=2;;;");
    private static final List<String> TYPES = List.of(
            "application/x-www-form-urlencoded",
            "application/json",
            "text/xml",
            "multipart/form-data",
            "multipart/form-data; boundary=edge",
            "text/plain",
            "");
    private static final int LONGEST_ADDRESS = 6000;

    private final RunningApplication application;
    private final ProcessorTimes times;
    private final Random random;
    private final List<Target> targets = new ArrayList<>();
    private final Map<String, HttpClient> clients = new LinkedHashMap<>();
    private final Map<String, String> tokens = new LinkedHashMap<>();
    private final List<String> ids = new ArrayList<>();
    private final String deviceToken;
    private final Outcome outcome = new Outcome();

    Hostile(RunningApplication application, ProcessorTimes times, long seed) {
        this.application = application;
        this.times = times;
        this.random = new Random(seed);
        application.addresses().getHandlerMethods().forEach(this::add);
        application.bean(BatchService.class).all().forEach(b -> {
            ids.add(b.id().toString());
            b.log().entries().stream().limit(2).forEach(e -> ids.add(e.id()));
        });
        DeviceService.Added device =
                application.bean(DeviceService.class).add("hostile probe", DeviceKind.THERMOMETER, false);
        ids.add(device.device().id().toString());
        this.deviceToken = device.token();
    }

    private void add(RequestMappingInfo info, HandlerMethod handler) {
        List<String> variables = new ArrayList<>();
        Set<String> fields = new java.util.TreeSet<>(Set.of("_csrf", "key"));
        boolean file = false;
        for (MethodParameter parameter : handler.getMethodParameters()) {
            parameter.initParameterNameDiscovery(new org.springframework.core.DefaultParameterNameDiscoverer());
            Class<?> type = parameter.getParameterType();
            if (parameter.hasParameterAnnotation(PathVariable.class)) {
                variables.add(parameter.getParameterName());
            } else if (type == MultipartFile.class) {
                file = true;
            } else if (MultiValueMap.class.isAssignableFrom(type)) {
                fields.addAll(FORM_FIELDS);
            } else if (parameter.hasParameterAnnotation(RequestParam.class)) {
                fields.add(parameter.getParameterName());
            } else if (type.isRecord() && type != Maker.class && type != Frame.class) {
                for (RecordComponent component : type.getRecordComponents()) {
                    fields.add(component.getName());
                }
            }
        }
        Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
        List<HttpMethod> asked = methods.isEmpty()
                ? List.of(HttpMethod.GET)
                : methods.stream().map(RequestMethod::asHttpMethod).toList();
        Set<String> all = fields;
        boolean upload = file;
        info.getPatternValues().stream()
                .filter(p -> !p.startsWith("/error"))
                .forEach(p -> targets.add(new Target(p, asked, variables, all, upload)));
    }

    /** Fields of the two forms that are read as a map: the composer and the shelf. */
    private static final List<String> FORM_FIELDS = List.of(
            "name",
            "note",
            "process",
            "gel",
            "mould",
            "mixAt",
            "superfat",
            "naohShare",
            "purity",
            "kohPurity",
            "liquidWay",
            "liquidValue",
            "fatStep",
            "lyeStep",
            "sizedBy",
            "total",
            "fillHeight",
            "overage",
            "spare",
            "thickness",
            "vessel",
            "pot",
            "portionWay",
            "stuck",
            "bowl",
            "scaleTo",
            "slow",
            "firm",
            "mild",
            "keeps",
            "noAnimal",
            "noPalm",
            "without",
            "mostCost",
            "mostChange",
            "fatId",
            "fatAmount",
            "fatLock",
            "liquidId",
            "liquidAmount",
            "liquidState",
            "liquidJoins",
            "additiveId",
            "additiveAmount",
            "additiveJoins",
            "portionName",
            "portionAmount",
            "portionAdditiveId",
            "portionAdditiveDose",
            "portionLiquidId",
            "portionLiquidDose",
            "kind",
            "material",
            "mass",
            "width",
            "length",
            "height",
            "cavities",
            "water",
            "like",
            "saponification",
            "iodine",
            "cap",
            "allergens",
            "behaviour",
            "substance",
            "price",
            "useBy",
            "check",
            "freezer",
            "form");

    /** A recipe that works, so that one odd field is met by the code behind the others too. */
    private static final Map<String, List<String>> SOUND = Map.ofEntries(
            Map.entry("name", List.of("Sound")),
            Map.entry("fatId", List.of("olive-oil", "coconut-oil-76")),
            Map.entry("fatAmount", List.of("700", "300")),
            Map.entry("liquidId", List.of("distilled-water")),
            Map.entry("liquidAmount", List.of("100")),
            Map.entry("liquidState", List.of("SLUSH")),
            Map.entry("liquidJoins", List.of("LYE")),
            Map.entry("superfat", List.of("5")),
            Map.entry("naohShare", List.of("100")),
            Map.entry("purity", List.of("98")),
            Map.entry("kohPurity", List.of("90")),
            Map.entry("liquidWay", List.of("LYE_CONCENTRATION")),
            Map.entry("liquidValue", List.of("33")),
            Map.entry("mixAt", List.of("40")),
            Map.entry("fatStep", List.of("1")),
            Map.entry("lyeStep", List.of("1")),
            Map.entry("sizedBy", List.of("WEIGHTS")),
            Map.entry("process", List.of("COLD")),
            Map.entry("gel", List.of("ALLOW")),
            Map.entry("portionWay", List.of("WHOLE")),
            Map.entry("overage", List.of("0")),
            Map.entry("thickness", List.of("25")),
            Map.entry("stuck", List.of("3")),
            Map.entry("mostChange", List.of("20")),
            Map.entry("quick", List.of("lye 40")),
            Map.entry("kind", List.of("FAT")),
            Map.entry("what", List.of("olive-oil")),
            Map.entry("amount", List.of("100")),
            Map.entry("tare", List.of("TAKEN")),
            Map.entry("mass", List.of("100")),
            Map.entry("reason", List.of("because")),
            Map.entry("finding", List.of("thick-crust")),
            Map.entry("presence", List.of("SEEN")),
            Map.entry("revision", List.of("1")));

    Outcome run(int requests) {
        for (int i = 0; i < requests; i++) {
            if (i % 60 == 0) {
                restore();
            }
            one(targets.get(i % targets.size()));
        }
        return outcome;
    }

    /** Somebody may have been put out meanwhile. */
    private void restore() {
        AccountService accounts = application.bean(AccountService.class);
        Map.of("ines", Role.OWNER, "odd", Role.MAKER, "guest", Role.VIEWER)
                .forEach((name, role) -> Accounts.restore(accounts, name, role));
        for (String name : NAMES) {
            HttpClient client = HttpClient.newBuilder()
                    .cookieHandler(new CookieManager())
                    .followRedirects(HttpClient.Redirect.NEVER)
                    .build();
            clients.put(name, client);
            String token = token(client, "/sign-in");
            if (!name.isEmpty()) {
                send(
                        client,
                        HttpRequest.newBuilder(uri("/sign-in"))
                                .header("Content-Type", "application/x-www-form-urlencoded")
                                .POST(HttpRequest.BodyPublishers.ofString(
                                        "name=" + name + "&password=lye-into-water&_csrf=" + encode(token))));
                token = token(client, "/settings");
            }
            tokens.put(name, token);
        }
    }

    private String token(HttpClient client, String path) {
        HttpResponse<String> page =
                send(client, HttpRequest.newBuilder(uri(path)).GET());
        return page == null
                ? ""
                : Jsoup.parse(page.body()).select("input[name=_csrf]").val();
    }

    private void one(Target target) {
        String who = OddValues.pick(NAMES.subList(0, random.nextInt(4) == 0 ? 4 : 2), random);
        HttpMethod method = random.nextInt(12) == 0
                ? HttpMethod.valueOf(
                        OddValues.pick(List.of("GET", "POST", "PUT", "DELETE", "HEAD", "PATCH", "OPTIONS"), random))
                : target.methods().get(0);
        String path = path(target);
        HttpRequest.Builder request;
        try {
            request = HttpRequest.newBuilder(uri(path + (method == HttpMethod.GET ? query(target, who) : "")));
        } catch (IllegalArgumentException e) {
            // The client of the platform refuses to send it.
            return;
        }
        request.header("Accept", random.nextInt(5) == 0 ? OddValues.pick(ACCEPTS, random) : "text/html");
        if (target.path().equals("/ingest") && random.nextInt(4) > 0) {
            request.header(
                    "Authorization",
                    "Bearer "
                            + (random.nextInt(5) > 0
                                    ? deviceToken
                                    : OddValues.any(random).replaceAll("[^ -~]", "")));
        }
        request.method(method.name(), body(target, who, method, request));
        HttpResponse<String> answer = send(clients.get(who), request);
        if (answer == null) {
            return;
        }
        outcome.targets.merge(target.path(), 1, Integer::sum);
        outcome.statuses.merge(answer.statusCode(), 1, Integer::sum);
        String what = method + " " + Crawler.kind(path.length() > 200 ? path.substring(0, 200) : path) + " as " + who;
        if (answer.statusCode() >= 500) {
            outcome.faults.add(new Fault(what + " " + last, "answers " + answer.statusCode()));
        }
        if (answer.body().contains("\tat io.causticon") || answer.body().contains("\tat org.")) {
            outcome.faults.add(new Fault(what, "shows a trace"));
        }
    }

    private String last = "";

    private String path(Target target) {
        String path = target.path();
        for (String variable : target.variables()) {
            String value = switch (random.nextInt(10)) {
                case 0 -> UUID.randomUUID().toString();
                case 1 -> encode(OddValues.any(random));
                default -> OddValues.pick(ids, random);
            };
            path = path.replaceAll(
                    "\\{" + variable + "(:[^}]*)?}",
                    java.util.regex.Matcher.quoteReplacement(
                            target.path().contains("{" + variable + ":")
                                    ? "vessel"
                                    : value.length() > LONGEST_ADDRESS ? "long" : value));
        }
        return path;
    }

    private String query(Target target, String who) {
        String query = form(target, who);
        return query.isEmpty() || query.length() > LONGEST_ADDRESS ? "" : "?" + query;
    }

    private HttpRequest.BodyPublisher body(Target target, String who, HttpMethod method, HttpRequest.Builder request) {
        if (method == HttpMethod.GET || method == HttpMethod.HEAD) {
            return HttpRequest.BodyPublishers.noBody();
        }
        if (target.path().equals("/ingest")) {
            request.header(
                    "Content-Type",
                    OddValues.pick(
                            List.of("application/json", "text/csv", "application/x-ndjson", "text/html"), random));
            return HttpRequest.BodyPublishers.ofString(OddValues.pick(
                    List.of(
                            "{\"seq\":1,\"value\":43.5}",
                            "{\"seq\":-1,\"value\":1e999}",
                            "[]",
                            "{",
                            "1,2\n3",
                            "\u0000",
                            "{\"seq\":{},\"value\":[]}",
                            OddValues.any(random),
                            "{\"seq\":9,\"value\":1,\"unit\":\"F\",\"at\":\"0000\"}",
                            "[".repeat(3000)),
                    random));
        }
        if (target.file()) {
            request.header("Content-Type", "multipart/form-data; boundary=edge");
            String content = OddValues.pick(
                    List.of(
                            "\u0089PNG\r\n\u001a\n",
                            "GIF89a",
                            "\u00ff\u00d8\u00ff\u00e0junk",
                            "",
                            OddValues.any(random)),
                    random);
            String end = random.nextInt(4) == 0 ? "" : "\r\n--edge--\r\n";
            return HttpRequest.BodyPublishers.ofString(
                    "--edge\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n" + tokens.get(who)
                            + "\r\n--edge\r\nContent-Disposition: form-data; name=\"key\"\r\n\r\nk" + random.nextInt(50)
                            + "\r\n"
                            + "--edge\r\n"
                            + "Content-Disposition: form-data; name=\"photo\"; filename=\"a.png\"\r\n"
                            + "Content-Type: image/png\r\n\r\n"
                            + content + end,
                    StandardCharsets.ISO_8859_1);
        }
        String type = random.nextInt(10) == 0 ? OddValues.pick(TYPES, random) : TYPES.get(0);
        if (!type.isEmpty()) {
            request.header("Content-Type", type);
        }
        String form = form(target, who);
        if (random.nextInt(15) == 0) {
            form = OddValues.pick(
                    List.of(
                            form + "&a=%",
                            "%zz=1",
                            form + "&=&=",
                            "&&&&",
                            form + "%",
                            "{\"a\":1}",
                            "--edge\r\n",
                            form.substring(form.length() / 2)),
                    random);
        }
        return HttpRequest.BodyPublishers.ofString(form);
    }

    /** A sound form with some of its fields odd, missing or doubled. */
    private String form(Target target, String who) {
        List<String> pairs = new ArrayList<>();
        List<String> odd = new ArrayList<>();
        for (String field : target.fields()) {
            if (field.equals("_csrf")) {
                pairs.add("_csrf=" + encode(random.nextInt(40) == 0 ? "wrong" : tokens.get(who)));
                continue;
            }
            if (field.equals("key")) {
                pairs.add("key="
                        + (random.nextInt(4) == 0
                                ? "k" + random.nextInt(20)
                                : UUID.randomUUID().toString()));
                continue;
            }
            int dice = random.nextInt(target.fields().size() < 12 ? 4 : 14);
            if (dice == 0) {
                int times = random.nextInt(6) == 0 ? 2 : 1;
                for (int i = 0; i < times; i++) {
                    String value = random.nextInt(8) == 0 ? OddValues.pick(ids, random) : OddValues.any(random);
                    odd.add(field + "="
                            + (value.length() > 60 ? value.substring(0, 60) + "[" + value.length() + "]" : value));
                    pairs.add(field + "=" + encode(value));
                }
            } else if (dice > 1 || !SOUND.containsKey(field)) {
                SOUND.getOrDefault(field, List.of()).forEach(v -> pairs.add(field + "=" + encode(v)));
            }
        }
        last = odd.stream().collect(Collectors.joining(" & "));
        return String.join("&", pairs);
    }

    private URI uri(String path) {
        return URI.create(application.address() + path);
    }

    private static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** The answer; null where the server hung up on what is no request. What stays open is hung up on by us. */
    private HttpResponse<String> send(HttpClient client, HttpRequest.Builder request) {
        try {
            HttpRequest built = request.build();
            boolean open = built.uri().getPath().endsWith("/live");
            return client.send(
                    built,
                    info -> open && info.statusCode() == 200
                            ? HttpResponse.BodySubscribers.mapping(
                                    HttpResponse.BodySubscribers.ofInputStream(), Hostile::hangUp)
                            : HttpResponse.BodySubscribers.ofString(StandardCharsets.UTF_8));
        } catch (IOException | IllegalArgumentException e) {
            return null;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private static String hangUp(InputStream body) {
        try (body) {
            return "";
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Addresses whose answer took longer on a processor than so many seconds. */
    List<String> slowerThan(double seconds) {
        return times.longest().entrySet().stream()
                .filter(e -> e.getValue() > seconds)
                .map(e -> e.getKey().substring(0, Math.min(120, e.getKey().length())) + ": " + e.getValue() + " s")
                .toList();
    }

    int addresses() {
        return targets.size();
    }
}
