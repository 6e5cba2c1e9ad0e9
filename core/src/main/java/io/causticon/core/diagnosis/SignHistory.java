package io.causticon.core.diagnosis;

import io.causticon.core.formula.Portioning.LyeRoute;
import io.causticon.core.formula.Portioning;
import io.causticon.core.observation.Bars;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.LoggedEntry;
import io.causticon.core.observation.PhMethod;
import io.causticon.core.observation.Presence;
import io.causticon.core.observation.WashFeel;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A sign of a hazard that was once there. It stands, whatever probabilities say, until the same kind of test on another bar, three days later or
 * more, is calm, and a titration or a meter after the sign supports it.
 */
final class SignHistory {

    private static final Duration AGAIN_AFTER = Duration.ofDays(3);
    private static final Duration TEST_FROM = Duration.ofDays(1);

    /** Kinds of tests that can burn. */
    private enum Kind {
        WASH("a burning wash", "wash with another bar"),
        TONGUE("a sting on the tongue", "the same with another bar"),
        ALKALI("free alkali", "titrate another bar"),
        WEEPING("weeping dots", "cut other bars and look for them after an hour under a glass");

        private final String sign;
        private final String again;

        Kind(String sign, String again) {
            this.sign = sign;
            this.again = again;
        }
    }

    /**
     * What one line says of one kind.
     *
     * @param byItself whether it is a test of its own: "another wash was calm" says only that one did not repeat what another showed
     */
    private record Said(Kind kind, Instant at, boolean bad, boolean measured, boolean byItself, @Nullable Bars on) {

        /** Of which part it was said; empty where it was not. */
        String part() {
            return on == null || on.portion() == null ? "" : on.portion().name().trim();
        }

        /** The same kind of test, and calm, on what is not certainly the same bar. */
        boolean clears(Said sign) {
            return kind == sign.kind && !bad && !at.isBefore(sign.at.plus(AGAIN_AFTER)) && !Bars.areTheSame(on, sign.on);
        }
    }

    private final Kind kind;
    private final String part;
    private final long day;
    private final boolean repeated;
    private final boolean supported;

    private SignHistory(Kind kind, String part, long day, boolean repeated, boolean supported) {
        this.kind = kind;
        this.part = part;
        this.day = day;
        this.repeated = repeated;
        this.supported = supported;
    }

    /** Of each kind that ever was there; where each part had lye of its own, of each part by itself. */
    static List<SignHistory> of(BatchFacts facts) {
        Instant begun = facts.log().begun();
        return byPart(facts).entrySet().stream()
                .flatMap(part -> Arrays.stream(Kind.values()).flatMap(k -> of(k, part.getKey(), part.getValue(), begun).stream()))
                .toList();
    }

    /** What is said of each part that has lye of its own; under no name what is said of the batch. */
    private static Map<String, List<Said>> byPart(BatchFacts facts) {
        boolean apart = facts.plan().pouring().portioning().route() != LyeRoute.TOGETHER;
        return said(facts.log()).stream().collect(Collectors.groupingBy(s -> apart ? s.part() : "", LinkedHashMap::new, Collectors.toList()));
    }

    /** Parts with lye of their own of which no test was calm: the lye of one says nothing of the next. */
    static List<String> untested(BatchFacts facts) {
        Portioning portioning = facts.plan().pouring().portioning();
        if (portioning.route() == LyeRoute.TOGETHER) {
            return List.of();
        }
        return portioning.portions().stream()
                .map(p -> p.name().trim())
                .filter(name -> said(facts.log()).stream().noneMatch(s -> s.part().equalsIgnoreCase(name) && isCalmTest(s, facts)))
                .toList();
    }

    private static boolean isCalmTest(Said s, BatchFacts facts) {
        Instant from = facts.rebatchedAt().orElse(facts.log().begun());
        boolean test = !s.bad() && s.byItself() && (s.kind() == Kind.WASH || s.kind() == Kind.ALKALI && s.measured());
        return test && Duration.between(from, s.at()).compareTo(TEST_FROM) >= 0;
    }

