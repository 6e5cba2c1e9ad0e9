package io.causticon.core.science.diagnosis;

import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.diagnosis.evidence.CalmWashes;
import io.causticon.core.science.diagnosis.evidence.ClosedIn;
import io.causticon.core.science.diagnosis.evidence.FreeAlkali;
import io.causticon.core.science.diagnosis.evidence.SignHistory;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a batch must have to be given into anybody's hands. A probability alone does not free it: somebody has washed
 * with it or titrated it, and no sign of a hazard stands. One place for it, whoever asks.
 *
 * @param requirements in the order in which they are told, also those that are met
 */
public record ReleaseGate(List<Requirement> requirements) {

    /**
     * Where the question is whether it may go into anybody's hands: each hazard lies below this. What the bar most
     * likely has may be named earlier, from {@link Diagnosis#NAMED_BELOW} down.
     */
    public static final double RELEASED_BELOW = 0.005;

    /** What is said of the batch, whatever its parts. */
    private static final Set<Kind> SAID_ONCE = Set.of(Kind.MADE, Kind.MEANT_FOR_USE, Kind.AGE);

    private static final Duration AGE = Duration.ofDays(7);
    private static final Duration AGE_WHEN_COOKED = Duration.ofDays(1);

    public ReleaseGate {
        requirements = List.copyOf(requirements);
    }

    /** What is asked for. */
    public enum Kind {
        /** There is soap. */
        MADE,
        /** It is there to be used. */
        MEANT_FOR_USE,
        HAZARDS_LOW,
        AGE,
        TEST,
        CUTS,
        MEASURED,
        NO_STANDING_SIGN,
        FIT_FOR_USE,
        /** Nothing that was asked about a line is open. */
        ANSWERED
    }

    /**
     * One of them.
     *
     * @param kind what is asked for
     * @param isMet whether the batch has it
     * @param words what is there, or what is missing and would settle it
     * @param part of which part with lye of its own; empty for all of it
     */
    public record Requirement(Kind kind, boolean isMet, Phrase words, String part) {

        Requirement(Kind kind, boolean isMet, Phrase words) {
            this(kind, isMet, words, "");
        }

        private Requirement of(String other) {
            return new Requirement(kind, isMet, Phrase.of(other + ": ").then("", words), other);
        }
    }

    /** @param diagnosis of the same facts */
    public static ReleaseGate of(BatchFacts facts, Diagnosis diagnosis) {
        if (!facts.wasPoured()) {
            return new ReleaseGate(List.of(new Requirement(Kind.MADE, false, Phrase.of("nothing is poured yet"))));
        }
        List<Requirement> all = new ArrayList<>();
        if (Purpose.of(facts.log()) == Purpose.PRACTICE) {
            all.add(new Requirement(Kind.MEANT_FOR_USE, false, Phrase.of("it is for practice, and never released")));
        }
        all.add(hazards(diagnosis));
        all.add(age(facts));
        all.add(test(facts, diagnosis));
        all.addAll(closedIn(facts));
        all.addAll(signs(facts));
        unfit(diagnosis).ifPresent(all::add);
        return new ReleaseGate(all);
    }

    /**
     * Of a batch in which each part had lye of its own: each must have what the whole would. The lye of one says
     * nothing of the next.
     *
     * @param gates of each part by its name, in the order in which they are told
     */
    public static ReleaseGate ofParts(Map<String, ReleaseGate> gates) {
        List<Requirement> all = new ArrayList<>();
        gates.forEach(
                (part, gate) -> gate.requirements.forEach(r -> all.add(SAID_ONCE.contains(r.kind()) ? r : r.of(part))));
        return new ReleaseGate(all.stream().distinct().toList());
    }

    /** The same where so many lines were kept without anybody answering what was asked about them. */
    public ReleaseGate withDoubts(int open) {
        if (open == 0) {
            return this;
        }
        List<Requirement> all = new ArrayList<>(requirements);
        all.add(new Requirement(
                Kind.ANSWERED,
                false,
                Phrase.of(
                        open == 1
                                ? "one line of its log is in doubt: say whether it is so"
                                : "{} lines of its log are in doubt: say whether they are so",
                        open == 1 ? new Object[0] : new Object[] {new Exactly(open, 0)})));
        return new ReleaseGate(all);
    }

    /** Whether it may be released. */
    public boolean isOpen() {
        return requirements.stream().allMatch(Requirement::isMet);
    }

    public List<Requirement> missing() {
        return requirements.stream().filter(r -> !r.isMet()).toList();
    }

