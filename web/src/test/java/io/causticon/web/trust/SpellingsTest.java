package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.Application;
import io.causticon.web.harness.Client;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.store.batch.BatchService;
import java.io.UncheckedIOException;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.springframework.web.bind.annotation.RequestMethod;

/** However an address is spelled, it is the same address or none: never a way round a rule. */
@Application
class SpellingsTest {

    private static final long SEED = Long.getLong("causticon.hostile.seed", 8424);

    /** All spellings of all addresses where it is asked for at length, two of each in the test command. */
    private static final boolean ALL = Integer.getInteger("causticon.hostile", 0) > 1000;

    private static final int FEW = 2;
    /** Nothing is there, or nothing that she may do, or she asks too often: what is not known is closed. */
    private static final Set<Integer> NO_WAY_IN = Set.of(400, 403, 404, 405, 429);

    /** What counts tries ({@code DoorsTest} spells those), or ends the sign-in that this asks with. */
    private static final Set<String> NOT_SENT_TO = Set.of(
            "/sign-in",
            "/first-visit",
            "/sign-out",
            "/again",
            "/settings/sign-out-everywhere",
            "/settings/password");

    private static final Map<String, UnaryOperator<String>> SPELLINGS = new LinkedHashMap<>();

    static {
        SPELLINGS.put("a letter encoded", p -> encoded(p, 1));
        SPELLINGS.put("its last letter encoded", p -> p.length() < 2 ? p : encoded(p, p.length() - 1));
        SPELLINGS.put("a slash more before", p -> "/" + p);
        SPELLINGS.put("a slash more within", p -> p.replaceFirst("(?<=.)/", "//"));
        SPELLINGS.put("a slash more behind", p -> p + "/");
        SPELLINGS.put("capitals", p -> p.toUpperCase(Locale.ROOT));
        SPELLINGS.put("a parameter", p -> p + ";a=b");
        SPELLINGS.put("a parameter within", p -> p.replaceFirst("(?<=[a-z])(?=/|$)", ";a=b"));
        SPELLINGS.put("a dot behind", p -> p + ".");
        SPELLINGS.put("an ending", p -> p + ".json");
        SPELLINGS.put("a step that leads nowhere", p -> "/." + p);
        SPELLINGS.put("a step there and back", p -> "/css/.." + p);
        SPELLINGS.put("the same step encoded", p -> "/css/%2e%2e" + p);
        SPELLINGS.put("a slash encoded", p -> "/" + p.substring(1).replaceFirst("/", "%2F"));
        SPELLINGS.put(
                "encoded twice",
                p -> p.length() < 2 ? p : "/%25" + Integer.toHexString(p.charAt(1)) + p.substring(2));
        SPELLINGS.put("a blank behind", p -> p + "%20");
        SPELLINGS.put("nothing behind", p -> p + "%00");
    }

    private static String encoded(String path, int at) {
        return path.length() <= at
                ? path
                : path.substring(0, at) + "%" + Integer.toHexString(path.charAt(at)) + path.substring(at + 1);
    }

    /** What came of an address. */
    private record Answer(int status, String led) {

        /** A stranger is led to the door wherever nothing is. */
        boolean isAsPlainAs(Answer plain, boolean known) {
            return equals(plain) || NO_WAY_IN.contains(status) || !known && led.equals("/sign-in");
        }
    }

    private final Random random = new Random(SEED);

    @Test
    void ofAnAddressAreThatAddressOrNone(RunningApplication application) {
        List<String> paths = paths(application, RequestMethod.GET);
        List<String> otherwise = new ArrayList<>();
        for (String who : List.of("", "guest", "odd")) {
            otherwise.addAll(otherwise(application, who, paths, Client::get));
        }
        assertThat(otherwise).isEmpty();
    }

    /** By whoever may not change anything, and of what belongs to the owner by a maker too. */
    @Test
    void ofAnAddressThatChangesSomethingToo(RunningApplication application) {
        List<String> paths = paths(application, RequestMethod.POST).stream()
                .filter(p -> !NOT_SENT_TO.contains(p))
                .toList();
        List<String> otherwise = new ArrayList<>();
        for (String who : List.of("", "guest")) {
            otherwise.addAll(otherwise(application, who, paths, SpellingsTest::send));
        }
        List<String> ofTheOwner = paths.stream()
                .filter(p -> p.startsWith("/people") || p.startsWith("/backups"))
                .toList();
        otherwise.addAll(otherwise(application, "odd", ofTheOwner, SpellingsTest::send));
        assertThat(otherwise).isEmpty();
    }

    private static HttpResponse<String> send(Client client, String path) {
        return client.post(path, Map.of("name", "spelled"));
    }

    private List<String> otherwise(
            RunningApplication application,
            String who,
            List<String> paths,
            BiFunction<Client, String, HttpResponse<String>> way) {
        Client client = new Client(application.address());
        if (who.isEmpty()) {
            client.get("/sign-in");
        } else {
            client.signIn(who);
        }
        List<String> otherwise = new ArrayList<>();
        for (String path : paths) {
            Answer plain = ask(client, path, way);
            spellings().forEach((name, spelling) -> {
                Answer answer = ask(client, spelling.apply(path), way);
                if (!answer.isAsPlainAs(plain, !who.isEmpty())) {
                    otherwise.add("%s as %s, %s: %s, not %s".formatted(spelling.apply(path), who, name, answer, plain));
                }
            });
        }
        return otherwise;
    }

    private Map<String, UnaryOperator<String>> spellings() {
        List<String> names = new ArrayList<>(SPELLINGS.keySet());
        Collections.shuffle(names, random);
        Map<String, UnaryOperator<String>> some = new LinkedHashMap<>();
        names.stream().limit(ALL ? names.size() : FEW).forEach(n -> some.put(n, SPELLINGS.get(n)));
        return some;
    }

    /** Each address that is asked so, with a batch wherever it wants something named; a live feed does not end. */
    private static List<String> paths(RunningApplication application, RequestMethod method) {
        String batch =
                application.bean(BatchService.class).all().get(0).id().toString();
        return application.addresses().getHandlerMethods().keySet().stream()
                .filter(info -> info.getMethodsCondition().getMethods().contains(method))
                .flatMap(info -> info.getPatternValues().stream())
                .map(p -> p.replaceAll("\\{kind[^}]*}", "batch").replaceAll("\\{[^}]*}", batch))
                .filter(p -> !p.endsWith("/live"))
                .distinct()
                .sorted()
                .toList();
    }

    private static Answer ask(Client client, String path, BiFunction<Client, String, HttpResponse<String>> way) {
        try {
            HttpResponse<String> answer = way.apply(client, path);
            return new Answer(
                    answer.statusCode(), answer.headers().firstValue("Location").orElse(""));
        } catch (UncheckedIOException e) {
            // Hung up on: what is no request.
            return new Answer(400, "");
        }
    }
}
