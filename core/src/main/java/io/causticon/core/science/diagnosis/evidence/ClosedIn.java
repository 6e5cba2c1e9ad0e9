package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/**
 * Where liquor can have been closed in, or fats and lye parted: the batter went solid, riced, curdled, set cold,
 * separated, or spots were seen. A clean top says nothing of the middle. It is settled by the faces of several bars and
 * by titrations of soap that is a day old or more; of spots that were seen on some bars, for who has no burette, by
 * still more faces and by washes with different bars, days apart.
 *
 * @param sign the first that was seen, in words; empty where there was none
 * @param kind what has to be settled, the most that any sign wants
 * @param spotsAlone whether spots are all that speaks for it
 * @param cleanBars on how many different bars the inside was looked at, and clean; of spots on several bars, on how
 *     many it was looked at
 * @param titratedBars of how many bars titrations are within the limit together; of spots on several bars, of how many
 *     of those that have them
 * @param washedBars with how many bars, days apart, a wash was calm
 */
public record ClosedIn(
        Optional<String> sign, Kind kind, boolean spotsAlone, int cleanBars, int titratedBars, int washedBars) {

    private static final ClosedIn NOWHERE = new ClosedIn(Optional.empty(), Kind.THICK, false, 0, 0, 0);

    /**
     * What is asked for (judgements: a pocket shows in the face of two bars of five, and one clean face says nothing of
     * the next).
     */
    public enum Kind {
        /** The batter closed over what was in it. */
        THICK(3, 1),
        /** Fats and lye parted: one sample says little of the next. */
        PARTED(5, 3),
        /** Something was seen inside one bar. */
        SPOTTED(5, 2),
        /** Inside more than one. */
        SPOTTED_OFTEN(5, 2);

        public final int faces;
        public final int samples;

        Kind(int faces, int samples) {
            this.faces = faces;
            this.samples = samples;
        }
    }

    /** Where nobody titrates, for spots alone. */
    public static final int FACES_WITHOUT_A_BURETTE = 6;

    /** A thick batter colder than that may have set rather than thickened (a judgement). */
    private static final Temperature COLD = Temperature.celsius(30);

    private static final Duration FIRST_CUT = Duration.ofHours(12);

    private static final Map<Stage, String> STAGES = new EnumMap<>(Map.of(
            Stage.MASH, "it was a mash",
            Stage.RICED, "it riced",
            Stage.CURDLED, "it curdled",
            Stage.SEPARATED, "it separated",
            Stage.FALSE_TRACE, "it set cold, a false trace"));

    private static final Map<Behaviour, String> BEHAVIOURS = new EnumMap<>(Map.of(
            Behaviour.SEIZED, "it seized",
            Behaviour.RICED, "it riced",
            Behaviour.CURDLED, "it curdled"));

    /** By the ids of findings. */
    private static final Map<String, String> FINDINGS = Map.of(
            Findings.SOLID_AT_ONCE.id(),
            "it went solid",
            Findings.HOT_MASH.id(),
            "it was a hot mash",
            "riced-grains",
            "it riced",
            "grainy-cool",
            "it set cold, a false trace",
            "lye-grains",
            "grains of lye were poured in",
            Findings.OIL_LAYER.id(),
            "oil or liquor stood on top",
            Findings.SOFT_BELOW.id(),
            "it was soft below a hard skin",
            Findings.PUDDLES.id(),
            "puddles stood on it",
            Findings.WHITE_SPOTS.id(),
            "spots were seen inside",
            Findings.WEEPING_DOTS.id(),
            "wet dots were seen");

    private static final Set<String> SPOTS = Set.of(Findings.WHITE_SPOTS.id(), Findings.WEEPING_DOTS.id());

    private static final Set<String> SPOTTED_WORDS =
            Set.of(FINDINGS.get(Findings.WHITE_SPOTS.id()), FINDINGS.get(Findings.WEEPING_DOTS.id()));

    private static final String IN_STREAKS = "it was poured before it was one colour";

    private static final Set<String> PARTED_WORDS = Set.of(
            "it separated", IN_STREAKS, FINDINGS.get(Findings.OIL_LAYER.id()), FINDINGS.get(Findings.SOFT_BELOW.id()));

    private static final Set<String> PARTED = Set.of(Findings.OIL_LAYER.id(), Findings.SOFT_BELOW.id());

    public static ClosedIn of(BatchFacts facts) {
        Map<Instant, String> signs = signs(facts);
        if (signs.isEmpty()) {
            return NOWHERE;
        }
        Spots spots = Spots.of(facts);
        Kind kind = kind(signs, spots);
        boolean often = kind == Kind.SPOTTED_OFTEN;
        boolean within = FreeAlkali.of(facts).filter(FreeAlkali::isWithinLimit).isPresent();
        return new ClosedIn(
                Optional.of(signs.values().iterator().next()),
                kind,
                !often && SPOTTED_WORDS.containsAll(signs.values()),
                spots.clean() + (often ? spots.shown() : 0),
                within
                        ? titratedBars(facts, often ? spots.names() : Set.of(), often ? spots.since() : Instant.MIN)
                        : 0,
                CalmWashes.bars(facts));
    }

    /**
     * @param clean on how many bars the inside was looked at and clean, beside those that showed something
     * @param shown on how many it showed something
     * @param names of those that did, where they were said
     * @param since when something was seen first
     */
    private record Spots(int clean, int shown, Set<String> names, Instant since) {

        static Spots of(BatchFacts facts) {
            Samples samples = new Samples();
            facts.log()
                    .of(Entry.Observed.class)
                    .filter(o -> counts(o.at(), facts))
                    .forEach(o -> Stream.of(Findings.WHITE_SPOTS, Findings.WEEPING_DOTS)
                            .filter(f -> o.entry().finding().equals(f.id()))
                            .forEach(f -> samples.add(
                                    f, o.entry().presence(), o.at(), o.entry().on())));
            int shown = Math.max(
                    samples.bars(Findings.WHITE_SPOTS, Presence.SEEN, Instant.MIN),
                    samples.bars(Findings.WEEPING_DOTS, Presence.SEEN, Instant.MIN));
            Set<String> names = new HashSet<>(samples.named(Findings.WHITE_SPOTS, Presence.SEEN));
            names.addAll(samples.named(Findings.WEEPING_DOTS, Presence.SEEN));
            Instant since = facts.log()
                    .of(Entry.Observed.class)
                    .filter(o -> o.entry().presence() == Presence.SEEN && SPOTS.contains(o.entry().finding()))
                    .map(BatchLog.Timed::at)
                    .min(Comparator.naturalOrder())
                    .orElse(Instant.MIN);
            return new Spots(
                    samples.barsBeside(Findings.WHITE_SPOTS, Instant.MIN),
                    Math.max(shown, names.size()),
                    names,
                    since);
        }
    }

    private static Kind kind(Map<Instant, String> signs, Spots spots) {
        if (signs.values().stream().anyMatch(SPOTTED_WORDS::contains)) {
            return spots.shown() > 1 ? Kind.SPOTTED_OFTEN : Kind.SPOTTED;
        }
        return signs.values().stream().anyMatch(PARTED_WORDS::contains) ? Kind.PARTED : Kind.THICK;
    }

    /**
     * @param those which bars count; empty for any
     * @param since from when on: nobody shaves spots that nobody has seen
     */
    private static int titratedBars(BatchFacts facts, Set<String> those, Instant since) {
        Samples titrated = new Samples();
        facts.log()
                .of(Entry.Titrated.class)
                .filter(t -> facts.isMeasurement(t.at()) && !t.at().isBefore(since))
                .forEach(t -> titrated.add(
                        Findings.FREE_ALKALI,
                        Presence.LOOKED_AND_ABSENT,
                        t.at(),
                        t.entry().on()));
        if (!those.isEmpty()) {
            return (int) titrated.named(Findings.FREE_ALKALI, Presence.LOOKED_AND_ABSENT).stream()
                    .filter(those::contains)
                    .count();
        }
        return titrated.bars(Findings.FREE_ALKALI, Presence.LOOKED_AND_ABSENT, Instant.MIN);
    }

    private static boolean counts(Instant at, BatchFacts facts) {
        return facts.soapSince()
                        .filter(since -> !at.isBefore(since.plus(FIRST_CUT)))
                        .isPresent()
                && !facts.meantSince().filter(at::isBefore).isPresent();
    }

    private static Map<Instant, String> signs(BatchFacts facts) {
        Map<Instant, String> signs = new TreeMap<>();
        BatchLog log = facts.log();
        log.of(Entry.StageReached.class)
                .filter(s -> STAGES.containsKey(s.entry().stage())
                        && !isStirredBack(s.entry().stage(), s.at(), log))
                .forEach(s -> signs.putIfAbsent(s.at(), STAGES.get(s.entry().stage())));
        log.of(Entry.Behaved.class)
                .filter(b -> BEHAVIOURS.containsKey(b.entry().how()))
                .forEach(b -> signs.putIfAbsent(b.at(), BEHAVIOURS.get(b.entry().how())));
        log.of(Entry.Observed.class)
                .filter(o -> o.entry().presence() == Presence.SEEN
                        && FINDINGS.containsKey(o.entry().finding()))
                .forEach(o -> signs.putIfAbsent(o.at(), FINDINGS.get(o.entry().finding())));
        coldAndThick(facts).ifPresent(at -> signs.putIfAbsent(at, "it was poured cold and thick"));
        facts.poured().filter(at -> pouredInStreaks(facts)).ifPresent(at -> signs.putIfAbsent(at, IN_STREAKS));
        facts.rebatchedAt().ifPresent(at -> signs.keySet().removeIf(at::isAfter));
        return signs;
    }

    /** What parted in the pot and came together again before it was poured is a batter like any other. */
    static boolean isStirredBack(Stage stage, Instant at, BatchLog log) {
        Instant poured = log.first(Entry.Poured.class).map(BatchLog.Timed::at).orElse(Instant.MAX);
        return stage == Stage.SEPARATED
                && at.isBefore(poured)
                && log.of(Entry.StageReached.class)
                        .anyMatch(s -> s.at().isAfter(at)
                                && !s.at().isAfter(poured)
                                && s.entry().stage().isAtLeast(Stage.LIGHT));
    }

    private static boolean pouredInStreaks(BatchFacts facts) {
        return facts.stageWhenPoured().filter(Stage.STREAKS::equals).isPresent();
    }

    private static Optional<Instant> coldAndThick(BatchFacts facts) {
        boolean thick =
                facts.stageWhenPoured().filter(s -> s.isAtLeast(Stage.THICK)).isPresent();
        boolean cold = facts.pouredAt().filter(COLD::isAbove).isPresent();
        return thick && cold ? facts.poured() : Optional.empty();
    }

    /** Whether what a face shows now says anything: before, lye that has not reacted yet may look like liquor. */
    public static boolean isTimeToLook(BatchFacts facts) {
        return counts(facts.now(), facts);
    }

    /** On how many bars spots or wet dots were looked for since it is cut, whatever came of it. */
    public static int facesLookedAt(BatchFacts facts) {
        Spots spots = Spots.of(facts);
        return spots.clean() + spots.shown();
    }

    /** Whether nothing has to be settled, or all of it is. */
    boolean isSettled() {
        return sign.isEmpty() || isCut() && isMeasured();
    }

    /** Whether as many faces were looked at as that takes. */
    public boolean isCut() {
        return cleanBars >= kind.faces;
    }

    /** Whether as many bars were titrated as that takes, or washed with and cut where that does as well. */
    public boolean isMeasured() {
        boolean washed = spotsAlone && cleanBars >= FACES_WITHOUT_A_BURETTE && washedBars >= CalmWashes.ENOUGH;
        return titratedBars >= kind.samples || washed;
    }

    /** Whether a look at the top or the bottom says that fats and lye parted. */
    static boolean isParting(Finding finding) {
        return PARTED.contains(finding.id());
    }
}