    private static Requirement hazards(Diagnosis diagnosis) {
        Share limit = Share.fraction(RELEASED_BELOW);
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard() && !(r.probability() < RELEASED_BELOW))
                .map(r -> new Requirement(
                        Kind.HAZARDS_LOW,
                        false,
                        Phrase.of(
                                "{} is still possible: it must be below {}",
                                r.condition().name(),
                                limit)))
                .findFirst()
                .orElseGet(() ->
                        new Requirement(Kind.HAZARDS_LOW, true, Phrase.of("every hazard stands below {}", limit)));
    }

    private static Requirement age(BatchFacts facts) {
        Duration age = facts.age();
        boolean rebatched = facts.rebatchedAt().isPresent();
        // Planned and seen, and no scraps, which may have brought alkali of their own: a tap alone does not shorten it
        // for a batch that was cooked to rescue it.
        boolean cooked = facts.plan().process() == Process.HOT && !facts.plan().isRework() && facts.isCookedThrough();
        Duration wanted = cooked && !rebatched ? AGE_WHEN_COOKED : AGE;
        boolean old = age.compareTo(wanted) >= 0;
        String days = days(age) + " since "
                + (rebatched ? "it was rebatched" : facts.plan().isRework() ? "it was poured" : "the lye");
        return new Requirement(
                Kind.AGE, old, old ? Phrase.of(days) : Phrase.of(days + "; " + days(wanted) + " is the least"));
    }

    private static String days(Duration age) {
        long days = Math.max(0, age.toDays());
        return days + (days == 1 ? " day" : " days");
    }

    /** Nobody is asked to wash with what may burn. */
    private static Requirement test(BatchFacts facts, Diagnosis diagnosis) {
        Optional<Phrase> calm = SignHistory.calmTest(facts);
        Optional<FreeAlkali> found = FreeAlkali.of(facts);
        if (calm.isPresent() && (found.isPresent() || CalmWashes.areEnough(facts))) {
            return new Requirement(Kind.TEST, true, calm.get());
        }
        if (calm.isPresent()) {
            return new Requirement(
                    Kind.TEST,
                    false,
                    calm.get()
                            .then(
                                    ". ",
                                    Phrase.of("One hand may feel nothing of it: wash with another bar "
                                            + CalmWashes.wordsApart(facts)
                                            + " later or more, or titrate")));
        }
        if (found.isPresent()) {
            return new Requirement(
                    Kind.TEST,
                    false,
                    Phrase.of(
                            "{} % free alkali, give or take {}, from {}; the limit is {}. Titrate another bar",
                            new Exactly(found.get().percent().value(), 2),
                            new Exactly(found.get().percent().standardDeviation(), 2),
                            found.get().readings() == 1
                                    ? "one reading"
                                    : found.get().readings() + " readings",
                            new Exactly(FreeAlkali.LIMIT_PERCENT, 2)));
        }
        String how = diagnosis.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH || diagnosis.signStands()
                ? "titrate first"
                : facts.outOfTheMould().isEmpty()
                        ? "wash your own hands once it is out of the mould and two days old, or titrate"
                        : "wash your own hands with it, two days old or more, or titrate";
        return new Requirement(Kind.TEST, false, Phrase.of("no calm wash or titration is logged: " + how));
    }

    /**
     * Pockets hide: where liquor can have been closed in, the inside of several bars is looked at, and one is titrated.
     */
    private static List<Requirement> closedIn(BatchFacts facts) {
        ClosedIn closed = ClosedIn.of(facts);
        if (closed.sign().isEmpty()) {
            return List.of();
        }
        String why = closed.sign().get() + ", and liquor can be closed in";
        Exactly clean = new Exactly(closed.cleanBars(), 0);
        Phrase cut = closed.isCut()
                ? Phrase.of(
                        closed.kind() == ClosedIn.Kind.SPOTTED_OFTEN
                                ? "{} bars were looked at inside"
                                : "clean inside on {} bars",
                        clean)
                : closed.cleanBars() > 0
                        ? Phrase.of(
                                "clean inside on {} of {} bars: cut more from other places, and say on which",
                                clean,
                                new Exactly(closed.kind().faces, 0))
                        : Phrase.of(
                                why + ": cut {} bars from different places and look at the fresh faces",
                                new Exactly(closed.kind().faces, 0));
        return List.of(
                new Requirement(Kind.CUTS, closed.isCut(), cut),
                new Requirement(Kind.MEASURED, closed.isMeasured(), Phrase.of(measured(closed, why))));
    }

    private static String measured(ClosedIn closed, String why) {
        if (closed.isMeasured()) {
            return closed.titratedBars() > 0 ? "titrated, and within the limit" : "cut and washed with on bars enough";
        }
        return why
                + switch (closed.kind()) {
                    case THICK -> ": titrate shavings from the core";
                    case PARTED -> ": titrate three bars, of shavings from top to bottom, and say which";
                    case SPOTTED_OFTEN ->
                        ", on more than one bar: titrate shavings from the spots themselves, of two bars that have"
                                + " them, and say which";
                    case SPOTTED ->
                        ": titrate two bars, and say which" + (closed.spotsAlone() ? orWithoutABurette() : "");
                };
    }

    private static String orWithoutABurette() {
        return "; or cut " + ClosedIn.FACES_WITHOUT_A_BURETTE + " and wash with two bars, three days apart";
    }

    private static Optional<Requirement> unfit(Diagnosis diagnosis) {
        return diagnosis
                .unfit()
                .map(r -> new Requirement(
                        Kind.FIT_FOR_USE,
                        false,
                        Phrase.of(
                                "{}: not for use or sale, though it burns nobody. Keep it apart; look again after a"
                                        + " week",
                                r.condition().name())));
    }

    private static List<Requirement> signs(BatchFacts facts) {
        List<SignHistory> ever = SignHistory.of(facts);
        if (ever.isEmpty()) {
            return List.of(new Requirement(Kind.NO_STANDING_SIGN, true, Phrase.of("no test ever spoke for a hazard")));
        }
        return ever.stream()
                .map(s -> new Requirement(Kind.NO_STANDING_SIGN, !s.stands(), s.words()))
                .toList();
    }
}
