package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.SwappedFats;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * What can go wrong with fats at the scale. The rates are judgements of how often each happens in a hundred batches.
 */
final class FatSlips {

    private static final double RATE_SWAP = 0.2;
    private static final double RATE_LEFT_OUT = 0.15;
    private static final double RATE_DOUBLED = 0.08;
    private static final double RATE_OUNCES = 0.02;
    private static final double RATE_SECOND = 50;
    private static final double RATE_MISREAD = 0.1;

    /** A digit read for another: fractions of the fat more or less than was logged. */
    private static final List<Double> MISREAD_BY = List.of(-.3, -.2, -.1, -.05, .05, .1, .2, .3);

    private final Weights weighed;
    private final WeighingCare care;
    private final PotMass pot;

    FatSlips(Weights weighed, WeighingCare care, PotMass pot) {
        this.weighed = weighed;
        this.care = care;
        this.pot = pot;
    }

    Stream<Hypothesis> all() {
        return Stream.concat(
                swaps(), IntStream.range(0, weighed.fats().size()).boxed().flatMap(this::ofOne));
    }

    private double care(FatPortion fat) {
        return care.slipsWith(Weighable.fat(fat.fat().id()));
    }

    /** Two fats poured for one another: the total is right and cannot show it. */
    private Stream<Hypothesis> swaps() {
        List<Hypothesis> swaps = new ArrayList<>();
        List<FatPortion> fats = weighed.fats();
        for (int i = 0; i < fats.size(); i++) {
            for (int j = i + 1; j < fats.size(); j++) {
                if (!SwappedFats.areAlike(fats.get(i).mass(), fats.get(j).mass())) {
                    swaps.add(swap(fats.get(i), fats.get(j)));
                }
            }
        }
        return swaps.stream();
    }

    private Hypothesis swap(FatPortion a, FatPortion b) {
        List<FatPortion> fats = weighed.fats().stream()
                .map(f -> f.equals(a)
                        ? new FatPortion(a.fat(), b.mass())
                        : f.equals(b) ? new FatPortion(b.fat(), a.mass()) : f)
                .toList();
        return new Hypothesis(
                Slip.Kind.SWAPPED,
                a.fat().id() + " " + b.fat().id(),
                Phrase.of(
                        "{} and {} poured for one another",
                        a.fat().shortName(),
                        b.fat().shortName()),
                Phrase.of("the total stays {}", weighed.fatMass()),
                RATE_SWAP * Math.max(care(a), care(b)),
                weighed.withFats(fats));
    }

    private Stream<Hypothesis> ofOne(int index) {
        FatPortion fat = weighed.fats().get(index);
        String name = fat.fat().shortName();
        Stream.Builder<Hypothesis> slips = Stream.builder();
        if (weighed.fats().size() > 1) {
            slips.add(with(
                    Slip.Kind.LEFT_OUT,
                    index,
                    Mass.ZERO,
                    RATE_LEFT_OUT * care(fat),
                    Phrase.of("{} left out", name),
                    Phrase.of("{} missing", fat.mass())));
        }
        slips.add(with(
                Slip.Kind.DOUBLED,
                index,
                fat.mass().times(2),
                RATE_DOUBLED * care(fat),
                Phrase.of("{} poured twice", name),
                Phrase.of("{} too much", fat.mass())));
        Mass ouncesAsGrams = Mass.grams(fat.mass().inOunces());
        slips.add(with(
                Slip.Kind.UNIT_MISTAKEN,
                index,
                ouncesAsGrams,
                RATE_OUNCES * care(fat),
                Phrase.of("{} weighed in grams where ounces were meant", name),
                Phrase.of("{} in the pot", ouncesAsGrams)));
        misread(index).forEach(slips::add);
        care.otherwiseWeighed(Weighable.fat(fat.fat().id()))
                .ifPresent(second -> slips.add(with(
                        Slip.Kind.SECOND_WEIGHING,
                        index,
                        second,
                        RATE_SECOND,
                        Phrase.of("{} is what its second weighing says", name),
                        Phrase.of("{} instead of {}", second, fat.mass()))));
        return slips.build();
    }

    /** By so much as the pot's mass says, where it stood on the scale; else by any of some amounts. */
    private Stream<Hypothesis> misread(int index) {
        FatPortion fat = weighed.fats().get(index);
        double rate = RATE_MISREAD * care(fat);
        if (pot.isKnown()) {
            double all = weighed.total().grams();
            double more = pot.gramsMoreThan(weighed);
            double most = MISREAD_BY.get(MISREAD_BY.size() - 1) * fat.mass().grams();
            // Any amount up to the most is as likely as another: the one that fits stands for all, with the share of
            // them that fit as well.
            double fitting = Math.min(1, pot.width() * all / (2 * most));
            return Math.abs(more) <= most && Math.abs(more) > pot.width() * all / 2
                    ? Stream.of(misread(index, fat.mass().plus(Mass.grams(more)), rate * fitting))
                    : Stream.empty();
        }
        return MISREAD_BY.stream().map(by -> misread(index, fat.mass().times(1 + by), rate / MISREAD_BY.size()));
    }

    private Hypothesis misread(int index, Mass mass, double rate) {
        FatPortion fat = weighed.fats().get(index);
        return with(
                Slip.Kind.MISREAD,
                index,
                mass,
                rate,
                Phrase.of("{} misread at the scale", fat.fat().shortName()),
                Phrase.of("{} instead of {}", mass, fat.mass()));
    }

    private Hypothesis with(Slip.Kind kind, int index, Mass mass, double rate, Phrase words, Phrase how) {
        return new Hypothesis(
                kind, weighed.fats().get(index).fat().id(), words, how, rate, otherwise(weighed, index, mass));
    }

    /** The same weights with another mass of one fat. */
    static Weights otherwise(Weights weighed, int index, Mass mass) {
        List<FatPortion> fats = new ArrayList<>(weighed.fats());
        fats.set(index, new FatPortion(fats.get(index).fat(), mass));
        return weighed.withFats(fats);
    }
}
