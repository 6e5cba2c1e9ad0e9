package io.causticon.core.science.diagnosis.slips;

import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.Alkali;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What can go wrong with the lye. The rates are judgements of how often each happens in a hundred batches. */
final class AlkaliSlips {

    private static final double RATE_OVER = 0.25;
    private static final double RATE_SHORT = 0.25;
    private static final double RATE_TWICE = 0.05;
    private static final double RATE_OUNCES = 0.02;
    private static final double RATE_OTHER = 0.03;
    private static final double RATE_PURER = 0.5;
    private static final double RATE_SECOND = 50;

    /**
     * Fraction of its mass that uncertified potassium hydroxide may hold beyond its label: it is known to some three
     * points (a judgement).
     */
    private static final double KOH_BETTER = .04;

    /**
     * Misread, or spooned past the mark: fractions of the lye. A small slip is as much likelier than a large one as it
     * is smaller.
     */
    private static final List<Double> AMOUNTS = List.of(.02, .03, .045, .065, .09, .13, .18);

    private final Weights weighed;
    private final AlkaliChoice choice;
    private final WeighingCare care;

    AlkaliSlips(Weights weighed, AlkaliChoice choice, WeighingCare care) {
        this.weighed = weighed;
        this.choice = choice;
        this.care = care;
    }

    Stream<Hypothesis> all() {
        return Stream.of(Weighable.NAOH, Weighable.KOH)
                .filter(a -> mass(a).isPositive())
                .flatMap(this::of);
    }

    private Mass mass(Weighable alkali) {
        return alkali.equals(Weighable.NAOH) ? weighed.naoh() : weighed.koh();
    }

    private Weights with(Weighable alkali, Mass mass) {
        return alkali.equals(Weighable.NAOH) ? weighed.withNaoh(mass) : weighed.withKoh(mass);
    }

    private Stream<Hypothesis> of(Weighable alkali) {
        Mass lye = mass(alkali);
        double care = this.care.slipsWith(alkali);
        Stream.Builder<Hypothesis> slips = Stream.builder();
        double all = AMOUNTS.stream().mapToDouble(a -> 1 / a).sum();
        for (double amount : AMOUNTS) {
            Mass by = lye.times(amount);
            double often = care / amount / all;
            slips.add(slip(
                    Slip.Kind.LYE_OVER,
                    alkali,
                    "more lye in than was logged",
                    Phrase.of("some {} more: misread, or spooned past the mark", by),
                    RATE_OVER * often,
                    lye.plus(by)));
            slips.add(slip(
                    Slip.Kind.LYE_SHORT,
                    alkali,
                    "less lye in than was logged",
                    Phrase.of("some {} less: misread, or left behind in its cup", by),
                    RATE_SHORT * often,
                    lye.minus(by)));
        }
        slips.add(slip(
                Slip.Kind.LYE_TWICE,
                alkali,
                "lye weighed in twice",
                Phrase.of("{} in the pot", lye.times(2)),
                RATE_TWICE * care,
                lye.times(2)));
        Mass ouncesAsGrams = Mass.grams(lye.inOunces());
        slips.add(slip(
                Slip.Kind.UNIT_MISTAKEN,
                alkali,
                "lye weighed in grams where ounces were meant",
                Phrase.of("{} in the pot", ouncesAsGrams),
                RATE_OUNCES * care,
                ouncesAsGrams));
        slips.add(other(alkali));
        purer(alkali).ifPresent(slips::add);
        this.care
                .otherwiseWeighed(alkali)
                .ifPresent(second -> slips.add(slip(
                        Slip.Kind.SECOND_WEIGHING,
                        alkali,
                        "the lye is what its second weighing says",
                        Phrase.of("{} instead of {}", second, lye),
                        RATE_SECOND,
                        second)));
        return slips.build();
    }

    private Hypothesis slip(Slip.Kind kind, Weighable alkali, String words, Phrase how, double rate, Mass mass) {
        return new Hypothesis(kind, alkali.id(), Phrase.of(words), how, rate, with(alkali, mass));
    }

    /**
     * Sodium hydroxide can be as good as pure, potassium hydroxide a few points better than its label; a certificate
     * rules it out.
     */
    private Optional<Hypothesis> purer(Weighable alkali) {
        boolean sodium = alkali.equals(Weighable.NAOH);
        if (!sodium && choice.kohCertified()) {
            return Optional.empty();
        }
        Share label = choice.purity(sodium ? Alkali.NAOH : Alkali.KOH);
        Share purer = sodium ? Share.WHOLE : Share.fraction(Math.min(1, label.fraction() + KOH_BETTER));
        return Optional.of(slip(
                Slip.Kind.PURER_ALKALI,
                alkali,
                "the lye is purer than its label",
                Phrase.of("as good as {}", purer),
                RATE_PURER,
                mass(alkali).times(purer.fraction() / label.fraction())));
    }

    /** The tub beside it: as much by mass of the other alkali. */
    private Hypothesis other(Weighable alkali) {
        boolean sodium = alkali.equals(Weighable.NAOH);
        Mass naoh = sodium ? Mass.ZERO : weighed.naoh().plus(weighed.koh());
        Mass koh = sodium ? weighed.koh().plus(weighed.naoh()) : Mass.ZERO;
        return new Hypothesis(
                Slip.Kind.WRONG_ALKALI,
                alkali.id(),
                Phrase.of(
                        sodium
                                ? "potassium hydroxide taken for sodium hydroxide"
                                : "sodium hydroxide taken for potassium hydroxide"),
                Phrase.of("{} of it", mass(alkali)),
                RATE_OTHER,
                weighed.withNaoh(naoh).withKoh(koh));
    }
}
