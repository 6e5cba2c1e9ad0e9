package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.SwappedFats;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Enumerates the single slips of one batch, and that there was none. */
final class SlipHypotheses {

    private static final double RATE_NONE = 97;
    private static final double RATE_UNKNOWN = 0.3;
    private static final double NOTABLE = 0.01;

    private final BatchFacts facts;
    private final Weights weighed;

    private SlipHypotheses(BatchFacts facts) {
        this.facts = facts;
        this.weighed = facts.asWeighed().weights();
    }

    static List<Hypothesis> of(BatchFacts facts, KnownVessels vessels, PotMass pot) {
        SlipHypotheses none = new SlipHypotheses(facts);
        if (facts.plan().isRework()) {
            // Nobody weighed lye: what the scraps hold is known as well as their own cases tell.
            return List.of(
                    none.asLogged(
                            Slip.Kind.NONE,
                            Phrase.of("as its scraps are"),
                            Phrase.of("their own superfat, and what was added")),
                    none.unknown());
        }
        WeighingCare care = new WeighingCare(facts);
        return Stream.of(
                        Stream.of(none.asLogged()),
                        new FatSlips(none.weighed, care, pot).all(),
                        new TareSlips(facts, vessels).all(),
                        new AlkaliSlips(none.weighed, facts.plan().formula().alkali(), care).all(),
                        new LiquidSlips(none.weighed, care).all(),
                        Stream.of(none.unknown()))
                .flatMap(s -> s)
                .toList();
    }

    /** The log as it stands; if it differs from the plan, it says how. */
    private Hypothesis asLogged() {
        Weights planned = Weights.planned(facts.plan().formula());
        Optional<SwappedFats> swap = SwappedFats.in(planned, weighed);
        if (swap.isPresent()) {
            return loggedSwap(swap.get());
        }
        double lyeChange = weighed.lye().dividedBy(planned.lye()) - 1;
        if (Math.abs(lyeChange) > NOTABLE) {
            return asLogged(
                    Slip.Kind.LOGGED_DIFFERENCE,
                    Phrase.of(lyeChange > 0 ? "more lye logged than planned" : "less lye logged than planned"),
                    Phrase.of("{} instead of {}", weighed.lye(), planned.lye()));
        }
        if (!facts.asWeighed().isComplete()) {
            return asLogged(Slip.Kind.NONE, Phrase.of("weights as planned"), Phrase.of("not all of them were logged"));
        }
        return loggedFatDifference(planned)
                .orElseGet(() ->
                        asLogged(Slip.Kind.NONE, Phrase.of("weights as logged"), Phrase.of("no slip at the scale")));
    }

    private Hypothesis asLogged(Slip.Kind kind, Phrase words, Phrase how) {
        return new Hypothesis(kind, "", words, how, RATE_NONE, weighed);
    }

    private Optional<Hypothesis> loggedFatDifference(Weights planned) {
        for (int i = 0; i < planned.fats().size(); i++) {
            Mass plan = planned.fats().get(i).mass();
            Mass got = weighed.fats().get(i).mass();
            if (Math.abs(got.grams() - plan.grams())
                    > NOTABLE * planned.fatMass().grams()) {
                Phrase words = Phrase.of(
                        "{} logged with another weight than planned",
                        planned.fats().get(i).fat().shortName());
                return Optional.of(
                        asLogged(Slip.Kind.LOGGED_DIFFERENCE, words, Phrase.of("{} instead of {}", got, plan)));
            }
        }
        return Optional.empty();
    }

    private Hypothesis loggedSwap(SwappedFats swap) {
        String first = swap.first().fat().shortName();
        String second = swap.second().fat().shortName();
        Phrase how = Phrase.of(
                "{} of {} instead of {}, {} of {} instead of {}: the total is the same, the lye is not",
                swap.gotFirst(),
                first,
                swap.first().mass(),
                swap.gotSecond(),
                second,
                swap.second().mass());
        return asLogged(Slip.Kind.SWAPPED, Phrase.of("{} and {} swapped in the log", first, second), how);
    }

    /** Nobody can think of every slip. */
    private Hypothesis unknown() {
        return new Hypothesis(
                Slip.Kind.UNKNOWN,
                "",
                Phrase.of("a slip that is not on this list"),
                Phrase.of("something else went in than was logged"),
                RATE_UNKNOWN,
                weighed);
    }
}
