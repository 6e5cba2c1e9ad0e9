package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A sign of a hazard that was once there. It stands, whatever probabilities say, until the same kind of test on another
 * bar, three days later or more, is calm, and a titration or a meter after the sign supports it. What burned while it
 * was still being made is settled by one calm test of its kind once that means something; free alkali, by all
 * titrations together. A sign that was taken back, or amended into something calm, wants one calm test of its kind
 * after it: whoever tapped wrongly puts that right at once.
 */
public final class SignHistory {

    private static final Duration AGAIN_AFTER = Duration.ofDays(3);

    /** So long after it was written down a line is put right because it was mistyped (a judgement). */
    private static final Duration SLIP_OF_THE_FINGER = Duration.ofMinutes(10);

    /** On the first day every soap is caustic, and whatever stings then is no sign. */
    private static final Duration FIRST_DAY = Duration.ofDays(1);

    /** Kinds of tests that can burn. */
    private enum Kind {
        WASH("a burning wash", "wash with another bar", true),
        TONGUE("a sting on the tongue", "the same with another bar", true),
        ALKALI("free alkali", "titrate another bar", false),
        WEEPING("weeping dots", "cut other bars and look for them after an hour under a glass", false);

        private final String sign;
        private final String again;
        private final boolean onSkin;

        Kind(String sign, String again, boolean onSkin) {
            this.sign = sign;
            this.again = again;
            this.onSkin = onSkin;
        }
    }

    /**
     * What one line says of one kind.
     *
     * @param measured whether an instrument says so
     * @param byItself whether it is a test of its own: "another wash was calm" says only that one did not repeat what
     *     another showed
     * @param young whether it was tested before that means something
     * @param counts whether it may count in favour: of soap that is old enough and out of its mould
     * @param titration whether it is one: a pen says less, and clears none that was taken back
     * @param takenBack whether it does not stand any more, and stood for longer than a slip of the finger does
     */
    private record Said(
            Kind kind,
            Instant at,
            boolean bad,
            boolean measured,
            boolean byItself,
            boolean young,
            boolean counts,
            boolean titration,
            boolean takenBack,
            @Nullable Bars on) {

        /** The same kind of test, and calm, on what is not certainly the same bar. */
        boolean clears(Said sign) {
            boolean soon = sign.young || sign.takenBack;
            Instant from = soon ? sign.at : sign.at.plus(AGAIN_AFTER);
            boolean later = sign.takenBack ? at.isAfter(from) : !at.isBefore(from);
            return kind == sign.kind
                    && !bad
                    && counts
                    && !takenBack
                    && later
                    && (titration || !(sign.titration && sign.takenBack))
                    && (soon || !Bars.areTheSame(on, sign.on));
        }

        Said asTakenBack() {
            return new Said(kind, at, bad, measured, byItself, young, false, titration, true, on);
        }
    }

    private final Kind kind;
    private final long day;
    private final boolean repeated;
    private final boolean supported;
    private final boolean takenBack;

    private SignHistory(Kind kind, long day, boolean repeated, boolean supported, boolean takenBack) {
        this.takenBack = takenBack;
        this.kind = kind;
        this.day = day;
        this.repeated = repeated;
        this.supported = supported;
    }

    /** Of each kind that ever was there. */
    public static List<SignHistory> of(BatchFacts facts) {
        List<Said> said = said(facts);
        return Arrays.stream(Kind.values())
                .flatMap(k -> of(k, said, facts).stream())
                .toList();
    }

    private static Optional<SignHistory> of(Kind kind, List<Said> said, BatchFacts facts) {
        Instant begun = facts.log().begun();
        // What was seen of it before it was melted down stands as well.
        Instant meant = facts.firstSoapSince().orElse(begun).plus(FIRST_DAY);
        boolean together = kind == Kind.ALKALI
                && FreeAlkali.of(facts).filter(FreeAlkali::isBeyondLimit).isPresent();
        return said.stream()
                .filter(s -> s.kind() == kind && (s.bad() || together && s.measured()) && !s.at().isBefore(meant))
                .max(Comparator.comparing(Said::at))
                .map(last -> {
                    boolean repeated = !together && said.stream().anyMatch(s -> s.clears(last));
                    boolean supported = last.young()
                            || last.takenBack()
                            || said.stream()
                                    .anyMatch(s -> s.measured() && !s.bad() && s.counts() && s.at().isAfter(last.at()));
                    return new SignHistory(
                            kind, Duration.between(begun, last.at()).toDays(), repeated, supported, last.takenBack());
                });
    }

    public boolean stands() {
        return !repeated || !supported;
    }

