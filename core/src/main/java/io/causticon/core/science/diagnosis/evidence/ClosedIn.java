package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/**
 * Where liquor can have been closed in, or fats and lye parted: the batter went solid, riced, curdled, set cold,
 * separated, or spots were seen. A clean top says nothing of the middle. It is settled by the faces of several bars and
 * by titrations of soap that is a day old or more; of spots that were seen on some bars, for who has no burette, by
 * still more faces and by washes with different bars, days apart.
 *
 * @param sign the first that was seen, in words; empty where there was none
 * @param kind what has to be settled, the most that any sign wants
 * @param spotsAlone whether spots are all that speaks for it
 * @param cleanBars on how many different bars the inside was looked at, and clean
 * @param titratedBars of how many bars titrations are within the limit together
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
        PARTED(3, 2),
        /** Something was seen inside. */
        SPOTTED(5, 2);

        public final int faces;
        public final int samples;

        Kind(int faces, int samples) {
            this.faces = faces;
            this.samples = samples;
        }
    }

    /** Where nobody titrates, for spots alone. */
    public static final int FACES_WITHOUT_A_BURETTE = 6;

    private static final int WASHES_WITHOUT_A_BURETTE = 2;
    private static final Duration WASHES_APART = Duration.ofDays(3);

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

    private static final Set<String> SPOTTED_WORDS =
            Set.of(FINDINGS.get(Findings.WHITE_SPOTS.id()), FINDINGS.get(Findings.WEEPING_DOTS.id()));

    private static final Set<String> PARTED_WORDS =
            Set.of("it separated", FINDINGS.get(Findings.OIL_LAYER.id()), FINDINGS.get(Findings.SOFT_BELOW.id()));

    private static final Set<String> PARTED = Set.of(Findings.OIL_LAYER.id(), Findings.SOFT_BELOW.id());

    public static ClosedIn of(BatchFacts facts) {
        Map<Instant, String> signs = signs(facts);
        if (signs.isEmpty()) {
            return NOWHERE;
        }
        Samples samples = new Samples();
        facts.log()
                .of(Entry.Observed.class)
                .filter(o -> o.entry().finding().equals(Findings.WHITE_SPOTS.id()) && counts(o.at(), facts))
                .forEach(o -> samples.add(
                        Findings.WHITE_SPOTS,
                        o.entry().presence(),
                        o.at(),
                        o.entry().on()));
        boolean within = FreeAlkali.of(facts).filter(FreeAlkali::isWithinLimit).isPresent();
        return new ClosedIn(
                Optional.of(signs.values().iterator().next()),
                kind(signs),
                SPOTTED_WORDS.containsAll(signs.values()),
                samples.barsBeside(Findings.WHITE_SPOTS, Instant.MIN),
                within ? titratedBars(facts) : 0,
                washedBars(facts));
    }

    private static Kind kind(Map<Instant, String> signs) {
        if (signs.values().stream().anyMatch(SPOTTED_WORDS::contains)) {
            return Kind.SPOTTED;
        }
        return signs.values().stream().anyMatch(PARTED_WORDS::contains) ? Kind.PARTED : Kind.THICK;
    }

    /** Calm washes with different bars; the second some days after the first. */
    private static int washedBars(BatchFacts facts) {
        List<BatchLog.Timed<Entry.WashTested>> calm = facts.log()
                .of(Entry.WashTested.class)
                .filter(w -> w.entry().feel() == WashFeel.CALM && facts.isTestOnSkin(w.at()))
                .toList();
        if (calm.isEmpty()) {
            return 0;
        }
        BatchLog.Timed<Entry.WashTested> first = calm.get(0);
        boolean another = calm.stream()
                .anyMatch(w -> !w.at().isBefore(first.at().plus(WASHES_APART))
                        && !Bars.areTheSame(w.entry().on(), first.entry().on()));
        return another ? 2 : 1;
    }

    private static int titratedBars(BatchFacts facts) {
        Samples titrated = new Samples();
        facts.log()
                .of(Entry.Titrated.class)
                .filter(t -> facts.isMeasurement(t.at()))
                .forEach(t -> titrated.add(
                        Findings.FREE_ALKALI,
                        Presence.LOOKED_AND_ABSENT,
                        t.at(),
                        t.entry().on()));
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

    private static Optional<Instant> coldAndThick(BatchFacts facts) {
        boolean thick =
                facts.stageWhenPoured().filter(s -> s.isAtLeast(Stage.THICK)).isPresent();
        boolean cold = facts.pouredAt().filter(COLD::isAbove).isPresent();
        return thick && cold ? facts.poured() : Optional.empty();
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
        boolean washed = spotsAlone && cleanBars >= FACES_WITHOUT_A_BURETTE && washedBars >= WASHES_WITHOUT_A_BURETTE;
        return titratedBars >= kind.samples || washed;
    }

    /** Whether a look at the top or the bottom says that fats and lye parted. */
    static boolean isParting(Finding finding) {
        return PARTED.contains(finding.id());
    }
}
