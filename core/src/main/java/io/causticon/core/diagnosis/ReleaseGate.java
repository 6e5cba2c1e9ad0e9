package io.causticon.core.diagnosis;

import io.causticon.core.formula.Process;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.Stage;
import io.causticon.core.quantity.Share;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a batch must have to be given into anybody's hands. A probability alone does not free it: somebody has washed with it or titrated it, and no
 * sign of a hazard stands. One place for it, whoever asks.
 *
 * @param requirements in the order in which they are told, also those that are met
 */
public record ReleaseGate(List<Requirement> requirements) {

    /** Each hazard lies below this. */
    public static final double HAZARD_BELOW = 0.005;

    /** One clean face says nothing of the next one. */
    private static final int BARS_TO_CUT = 3;

    private static final Duration AGE = Duration.ofDays(7);
    private static final Duration AGE_WHEN_COOKED = Duration.ofDays(1);

    public ReleaseGate {
        requirements = List.copyOf(requirements);
    }

    /** What is asked for. */
    public enum Kind {
        HAZARDS_LOW,
        AGE,
        TEST,
        CUTS,
        NO_STANDING_SIGN
    }

    /**
     * One of them.
     *
     * @param kind what is asked for
     * @param isMet whether the batch has it
     * @param words what is there, or what is missing and would settle it
     */
    public record Requirement(Kind kind, boolean isMet, Phrase words) {}

    /** @param diagnosis of the same facts */
    public static ReleaseGate of(BatchFacts facts, Diagnosis diagnosis) {
        List<Requirement> all = new ArrayList<>();
        all.add(hazards(diagnosis));
        all.add(age(facts));
        all.add(test(facts, diagnosis));
        cuts(facts, diagnosis).ifPresent(all::add);
        all.addAll(signs(facts));
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
        Share limit = Share.fraction(HAZARD_BELOW);
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard() && !(r.probability() < HAZARD_BELOW))
                .map(r -> new Requirement(
                        Kind.HAZARDS_LOW,
                        false,
                        Phrase.of("{} is not ruled out; look further until it stands below {}", r.condition().name(), limit)))
                .findFirst()
                .orElseGet(() -> new Requirement(Kind.HAZARDS_LOW, true, Phrase.of("every hazard stands below {}", limit)));
    }

    private static Requirement age(BatchFacts facts) {
        boolean rebatched = facts.rebatchedAt().isPresent();
        Duration age = facts.rebatchedAt().map(at -> facts.age().minus(Duration.between(facts.log().begun(), at))).orElse(facts.age());
        // Planned and seen, and no scraps, which may have brought alkali of their own: a tap alone does not shorten it for a batch that was cooked to rescue it.
        boolean cooked = facts.plan().process() == Process.HOT && !facts.plan().isRework() && facts.isCookedThrough();
        Duration wanted = cooked && !rebatched ? AGE_WHEN_COOKED : AGE;
        boolean old = age.compareTo(wanted) >= 0;
        long since = Math.max(0, age.toDays());
        String days = since + (since == 1 ? " day " : " days ") + (rebatched ? "since it was rebatched" : "old");
        String least = wanted.toDays() + (wanted.toDays() == 1 ? " day" : " days");
        return new Requirement(Kind.AGE, old, old ? Phrase.of(days) : Phrase.of("it is " + days + "; " + least + " is the least"));
    }

    /** Nobody is asked to wash with what may burn. */
    private static Requirement test(BatchFacts facts, Diagnosis diagnosis) {
        String how = diagnosis.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH || diagnosis.signStands() ? "titrate first" : "wash your own hands with it, a day old or more, or titrate";
        List<String> untested = SignHistory.untested(facts);
        if (!untested.isEmpty()) {
            return new Requirement(
                    Kind.TEST, false, Phrase.of("each part had lye of its own, and no calm wash or titration is logged of: " + String.join(", ", untested) + ". Say which: \"wash calm on the {} bar\"", untested.get(0)));
        }
        return SignHistory.calmTest(facts)
                .map(words -> new Requirement(Kind.TEST, true, Phrase.of(words)))
                .orElseGet(() -> new Requirement(Kind.TEST, false, Phrase.of("no calm wash or titration is logged: " + how)));
    }

    /** Pockets hide: where liquor can have been closed in, or something was seen inside, the inside of several bars is looked at. */
    private static Optional<Requirement> cuts(BatchFacts facts, Diagnosis diagnosis) {
        boolean thick = facts.stageWhenPoured().map(s -> s.isAtLeast(Stage.MASH)).orElse(false);
        boolean seen = diagnosis.evidence().stream()
                .anyMatch(e -> e.isPresent() && (e.finding().equals(Findings.WHITE_SPOTS) || e.finding().equals(Findings.WEEPING_DOTS)));
        if (!thick && !seen) {
            return Optional.empty();
        }
        int clean = diagnosis.evidence().stream()
                .filter(e -> !e.isPresent() && e.finding().equals(Findings.WHITE_SPOTS))
                .mapToInt(Evidence::bars)
                .max()
                .orElse(0);
        Phrase words = clean >= BARS_TO_CUT
                ? Phrase.of("clean inside on {} bars", new Exactly(clean, 0))
                : clean > 0
                        ? Phrase.of("clean inside on {} of {} bars: cut more from other places, and say on which", new Exactly(clean, 0), new Exactly(BARS_TO_CUT, 0))
                        : Phrase.of("liquor can be closed in: cut three bars from different places and look at the fresh faces");
        return Optional.of(new Requirement(Kind.CUTS, clean >= BARS_TO_CUT, words));
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
