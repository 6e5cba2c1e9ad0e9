package io.causticon.web.places.audit;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Entry;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.audit.AuditTrail;
import io.causticon.web.store.audit.Deeds;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.RequestMethod;

/** Who did what. */
@Application
class AuditTest {

    /** What works something out and keeps nothing, and what has no person behind it. */
    private static final Set<String> NO_DEED = Set.of(
            "/rework/ask",
            "/plan/first/read",
            "/plan/reckon",
            "/plan/rows",
            "/plan/change",
            "/plan/gel",
            "/plan/scale",
            "/plan/size",
            "/plan/powder",
            "/plan/cups",
            "/plan/up/{list}",
            "/plan/even",
            "/plan/fit",
            "/ingest",
            "/error");

    private static final int TRIES = 300;

    private final RunningApplication application = RunningApplication.get();

    /** What was done is written behind whoever did it: each try waits for what is being written, and asks anew. */
    private void waitUntil(BooleanSupplier holds) {
        boolean held = holds.getAsBoolean();
        for (int tries = 0; tries < TRIES && !held; tries++) {
            application.bean(Deeds.class).awaitWritten();
            held = holds.getAsBoolean();
        }
        assertThat(held).isTrue();
    }

    @Test
    void everyFormHasItsWords() {
        Set<String> patterns = new TreeSet<>();
        application.addresses().getHandlerMethods().keySet().stream()
                .filter(m -> m.getMethodsCondition().getMethods().contains(RequestMethod.POST))
                .forEach(m -> patterns.addAll(m.getPatternValues()));
        assertThat(patterns).isNotEmpty();
        List<String> without = new ArrayList<>(patterns);
        without.removeIf(p -> NO_DEED.contains(p) || DeedWords.of(p).isPresent());
        assertThat(without)
                .as("addresses of which no one would know what was done there")
                .isEmpty();
        assertThat(patterns).as("and none that is no more").containsAll(DeedWords.patterns());
    }

    @Test
    void tellsWhoDidWhatFromWhereAndBothVersionsOfALine() {
        Client odd = new Client(application.address()).signIn("odd");
        BatchId batch = application.bean(BatchService.class).all().get(4).id();
        odd.get("/batch/" + batch);
        assertThat(odd.post(
                                "/batch/" + batch + "/log",
                                Map.of(
                                        "quick",
                                        "bar 101.5 g",
                                        "key",
                                        UUID.randomUUID().toString()))
                        .statusCode())
                .isLessThan(400);
        Client ines = new Client(application.address()).signIn("ines");
        waitUntil(() -> ines.get("/people/audit?name=odd")
                .body()
                .contains(application.bean(BatchService.class).get(batch).name()));
        assertThat(ines.get("/people/audit?name=odd").body())
                .contains("logged", "a program", "127.0.0.1", "signed in")
                .doesNotContain("<td>ines</td>");
        assertThat(ines.get("/people/audit.csv").body())
                .startsWith("number,done_at,name,what,subject,device")
                .contains("odd,logged," + batch);

        String line = application.bean(BatchService.class).get(batch).log().all().stream()
                .filter(l -> l.entry() instanceof Entry.BarWeighed b
                        && Math.abs(b.mass().grams() - 101.5) < 0.01)
                .findFirst()
                .orElseThrow()
                .id();
        odd.get("/batch/" + batch + "/line/" + line);
        odd.post(
                "/batch/" + batch + "/line/" + line,
                Map.of(
                        "quick",
                        "bar 105.5 g",
                        "revision",
                        "1",
                        "at",
                        "",
                        "key",
                        UUID.randomUUID().toString()));
        assertThat(ines.get("/people/audit").body()).contains("bar 101.5 g", "bar 105.5 g");
        assertThat(ines.get("/people/amendments.csv").body()).contains("bar 101.5 g", "bar 105.5 g");
        assertThat(odd.get("/people/audit").statusCode()).isEqualTo(403);
    }

    @Test
    void tellsWhoWasNotLetIn() {
        Client stranger = new Client(application.address());
        stranger.get("/sign-in");
        stranger.post("/sign-in", Map.of("name", "nobody-of-ours", "password", "wrong-wrong-wrong"));
        Client ines = new Client(application.address()).signIn("ines");
        waitUntil(() -> ines.get("/people/audit?name=nobody-of-ours").body().contains("was not let in"));
    }

    private List<String> trailOf(String name) {
        application.bean(Deeds.class).awaitWritten();
        return application.bean(AuditTrail.class).done(Long.MAX_VALUE, name, 400).stream()
                .map(AuditTrail.Done::what)
                .toList();
    }

    private static long count(List<String> trail, String what) {
        return trail.stream().filter(what::equals).count();
    }

    /** The trail holds what was done, and what was refused as that. */
    @Test
    void whatWasRefusedIsNotToldAsDone() {
        Client odd = new Client(application.address()).signIn("odd");
        long before = count(trailOf("odd"), "changed her password");
        for (int i = 0; i < 4; i++) {
            odd.post("/settings/password", Map.of("old", "guess-" + i, "password", "another-one-" + i));
        }
        odd.post("/settings", Map.of("mass", "GRAM", "temperature", "CELSIUS", "theme", "day"));
        List<String> after = trailOf("odd");
        assertThat(count(after, "changed her password")).isEqualTo(before);
        assertThat(count(after, "sent, and nothing was changed: changed her password"))
                .isGreaterThanOrEqualTo(4);
        assertThat(after.get(0))
                .isIn("changed her own settings", "sent, and nothing was changed: changed her password");
        assertThat(after).contains("changed her own settings");

        Client ines = new Client(application.address()).signIn("ines");
        ines.post("/people/role", Map.of("name", "ines", "role", "VIEWER", "active", "true"));
        assertThat(trailOf("ines"))
                .doesNotContain("changed what somebody may do")
                .contains("sent, and nothing was changed: changed what somebody may do");
    }

    @Test
    void whoMayNotWhoLeavesAndWhatIsTakenAwayIsTold() {
        Client guest = new Client(application.address()).signIn("guest");
        guest.post("/people", Map.of("name", "x", "displayName", "X", "password", "long-enough-1", "role", "OWNER"));
        guest.post("/sign-out", Map.of());
        assertThat(trailOf("guest")).contains("was refused: she may not do that", "signed out", "signed in");
        Client ines = new Client(application.address()).signIn("ines");
        ines.bytes("/people/audit.csv");
        assertThat(trailOf("ines")).contains("took the trail away");
    }

    @Test
    void howItDoesIsForTheOwner() {
        Client ines = new Client(application.address()).signIn("ines");
        assertThat(ines.get("/people/actuator/health").body()).contains("\"status\":\"UP\"");
        assertThat(ines.get("/people/actuator/metrics/jvm.memory.used").body()).contains("jvm.memory.used");
        assertThat(ines.get("/people/actuator/env").statusCode()).isEqualTo(404);
        assertThat(new Client(application.address())
                        .signIn("odd")
                        .get("/people/actuator/health")
                        .statusCode())
                .isEqualTo(403);
    }

    @Test
    void whateverABrowserSaysOfItselfCanBeWrittenDown() {
        assertThat(new Deeds.Device("0a1b2c3d4e5f.seal", "Mozilla (X11; Linux) Firefox/140", "127.0.0.1").words())
                .isEqualTo("Firefox on Linux 0a1b2c3d at 127.0.0.1");
        for (String known : List.of("", ".", "..", ".seal")) {
            assertThat(new Deeds.Device(known, "", "127.0.0.1").words())
                    .as(known)
                    .isEqualTo("a program at 127.0.0.1");
        }
    }
}
