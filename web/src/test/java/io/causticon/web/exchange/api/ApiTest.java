package io.causticon.web.exchange.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.harness.SteppedClock;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.openapi4j.parser.OpenApi3Parser;
import org.openapi4j.parser.model.v3.OpenApi3;
import org.openapi4j.parser.validation.v3.OpenApi3Validator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What programs ask, as they ask it; time stands still unless a test says otherwise. */
class ApiTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Pattern TOKEN = Pattern.compile("<code class=\"figure break-all\">([^<]+)</code>");
    private static final Path PUBLISHED = Path.of("..", "docs", "formats", "openapi.json");

    /** Writes what is published anew instead of comparing it. */
    private static final boolean WRITE = Boolean.getBoolean("causticon.formats");

    private static final SteppedClock CLOCK = new SteppedClock();
    private static RunningApplication application;
    private static Client ines;
    private static int made;

    private final HttpClient http = HttpClient.newHttpClient();

    @BeforeAll
    static void start() {
        application = RunningApplication.at(
                CLOCK, "--springdoc.paths-to-match=/api/v1/**", "--springdoc.api-docs.version=openapi_3_0");
        ines = new Client(application.address()).signIn("ines");
    }

    @AfterAll
    static void end() {
        application.close();
    }

    private static String token(String name, String scopes) {
        return token(ines, name, scopes);
    }

    private static String token(Client owner, String name, String scopes) {
        owner.get("/people/tokens");
        String page = owner.postRaw("/people/tokens", Map.of("name", name + " " + made++, "endsOn", ""), scopes)
                .body();
        Matcher found = TOKEN.matcher(page);
        assertThat(found.find()).as(page).isTrue();
        return found.group(1);
    }

    private HttpResponse<String> send(String token, HttpRequest.Builder request) throws Exception {
        return http.send(
                request.header("Authorization", "Bearer " + token).build(), HttpResponse.BodyHandlers.ofString());
    }

    private HttpResponse<String> get(String token, String path) throws Exception {
        return send(token, HttpRequest.newBuilder(URI.create(application.address() + path)));
    }

    private HttpResponse<String> add(String token, BatchId batch, String body, String key) throws Exception {
        HttpRequest.Builder request = HttpRequest.newBuilder(
                        URI.create(application.address() + "/api/v1/batches/" + batch + "/lines"))
                .header("Content-Type", "application/json")
                .POST(HttpRequest.BodyPublishers.ofString(body));
        return send(token, key.isEmpty() ? request : request.header("Idempotency-Key", key));
    }

    @Test
    void asksAboutAnOddLineAndKeepsTheAnswerWithIt() throws Exception {
        String token = token("kitchen scale", "&scopes=READ&scopes=MEASURE");
        BatchId bench = batch("Whey & Barley");
        HttpResponse<String> asked = add(token, bench, "{\"says\": \"oil 104 C\"}", "odd-1");
        assertThat(asked.statusCode()).isEqualTo(422);
        JsonNode doubts = JSON.readTree(asked.body()).get("doubts");
        assertThat(doubts).hasSize(1);
        assertThat(doubts.get(0).get("kind").asString()).isEqualTo("ODD_TEMPERATURE");
        assertThat(doubts.get(0).get("asks").asString()).contains("other scale");
        assertThat(doubts.get(0).get("maybe")).hasSize(1);
        assertThat(add(token, bench, "{\"says\": \"oil 104 C\", \"answers\": [\"ODD\"]}", "odd-1")
                        .statusCode())
                .isEqualTo(400);
        assertThat(add(token, bench, "{\"says\": \"oil 104 C\", \"answers\": [\"ODD_TEMPERATURE\"]}", "odd-1")
                        .statusCode())
                .isEqualTo(201);
        // The same line sent again is there once.
        assertThat(add(token, bench, "{\"says\": \"oil 104 C\", \"answers\": [\"ODD_TEMPERATURE\"]}", "odd-1")
                        .statusCode())
                .isEqualTo(200);
    }

    private static BatchId batch(String name) {
        return application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .map(Batch::id)
                .orElseThrow();
    }

    private static int lines(BatchId batch) {
        return application.bean(BatchService.class).get(batch).log().all().size();
    }

    @Test
    void publishesWhatItDoes() throws Exception {
        String described = ines.get("/v3/api-docs").body();
        assertThat(described).startsWith("{");
        ObjectNode document = (ObjectNode) JSON.readTree(described);
        document.remove("servers");
        document.putArray("servers").addObject().put("url", "/").put("description", "wherever Causticon runs");
        String text =
                JsonMapper.builder()
                                .enable(SerializationFeature.INDENT_OUTPUT)
                                .build()
                                .writeValueAsString(document) + "\n";
        if (WRITE) {
            Files.writeString(PUBLISHED, text);
        }
        assertThat(Files.readString(PUBLISHED))
                .as("./causticon formats writes it anew")
                .isEqualTo(text);
        // A reader of another make.
        OpenApi3 read = new OpenApi3Parser().parse(PUBLISHED.toFile(), true);
        assertThat(OpenApi3Validator.instance().validate(read).isValid()).isTrue();
        assertThat(read.getPaths())
                .containsOnlyKeys(
                        "/api/v1/batches",
                        "/api/v1/batches/{id}",
                        "/api/v1/batches/{id}/document",
                        "/api/v1/batches/{id}/lines");
        String served = HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(application.address() + "/api/openapi.json"))
                                .build(),
                        HttpResponse.BodyHandlers.ofString())
                .body();
        assertThat(WRITE ? JSON.readTree(text) : JSON.readTree(served))
                .isEqualTo(JSON.readTree(Files.readString(PUBLISHED)));
    }

    /** Checks an answer against what is published of it. */
    private static void isAs(String schema, String answer) throws Exception {
        JsonNode published = JSON.readTree(Files.readString(PUBLISHED));
        ObjectNode root = JSON.createObjectNode();
        root.put("$ref", "#/components/schemas/" + schema);
        root.set("components", published.get("components"));
        Schema validator = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(JSON.writeValueAsString(root), InputFormat.JSON);
        assertThat(validator.validate(answer, InputFormat.JSON)).isEmpty();
        assertThat(validator.validate("[]", InputFormat.JSON))
                .as("a schema that takes everything tells nothing")
                .isNotEmpty();
    }

    @Test
    void readsAllBatchesByPartsAndEachInFull() throws Exception {
        String token = token("reader", "&scopes=READ");
        Set<String> seen = new HashSet<>();
        String after = "";
        do {
            HttpResponse<String> part = get(token, "/api/v1/batches?limit=7" + after);
            isAs("ListedBatches", part.body());
            JsonNode answer = JSON.readTree(part.body());
            answer.get("batches")
                    .forEach(b -> assertThat(seen.add(b.get("id").asString())).isTrue());
            after = answer.get("next") == null || answer.get("next").isNull()
                    ? ""
                    : "&after=" + answer.get("next").asString();
        } while (!after.isEmpty());
        // What was given up stands in a list of its own.
        JSON.readTree(get(token, "/api/v1/batches?which=abandoned").body())
                .get("batches")
                .forEach(b -> seen.add(b.get("id").asString()));
        assertThat(seen).hasSize(application.bean(BatchService.class).ids().size());

        BatchId lavender = batch("Net Loft Lavender");
        HttpResponse<String> one = get(token, "/api/v1/batches/" + lavender);
        isAs("BatchState", one.body());
        assertThat(JSON.readTree(one.body()).get("held").asBoolean()).isTrue();
        HttpResponse<String> log = get(token, "/api/v1/batches/" + lavender + "/lines");
        isAs("LogState", log.body());
        assertThat(JSON.readTree(log.body()).get("lines").size()).isGreaterThanOrEqualTo(lines(lavender));
        Schema document = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("..", "docs", "formats", "batch.schema.json")), InputFormat.JSON);
        assertThat(document.validate(
                        get(token, "/api/v1/batches/" + lavender + "/document").body(), InputFormat.JSON))
                .isEmpty();
        assertThat(get(token, "/api/v1/batches/" + UUID.randomUUID()).statusCode())
                .isEqualTo(404);
        assertThat(get(token, "/api/v1/batches/none").statusCode()).isEqualTo(404);
        assertThat(get(token, "/api/v1/other")
                        .headers()
                        .firstValue("Content-Type")
                        .orElse(""))
                .startsWith("application/problem+json");
        assertThat(get(token, "/api/v1/batches?limit=0").body()).contains("limit wants 1 to 200");
        assertThat(get(token, "/api/v1/batches?which=odd").statusCode()).isEqualTo(400);
        assertThat(add(token, lavender, "{\"says\": \"pH 9 strip\"}", "").statusCode())
                .isEqualTo(403);
    }

    @Test
    void addsWhatIsMeasuredOnceAndTellsHowTheBatchStands() throws Exception {
        String token = token("scale", "&scopes=READ&scopes=MEASURE");
        BatchId ferry = batch("Ferry Bar");
        int before = lines(ferry);
        HttpResponse<String> first = add(token, ferry, "{\"says\": \"bar 104.5 g\"}", "k1");
        assertThat(first.statusCode()).as(first.body()).isEqualTo(201);
        isAs("AddedLines", first.body());
        assertThat(JSON.readTree(first.body()).get("batch").get("lastBarGrams").asDouble())
                .isEqualTo(104.5);
        HttpResponse<String> again = add(token, ferry, "{\"says\": \"bar 104.5 g\"}", "k1");
        assertThat(again.statusCode()).isEqualTo(200);
        assertThat(JSON.readTree(again.body()).get("lines"))
                .isEqualTo(JSON.readTree(first.body()).get("lines"));
        assertThat(lines(ferry)).isEqualTo(before + 1);
        assertThat(add(token, ferry, "{\"says\": \"bar 99 g\"}", "k1").statusCode())
                .as("other words under one key")
                .isEqualTo(409);
        String other = token("other scale", "&scopes=MEASURE");
        assertThat(add(other, ferry, "{\"says\": \"bar 103 g\"}", "k1").statusCode())
                .as("keys of one token are not those of another")
                .isEqualTo(201);

        String line = JSON.readTree(first.body()).get("lines").get(0).asString();
        Entry.BarWeighed kept = (Entry.BarWeighed) application
                .bean(BatchService.class)
                .get(ferry)
                .log()
                .find(line)
                .orElseThrow()
                .entry();
        assertThat(kept.mass().grams()).isEqualTo(104.5);
        assertThat(application
                        .bean(BatchService.class)
                        .get(ferry)
                        .log()
                        .find(line)
                        .orElseThrow()
                        .current()
                        .by())
                .startsWith("scale")
                .endsWith(", for Ines Harrow");
        // The same as an entry, taken out and sent in again.
        JsonNode told = JSON.readTree(
                        get(token, "/api/v1/batches/" + ferry + "/lines").body())
                .get("lines");
        JsonNode entry = told.valueStream()
                .filter(l -> l.get("id").asString().equals(line))
                .findFirst()
                .orElseThrow()
                .get("entry");
        assertThat(add(token, ferry, "{\"entry\": " + entry + "}", "").statusCode())
                .isEqualTo(201);
    }

    @Test
    void refusesInWordsWhatItDoesNotTake() throws Exception {
        String measures = token("probe", "&scopes=MEASURE");
        String writes = token("counter", "&scopes=READ&scopes=WRITE");
        BatchId lavender = batch("Net Loft Lavender");
        int before = lines(lavender);
        record Refused(String body, int status, String why) {}
        for (Refused r : List.of(
                new Refused("{", 400, "no JSON"),
                new Refused("", 400, ""),
                new Refused("[]", 400, "wants an object"),
                new Refused("{}", 400, "one of entry and says"),
                new Refused("{\"says\": \"pH 9 strip\", \"att\": 1}", 400, "no field \\\"att\\\""),
                new Refused("{\"says\": \"pH 9 strip\", \"says\": \"pH 10 strip\"}", 400, "no JSON"),
                new Refused("{\"says\": \"the cat sat on it\"}", 422, "maybe"),
                new Refused("{\"says\": \"pH 99 strip\"}", 422, ""),
                new Refused("{\"says\": \"pH 9 strip\", \"at\": \"yesterday\"}", 400, "ISO 8601"),
                new Refused("{\"says\": \"pH 9 strip\", \"at\": \"2090-01-01T00:00:00Z\"}", 422, "still to come"),
                new Refused("{\"says\": \"pH 9 strip\", \"at\": \"1990-01-01T00:00:00Z\"}", 422, "before the batch"),
                new Refused("{\"entry\": {\"type\": \"ph\", \"ph\": 9}}", 400, "lacks something"),
                new Refused("{\"entry\": {\"type\": \"note\", \"text\": \"hello\", \"v\": 9}}", 400, "of version 9"),
                new Refused("{\"entry\": {\"type\": \"ready\", \"checks\": [\"GLOVES\"]}}", 403, "A person does that"),
                new Refused("{\"entry\": {\"type\": \"no-such-thing\"}}", 400, "batch.schema.json"),
                new Refused("{\"entry\": {\"type\": \"released\", \"reason\": \"fine\"}}", 403, "A person does that"),
                new Refused("{\"entry\": {\"type\": \"held\", \"reason\": \"odd\"}}", 403, "A person does that"))) {
            HttpResponse<String> answer = add(writes, lavender, r.body(), "");
            assertThat(answer.statusCode()).as(r.body() + " " + answer.body()).isEqualTo(r.status());
            assertThat(answer.body()).as(r.body()).contains(r.why());
        }
        assertThat(add(measures, lavender, "{\"says\": \"5 bars sold\"}", "").statusCode())
                .isIn(403, 422);
        assertThat(add(measures, lavender, "{\"entry\": {\"type\": \"note\", \"text\": \"hello\"}}", "")
                        .body())
                .contains("add measurements alone");
        assertThat(lines(lavender)).isEqualTo(before);
        assertThat(add(
                                writes,
                                lavender,
                                "{\"entry\": {\"type\": \"note\", \"text\": \"hello\", \"tone\": \"loud\"}}",
                                "")
                        .body())
                .contains("no field \\\"tone\\\"");
        assertThat(lines(lavender)).isEqualTo(before);
    }

    @Test
    void aTokenEndsWithWhoeverMadeItOnItsDayAndWhenItIsWithdrawn() throws Exception {
        AccountService accounts = application.bean(AccountService.class);
        accounts.create("tove", "Tove", "lye-into-water", Role.OWNER);
        Client tove = new Client(application.address()).signIn("tove");
        String hers = token(tove, "hers", "&scopes=READ");
        assertThat(get(hers, "/api/v1/batches").statusCode()).isEqualTo(200);
        ines.post("/people/role", Map.of("name", "tove", "role", "VIEWER", "active", "true"));
        assertThat(get(hers, "/api/v1/batches").statusCode()).isEqualTo(401);
        ines.post("/people/role", Map.of("name", "tove", "role", "MAKER", "active", "true"));
        assertThat(get(hers, "/api/v1/batches").statusCode()).isEqualTo(200);
        ines.post("/people/role", Map.of("name", "tove", "role", "MAKER"));
        assertThat(get(hers, "/api/v1/batches").statusCode()).isEqualTo(401);
        assertThat(new Client(application.address())
                        .signIn("odd")
                        .get("/people/tokens")
                        .statusCode())
                .isEqualTo(403);

        String gone = token("to withdraw", "&scopes=READ");
        String id = ines.get("/people/tokens")
                .body()
                .replaceFirst(".*/people/tokens/([0-9a-f-]{36})/withdraw.*?Withdraw to withdraw.*", "$1");
        ines.post("/people/tokens/" + id + "/withdraw", Map.of());
        assertThat(get(gone, "/api/v1/batches").statusCode()).isEqualTo(401);
        assertThat(ines.post("/people/tokens", Map.of("name", "", "endsOn", "1990-01-01"))
                        .body())
                .contains("is over", "value=\"1990-01-01\"");
    }

    @Test
    void aTokenAsksOnlySoOftenAndAStrangerShutsNobodyOut() throws Exception {
        String token = token("eager", "&scopes=READ");
        int answered = 0;
        HttpResponse<String> last = get(token, "/api/v1/batches?limit=1");
        while (last.statusCode() == 200 && answered < 1000) {
            answered++;
            last = get(token, "/api/v1/batches?limit=1");
        }
        assertThat(answered).isEqualTo(600);
        assertThat(last.statusCode()).isEqualTo(429);
        assertThat(last.headers().firstValue("Retry-After")).hasValue("1");
        String calm = token("calm", "&scopes=READ");
        for (int i = 0; i < 60; i++) {
            get("wrong", "/api/v1/batches");
        }
        assertThat(get("wrong", "/api/v1/batches").statusCode()).isEqualTo(429);
        assertThat(get(calm, "/api/v1/batches").statusCode()).isEqualTo(200);
        CLOCK.pass(Duration.ofMinutes(1));
        assertThat(get(token, "/api/v1/batches?limit=1").statusCode()).isEqualTo(200);
        assertThat(get("wrong", "/api/v1/batches").statusCode()).isEqualTo(401);
    }
}
