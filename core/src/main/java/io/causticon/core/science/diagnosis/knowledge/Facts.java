package io.causticon.core.science.diagnosis.knowledge;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Facts of plan and log that several families ask for. */
final class Facts {

    /** Degrees Celsius. */
    private static final double COOL = 35;

    private static final double WEAK = .29;
    private static final double MUCH_SUPERFAT = .10;

    /** A scale's step past the most that is safe is no overdose (a judgement). */
    private static final Share WEIGHED_OVER = Share.percent(5);

    /** Seconds (a judgement): two to three times what most batters take. */
    private static final int MUCH_BLENDING = 180;

    /** A judgement: most batters set visibly within it. */
    private static final Duration LONG_WAIT = Duration.ofMinutes(20);

    private Facts() {}

    /** Poured cool enough for hard fats to set in it. */
    static Optional<Phrase> soapedCool(BatchFacts facts) {
        return facts.pouredAt().filter(t -> t.celsius() < COOL).map(t -> Phrase.of("poured at {}", t));
    }

    /** Poured cooler than one of its fats stays clear in the batter. */
    static Optional<Phrase> belowClear(BatchFacts facts) {
        return facts.pouredAt()
                .flatMap(t -> SettingFat.at(facts.plan().formula(), t)
                        .map(s -> Phrase.of(
                                "poured at {}, {} is clear from {}", t, s.fat().shortName(), s.clearFrom())));
    }

    /** More of something than its table takes for safe, of these kinds. */
    static Optional<Phrase> overdosed(BatchFacts facts, String... kinds) {
        Mass fats = facts.asWeighed().weights().fatMass();
        return facts.asWeighed().weights().additives().stream()
                .filter(a -> List.of(kinds).contains(a.additive().kind()) && a.isBeyondCap(fats, WEIGHED_OVER))
                .findFirst()
                .map(a -> Phrase.of(
                        "{} at {} of fats, harm is known from {}",
                        a.additive().name(),
                        Share.fraction(a.mass().dividedBy(fats)),
                        Share.fraction(a.additive().cap() / 1000)));
    }

    /** So much blending draws air and drives a batter. */
    static Optional<Phrase> muchBlending(BatchFacts facts) {
        int seconds = facts.log()
                .of(Entry.BlenderBurst.class)
                .mapToInt(b -> b.entry().seconds())
                .sum();
        return seconds >= MUCH_BLENDING
                ? Optional.of(Phrase.of("the blender ran for " + seconds + " s"))
                : Optional.empty();
    }

    /** A portion that stood long before it was poured. */
    static Optional<Phrase> waited(BatchFacts facts) {
        return facts.log()
                .of(Entry.PortionTaken.class)
                .flatMap(taken -> facts.log()
                        .of(Entry.LayerPoured.class)
                        .filter(p ->
                                p.entry().portion().equals(taken.entry().portion()) && !p.at().isBefore(taken.at()))
                        .limit(1)
                        .filter(p -> Duration.between(taken.at(), p.at()).compareTo(LONG_WAIT) >= 0)
                        .map(p -> Phrase.of(taken.entry().portion().name() + " waited "
                                + Duration.between(taken.at(), p.at()).toMinutes() + " min")))
                .findFirst();
    }

    static boolean isIn(BatchFacts facts, MouldKind kind) {
        Mould mould = facts.plan().mould();
        return mould != null && mould.kind() == kind;
    }

    /** More water than most use. */
    static Optional<Phrase> weakLye(BatchFacts facts) {
        double concentration = facts.concentration().fraction();
        return concentration > 0 && concentration < WEAK
                ? Optional.of(Phrase.of("lye at {}", Share.fraction(concentration)))
                : Optional.empty();
    }

    static Optional<Phrase> muchSuperfat(BatchFacts facts) {
        double superfat = facts.asWeighed().superfat().value();
        return superfat > MUCH_SUPERFAT
                ? Optional.of(Phrase.of("superfat as weighed {}", Share.fraction(superfat)))
                : Optional.empty();
    }

    static Optional<Phrase> mover(BatchFacts facts) {
        return facts.movers().stream().findFirst().map(name -> Phrase.of("{} in the recipe", name));
    }

    /** @param words what makers call the family */
    static Optional<Phrase> atLeast(BatchFacts facts, Family family, double share, String words) {
        Share found = facts.composition().of(family);
        return found.fraction() >= share ? Optional.of(Phrase.of(words + " {}", found)) : Optional.empty();
    }

    /** Whether something of one of these kinds is in it. */
    static boolean has(BatchFacts facts, String... kinds) {
        return additives(facts).anyMatch(a -> List.of(kinds).contains(a.kind()));
    }

    /** Whether it was poured in more than one part. */
    static boolean isLayered(BatchFacts facts) {
        return facts.plan().pouring().portioning().portions().size() >= 2;
    }

    /** Whether fruit or vegetables are in it. */
    static boolean hasFood(BatchFacts facts) {
        return facts.asWeighed().weights().liquids().stream()
                .anyMatch(l -> l.liquid().id().contains("puree"));
    }

    static boolean hasSalt(BatchFacts facts) {
        return additives(facts).anyMatch(a -> a.id().startsWith("salt-"))
                || facts.asWeighed().weights().liquids().stream()
                        .anyMatch(l -> l.liquid().id().contains("brine")
                                || l.liquid().id().contains("sea-water"));
    }

    /** Whether something in it is known for an effect. */
    static boolean does(BatchFacts facts, String effect) {
        return additives(facts).anyMatch(a -> a.effects().contains(effect));
    }

    private static Stream<Additive> additives(BatchFacts facts) {
        return Stream.concat(
                facts.asWeighed().weights().additives().stream().map(AdditivePortion::additive),
                facts.plan().pouring().portioning().portions().stream()
                        .flatMap(p -> p.additives().stream())
                        .map(a -> a.additive()));
    }
}
