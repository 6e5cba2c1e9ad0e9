package io.causticon.core.science.diagnosis;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.science.diagnosis.evidence.CalmWashes;
import io.causticon.core.science.diagnosis.evidence.FreeAlkali;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Which test of a bar is worth doing now, and why: what stands between the batch and its release, in the order in which
 * hands may do it.
 *
 * @param test the one that is proposed; empty when nothing is
 * @param why it, or why none
 * @param keptFromSkin whether tests on skin wait until a measurement is calm
 */
public record NextTest(Optional<BarTest> test, Phrase why, boolean keptFromSkin) {

    /** A lather is no better known before the bar has lost most of its water. */
    private static final Duration LATHERS_FROM = Duration.ofDays(21);

    /** None, and none on skin. */
    public static NextTest none(Phrase why) {
        return new NextTest(Optional.empty(), why, true);
    }

    public static NextTest of(BatchFacts facts, Diagnosis diagnosis, ReleaseGate gate) {
        boolean kept = diagnosis.signStands() || diagnosis.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH;
        Set<ReleaseGate.Kind> missing = gate.missing().stream()
                .map(ReleaseGate.Requirement::kind)
                .collect(Collectors.toCollection(() -> EnumSet.noneOf(ReleaseGate.Kind.class)));
        if (facts.log().first(Entry.Poured.class).isEmpty()) {
            return new NextTest(Optional.empty(), Phrase.of("it is not poured yet"), true);
        }
        if (facts.outOfTheMould().isEmpty()) {
            return new NextTest(
                    Optional.empty(), Phrase.of("it is in its mould: no test of a bar before it is out"), true);
        }
        if (facts.skinFrom().filter(from -> !facts.now().isBefore(from)).isEmpty()) {
            return new NextTest(
                    Optional.empty(),
                    Phrase.of(
                            "soap of the first two days is caustic, that is normal: gloves, and tests tell little yet"),
                    true);
        }
        if (diagnosis.unfit().isPresent()) {
            return new NextTest(
                    Optional.empty(),
                    Phrase.of(
                            "{}: no test makes it fit for use",
                            diagnosis.unfit().get().condition().name()),
                    true);
        }
        if (kept) {
            return new NextTest(
                    Optional.of(BarTest.TITRATE),
                    Phrase.of("a sign or its weights speak for free alkali: measure before skin meets it"),
                    true);
        }
        if (missing.contains(ReleaseGate.Kind.MEASURED)) {
            return new NextTest(
                    Optional.of(BarTest.TITRATE),
                    Phrase.of("liquor can be closed in: measure shavings from the core, with three faces cut"),
                    false);
        }
        if (missing.contains(ReleaseGate.Kind.TEST)) {
            return wash(facts);
        }
        if (missing.contains(ReleaseGate.Kind.HAZARDS_LOW)) {
            return new NextTest(
                    Optional.of(BarTest.TITRATE),
                    Phrase.of("one measurement more rules out what is left of the doubt"),
                    false);
        }
        if (Life.isHeld(facts.log())) {
            String reason = facts.log()
                    .last(Entry.Held.class)
                    .map(h -> h.entry().reason())
                    .orElse("");
            return new NextTest(
                    Optional.empty(),
                    Phrase.of("it is held: {}. No test settles that; release it once it is settled", reason),
                    true);
        }
        if (gate.isOpen()
                && facts.age().compareTo(LATHERS_FROM) >= 0
                && facts.log().first(Entry.Lathered.class).isEmpty()) {
            return new NextTest(
                    Optional.of(BarTest.LATHER),
                    Phrase.of("it is safe by its tests; how it lathers is not written down yet"),
                    false);
        }
        return new NextTest(
                Optional.empty(),
                Phrase.of(
                        gate.isOpen()
                                ? "its tests say all that the release asks for"
                                : "only time or a look is missing"),
                false);
    }

    /** The first, or the second where one was calm and its day has come. */
    private static NextTest wash(BatchFacts facts) {
        Optional<Instant> second = FreeAlkali.of(facts).isPresent() ? Optional.empty() : CalmWashes.secondFrom(facts);
        if (second.filter(facts.now()::isBefore).isPresent()) {
            return new NextTest(
                    Optional.empty(),
                    Phrase.of("one wash was calm; a second, with another bar, says something "
                            + CalmWashes.wordsApart(facts) + " after it"),
                    false);
        }
        return new NextTest(
                Optional.of(BarTest.WASH),
                Phrase.of(
                        second.isPresent()
                                ? "one wash was calm, and one hand may feel nothing of it: take another bar"
                                : "no wash or titration was calm yet, and the release asks for one"),
                false);
    }
}