    private static Optional<SignHistory> of(Kind kind, String part, List<Said> said, Instant begun) {
        // On the first day every soap is caustic.
        Instant meant = begun.plus(TEST_FROM);
        return said.stream().filter(s -> s.kind() == kind && s.bad() && !s.at().isBefore(meant)).max(Comparator.comparing(Said::at)).map(last -> {
            boolean repeated = said.stream().anyMatch(s -> s.clears(last));
            boolean supported = said.stream().anyMatch(s -> s.measured() && !s.bad() && s.at().isAfter(last.at()));
            return new SignHistory(kind, part, Duration.between(begun, last.at()).toDays(), repeated, supported);
        });
    }

    boolean stands() {
        return !repeated || !supported;
    }

    Phrase words() {
        String sign = kind.sign + (part.isEmpty() ? "" : " of " + part) + " on day " + day;
        if (!stands()) {
            return Phrase.of(sign + " was repeated and is calm, and a measurement supports it");
        }
        List<String> wanted = new ArrayList<>();
        if (!supported && (repeated || kind != Kind.ALKALI)) {
            wanted.add("titrate, or read one per cent in water with a pen");
        }
        if (!repeated) {
            wanted.add((wanted.isEmpty() ? "" : "when that is calm, ") + kind.again + ", three days later or more");
        }
        return Phrase.of(sign + " stands: " + String.join("; ", wanted));
    }

    /** The last wash or titration that was calm, of a batch a day old or more; of one that was melted down again, of what came of it. */
    static Optional<String> calmTest(BatchFacts facts) {
        BatchLog log = facts.log();
        return said(log).stream()
                .filter(s -> isCalmTest(s, facts))
                .max(Comparator.comparing(Said::at))
                .map(s -> (s.kind() == Kind.WASH ? "a calm wash" : "measured: no free alkali") + " on day "
                        + Duration.between(log.begun(), s.at()).toDays());
    }

    private static List<Said> said(BatchLog log) {
        return log.entries().stream().flatMap(line -> said(line).stream()).toList();
    }

    private static Optional<Said> said(LoggedEntry line) {
        Entry entry = line.entry();
        if (entry instanceof Entry.WashTested wash && wash.feel() != WashFeel.TIGHT) {
            return Optional.of(new Said(Kind.WASH, line.at(), wash.feel() == WashFeel.BURNING, false, true, wash.on()));
        }
        if (entry instanceof Entry.Titrated titrated) {
            return Optional.of(new Said(Kind.ALKALI, line.at(), titrated.freeAlkaliPercent() >= EvidenceReader.NOTABLE_FREE_ALKALI, true, true, titrated.on()));
        }
        if (entry instanceof Entry.PhRead read && read.method() != PhMethod.STRIP) {
            return Optional.of(new Said(Kind.ALKALI, line.at(), read.ph() >= EvidenceReader.HIGH_SOLUTION, true, true, read.on()));
        }
        if (entry instanceof Entry.Observed seen) {
            boolean byItself = !seen.finding().equals(Findings.BURNS_AGAIN.id());
            return kind(seen.finding()).map(k -> new Said(k, line.at(), seen.presence() == Presence.SEEN, false, byItself, seen.on()));
        }
        return Optional.empty();
    }

    private static Optional<Kind> kind(String finding) {
        if (finding.equals(Findings.WASH_BURNS.id()) || finding.equals(Findings.BURNS_AGAIN.id())) {
            return Optional.of(Kind.WASH);
        }
        if (finding.equals(Findings.ZAP.id())) {
            return Optional.of(Kind.TONGUE);
        }
        if (finding.equals(Findings.FREE_ALKALI.id()) || finding.equals(Findings.PINK_DROP.id())) {
            return Optional.of(Kind.ALKALI);
        }
        return finding.equals(Findings.WEEPING_DOTS.id()) ? Optional.of(Kind.WEEPING) : Optional.empty();
    }
}
