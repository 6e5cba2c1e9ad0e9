package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What can go wrong with liquids and with acids. The rates are judgements of how often each happens in a hundred
 * batches.
 */
final class LiquidSlips {

    private static final double RATE_ACID = 0.4;
    private static final double RATE_DOUBLED = 0.05;
    private static final double RATE_LEFT_OUT = 0.05;

    /** Milk's own trace of acid is not what anybody counts on. */
    private static final double NOTABLE_ACID = 0.02;

    private final Weights weighed;
    private final WeighingCare care;

    LiquidSlips(Weights weighed, WeighingCare care) {
        this.weighed = weighed;
        this.care = care;
    }

    Stream<Hypothesis> all() {
        return Stream.concat(
                IntStream.range(0, weighed.liquids().size()).boxed().flatMap(this::ofOne), acid());
    }

    private Stream<Hypothesis> ofOne(int index) {
        LiquidPortion liquid = weighed.liquids().get(index);
        double slips = care.slipsWith(Weighable.liquid(liquid.liquid().id()));
        String name = liquid.liquid().name();
        Hypothesis doubled = with(
                Slip.Kind.DOUBLED,
                index,
                liquid.mass().times(2),
                RATE_DOUBLED * slips,
                Phrase.of("{} poured twice", name),
                Phrase.of("{} too much", liquid.mass()));
        // Without any liquid no lye would have dissolved.
        return weighed.liquids().size() == 1
                ? Stream.of(doubled)
                : Stream.of(
                        doubled,
                        with(
                                Slip.Kind.LEFT_OUT,
                                index,
                                Mass.ZERO,
                                RATE_LEFT_OUT * slips,
                                Phrase.of("{} left out", name),
                                Phrase.of("{} missing", liquid.mass())));
    }

    private Hypothesis with(Slip.Kind kind, int index, Mass mass, double rate, Phrase words, Phrase how) {
        List<LiquidPortion> liquids = new ArrayList<>(weighed.liquids());
        liquids.set(index, liquids.get(index).weighing(mass));
        return new Hypothesis(
                kind,
                weighed.liquids().get(index).liquid().id(),
                words,
                how,
                rate,
                new Weights(weighed.fats(), weighed.naoh(), weighed.koh(), liquids, weighed.additives()));
    }

    /** Acid that the lye was raised for and that never went in. */
    private Stream<Hypothesis> acid() {
        double needed = weighed.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
        if (weighed.acidMoles() <= NOTABLE_ACID * needed) {
            return Stream.empty();
        }
        List<LiquidPortion> liquids = weighed.liquids().stream()
                .filter(l -> l.liquid().acid() == null)
                .toList();
        List<AdditivePortion> additives = weighed.additives().stream()
                .filter(a -> a.additive().acid() == null)
                .toList();
        return Stream.of(new Hypothesis(
                Slip.Kind.ACID_NOT_ADDED,
                "acid",
                Phrase.of("the acid that lye was added for did not go in"),
                Phrase.of("lye was raised for it"),
                RATE_ACID,
                new Weights(weighed.fats(), weighed.naoh(), weighed.koh(), liquids, additives)));
    }
}
