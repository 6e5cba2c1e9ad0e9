package io.causticon.core.diagnosis;

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
import java.util.List;
import java.util.Optional;
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

        /** The same kind of test, and calm, on what is not certainly the same bar. */
        boolean clears(Said sign) {
            return kind == sign.kind && !bad && !at.isBefore(sign.at.plus(AGAIN_AFTER)) && !Bars.areTheSame(on, sign.on);
        }
    }

    private final Kind kind;
    private final long day;
    private final boolean repeated;
    private final boolean supported;

    private SignHistory(Kind kind, long day, boolean repeated, boolean supported) {
        this.kind = kind;
        this.day = day;
        this.repeated = repeated;
        this.supported = supported;
    }

    /** Of each kind that ever was there. */
    static List<SignHistory> of(BatchLog log) {
        List<Said> said = said(log);
        return Arrays.stream(Kind.values()).flatMap(k -> of(k, said, log.begun()).stream()).toList();
    }

    private static Optional<SignHistory> of(Kind kind, List<Said> said, Instant begun) {
        // On the first day every soap is caustic.
        Instant meant = begun.plus(TEST_FROM);
        return said.stream().filter(s -> s.kind() == kind && s.bad() && !s.at().isBefore(meant)).max(Comparator.comparing(Said::at)).map(last -> {
            boolean repeated = said.stream().anyMatch(s -> s.clears(last));
            boolean supported = said.stream().anyMatch(s -> s.measured() && !s.bad() && s.at().isAfter(last.at()));
            return new SignHistory(kind, Duration.between(begun, last.at()).toDays(), repeated, supported);
        });
    }

    boolean stands() {
        return !repeated || !supported;
    }

    Phrase words() {
        String sign = kind.sign + " on day " + day;
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
        Instant from = facts.rebatchedAt().orElse(log.begun());
        return said(log).stream()
                .filter(s -> !s.bad() && s.byItself() && (s.kind() == Kind.WASH || s.kind() == Kind.ALKALI && s.measured()))
                .filter(s -> Duration.between(from, s.at()).compareTo(TEST_FROM) >= 0)
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