    public Phrase words() {
        String sign = kind.sign + " on day " + day;
        if (takenBack) {
            return Phrase.of(sign
                    + (stands()
                            ? " was written down and taken back: " + kind.again + " once more"
                            : " was taken back, and a later test is calm"));
        }
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

    /**
     * What a wash or a measurement of soap that is old enough, and out of its mould, found to be calm; in words. Empty
     * where none did.
     */
    public static Optional<Phrase> calmTest(BatchFacts facts) {
        Optional<FreeAlkali> measured = FreeAlkali.of(facts);
        if (measured.isPresent()) {
            // A number comes before a feeling, whichever way it went.
            FreeAlkali found = measured.get();
            Phrase told = Phrase.of(
                    "measured: {} % free alkali, give or take {}; the limit is {}",
                    number(found.percent().value()),
                    number(found.percent().standardDeviation()),
                    number(FreeAlkali.LIMIT_PERCENT));
            return found.isWithinLimit() ? Optional.of(told) : Optional.empty();
        }
        return said(facts).stream()
                .filter(s -> s.kind() == Kind.WASH && !s.bad() && s.byItself() && s.counts())
                .max(Comparator.comparing(Said::at))
                .map(s -> Phrase.of("a calm wash on day "
                        + Duration.between(facts.log().begun(), s.at()).toDays()));
    }

    private static Exactly number(double percent) {
        return new Exactly(percent, 2);
    }

    private static List<Said> said(BatchFacts facts) {
        return facts.log().all().stream()
                .flatMap(line -> Stream.concat(
                        takenBack(line, facts),
                        line.current().withdrawn() ? Stream.empty() : said(line, facts).stream()))
                .toList();
    }

    /** Signs that a line said once and does not say any more. */
    private static Stream<Said> takenBack(LoggedEntry line, BatchFacts facts) {
        if (line.earlier().isEmpty()) {
            return Stream.empty();
        }
        List<LoggedEntry.Revision> all = new ArrayList<>(line.earlier());
        all.add(line.current());
        boolean still = !line.current().withdrawn()
                && said(line, facts).filter(Said::bad).isPresent();
        return still
                ? Stream.empty()
                : IntStream.range(0, all.size() - 1)
                        .filter(i -> !all.get(i).withdrawn()
                                && all.get(i + 1)
                                        .recordedAt()
                                        .isAfter(all.get(i).recordedAt().plus(SLIP_OF_THE_FINGER)))
                        .boxed()
                        .flatMap(i -> said(new LoggedEntry(line.id(), all.get(i), List.of()), facts).stream())
                        .filter(Said::bad)
                        .map(Said::asTakenBack);
    }

    private static Optional<Said> said(LoggedEntry line, BatchFacts facts) {
        Entry entry = line.entry();
        boolean skin = facts.isTestOnSkin(line.at());
        boolean sample = facts.isMeasurement(line.at());
        if (entry instanceof Entry.WashTested wash && wash.feel() != WashFeel.TIGHT) {
            return Optional.of(new Said(
                    Kind.WASH,
                    line.at(),
                    wash.feel() == WashFeel.BURNING,
                    false,
                    true,
                    FreeAlkali.isYoung(facts, line.at()),
                    skin,
                    false,
                    false,
                    wash.on()));
        }
        if (entry instanceof Entry.Titrated titrated) {
            boolean beyond = FreeAlkali.isBeyondLimit(titrated, facts, line.at());
            boolean within = titrated.freeAlkaliPercent() <= FreeAlkali.LIMIT_PERCENT;
            return Optional.of(new Said(
                    Kind.ALKALI, line.at(), beyond, true, true, false, sample && within, true, false, titrated.on()));
        }
        if (entry instanceof Entry.PhRead read && read.method() != PhMethod.STRIP) {
            return Optional.of(new Said(
                    Kind.ALKALI,
                    line.at(),
                    read.ph() >= EvidenceReader.HIGH_SOLUTION,
                    true,
                    true,
                    FreeAlkali.isYoung(facts, line.at()),
                    sample,
                    false,
                    false,
                    read.on()));
        }
        if (entry instanceof Entry.Observed seen) {
            boolean byItself = !seen.finding().equals(Findings.BURNS_AGAIN.id());
            return kind(seen.finding())
                    .map(k -> new Said(
                            k,
                            line.at(),
                            seen.presence() == Presence.SEEN,
                            false,
                            byItself,
                            FreeAlkali.isYoung(facts, line.at()),
                            k.onSkin ? skin : sample,
                            false,
                            false,
                            seen.on()));
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
