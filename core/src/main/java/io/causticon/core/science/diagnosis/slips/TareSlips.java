package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A vessel's own mass counted as what was in it. The rates are judgements of how often that happens in a hundred
 * batches.
 */
final class TareSlips {

    private static final double RATE_NOT_SAID = 0.15;
    private static final double RATE_NOT_SAID_IN_VESSEL = 2.5;
    private static final double RATE_NOT_TAKEN = 97;

    /** Whoever says that it was taken may have taken it without the vessel. */
    private static final double RATE_SAID = 0.05;

    private static final Mass USUAL_JUG = Mass.grams(85);
    private static final Mass USUAL_CUP = Mass.grams(20);

    private final BatchFacts facts;
    private final KnownVessels vessels;
    private final Weights weighed;

    TareSlips(BatchFacts facts, KnownVessels vessels) {
        this.facts = facts;
        this.vessels = vessels;
        this.weighed = facts.asWeighed().weights();
    }

    Stream<Hypothesis> all() {
        return facts.log().of(Entry.Weighed.class).flatMap(w -> of(w.entry()));
    }

    private Stream<Hypothesis> of(Entry.Weighed entry) {
        return switch (entry.what().kind()) {
            case FAT -> ofFat(entry);
            case ALKALI -> ofLye(entry);
            case LIQUID, ADDITIVE, SCRAP -> Stream.empty();
        };
    }

    private Stream<Hypothesis> ofFat(Entry.Weighed entry) {
        Mass jug = vessels.mass(entry.vessel()).orElse(USUAL_JUG);
        return IntStream.range(0, weighed.fats().size())
                .filter(i ->
                        weighed.fats().get(i).fat().id().equals(entry.what().id()))
                .filter(i -> weighed.fats().get(i).mass().isMoreThan(jug))
                .mapToObj(i -> {
                    FatPortion fat = weighed.fats().get(i);
                    Weights without = FatSlips.otherwise(weighed, i, fat.mass().minus(jug));
                    return notTaken(entry, fat.fat().shortName(), jug, fat.mass(), without);
                });
    }

    private Stream<Hypothesis> ofLye(Entry.Weighed entry) {
        Mass cup = vessels.mass(entry.vessel()).orElse(USUAL_CUP);
        if (entry.what().equals(Weighable.NAOH) && weighed.naoh().isMoreThan(cup)) {
            return Stream.of(notTaken(
                    entry,
                    "the lye",
                    cup,
                    weighed.naoh(),
                    weighed.withNaoh(weighed.naoh().minus(cup))));
        }
        return entry.what().equals(Weighable.KOH) && weighed.koh().isMoreThan(cup)
                ? Stream.of(notTaken(
                        entry,
                        "the lye",
                        cup,
                        weighed.koh(),
                        weighed.withKoh(weighed.koh().minus(cup))))
                : Stream.empty();
    }

    private Hypothesis notTaken(Entry.Weighed entry, String what, Mass vessel, Mass logged, Weights without) {
        String name = entry.vessel() == null ? "" : entry.vessel().name();
        return new Hypothesis(
                Slip.Kind.TARE_NOT_TAKEN,
                entry.what().id(),
                Phrase.of("tare of {} not taken for {}", name.isEmpty() ? "its vessel" : "the " + name, what),
                Phrase.of("{} of the logged {} was the vessel", vessel, logged),
                rate(entry, name),
                without);
    }

    private static double rate(Entry.Weighed entry, String vessel) {
        return switch (entry.tare()) {
            case NOT_TAKEN -> RATE_NOT_TAKEN;
            case TAKEN -> RATE_SAID;
            case NOT_SAID -> vessel.isEmpty() ? RATE_NOT_SAID : RATE_NOT_SAID_IN_VESSEL;
        };
    }
}
